using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Geometry;

/// <summary>An opening as one room sees it, on that room's own wall.</summary>
/// <param name="Opening">The opening.</param>
/// <param name="Wall">The room's wall.</param>
/// <param name="From">From the wall's first corner.</param>
/// <param name="Hinge">The hinge end, seen along this wall.</param>
/// <param name="SwingsIn">Whether the leaf swings into this room.</param>
/// <param name="Beyond">The room on the other side, or none for outdoors.</param>
public sealed record RoomOpening(Opening Opening, int Wall, Length From, End Hinge, bool SwingsIn, string? Beyond)
{
    /// <summary>The far jamb.</summary>
    public Length To => From + Opening.Width;

    /// <summary>Whether a person can walk through it.</summary>
    public bool IsDoorway => Opening.Kind is not (OpeningKind.Window or OpeningKind.GarageDoor);
}
