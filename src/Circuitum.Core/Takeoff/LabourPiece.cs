using Circuitum.Core.Codes;

namespace Circuitum.Core.Takeoff;

/// <summary>Work on one box, cable, hole or panel.</summary>
/// <param name="Task">What is done.</param>
/// <param name="Times">How often, or over how many feet or metres.</param>
/// <param name="Place">Where and for which circuit.</param>
public sealed record LabourPiece(LabourTask Task, double Times, PieceOrigin Place)
{
    /// <summary>Minutes of one person by the figures to begin with.</summary>
    public double Minutes => Times * Task.Minutes;
}
