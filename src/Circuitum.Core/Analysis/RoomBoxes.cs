using System.Collections.Immutable;
using Circuitum.Core.Geometry;

namespace Circuitum.Core.Analysis;

/// <summary>The boxes of a room.</summary>
/// <param name="Room">The room.</param>
/// <param name="Lines">Its boxes, wall by wall from the left, then those in the ceiling.</param>
/// <param name="Counts">How many of each.</param>
public sealed record RoomBoxes(RoomShape Room, ImmutableArray<BoxLine> Lines, ImmutableArray<(string What, int Count)> Counts)
{
    /// <summary>The walls that carry boxes.</summary>
    public ImmutableArray<int> Walls => [.. Lines.Where(l => l.Box.Wall is not null).Select(l => l.Box.Wall!.Value).Distinct().Order()];
}
