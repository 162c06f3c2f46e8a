using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Commands;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>Lights and the switches that they hang on.</summary>
internal static class SwitchedLights
{
    /// <summary>The boxes of all lights that a switch serves.</summary>
    internal static HashSet<string> Of(JobAnalysis a) => [.. a.Job.Decisions.Boxes.SelectMany(b => b.Gangs).SelectMany(g => g.Lights)];

    /// <summary>The lights inside a room.</summary>
    internal static List<Box> In(JobAnalysis a, RoomShape shape) =>
        [.. a.Job.Decisions.Boxes.Where(b => b.Kind == BoxKind.Light && b.Room == shape.Room.Id && !b.Outside)];

    /// <summary>A switch beside the first door by which a room is entered; none where it has no door.</summary>
    internal static FindingFix? SwitchIn(JobAnalysis a, RoomShape shape) =>
        SwitchReach.Entries(a.House, shape).FirstOrDefault() is { } door ? SwitchAt(shape, door) : null;

    /// <summary>A switch beside a door.</summary>
    internal static FindingFix SwitchAt(RoomShape shape, RoomOpening door) =>
        new("Add a switch at the door", new AddSwitch(shape.Room.Id, door.Opening.Id));
}
