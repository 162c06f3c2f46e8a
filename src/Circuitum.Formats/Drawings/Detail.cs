namespace Circuitum.Formats.Drawings;

/// <summary>What is shown at which scale, in one place.</summary>
/// <param name="Scale">Pixels to an inch.</param>
internal readonly record struct Detail(double Scale)
{
    // A room fills the sheet from about here on.
    private const double RoomFrom = 2;

    private bool RoomFills => Scale >= RoomFrom;

    /// <summary>Names of counters, fixtures and appliances: where they are entered, and where a room fills the sheet.</summary>
    internal bool ThingNames(PlanStage stage) => stage == PlanStage.Rooms || RoomFills;

    /// <summary>Width and depth under the name of a room.</summary>
    internal static bool RoomSizes(PlanStage stage) => stage == PlanStage.Rooms;

    /// <summary>The number of its circuit at each box; else once for each circuit and room.</summary>
    internal bool NumberAtEachBox => RoomFills;

    /// <summary>Height of the letters of a room's name, in pixels, the largest that is tried first.</summary>
    internal double[] NameSizes => RoomFills ? [16, 13, 11] : [13, 11];
}
