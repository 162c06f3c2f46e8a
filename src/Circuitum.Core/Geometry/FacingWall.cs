using Circuitum.Core.Measure;

namespace Circuitum.Core.Geometry;

/// <summary>A wall of another room that is the other side of a room's wall.</summary>
/// <param name="Room">The other room.</param>
/// <param name="Wall">The number of its wall.</param>
/// <param name="GapInches">How far the two faces stand apart: the wall's thickness.</param>
/// <param name="From">Where the common part begins, along the wall that was asked for.</param>
/// <param name="To">Where it ends.</param>
public sealed record FacingWall(RoomShape Room, int Wall, double GapInches, Length From, Length To);
