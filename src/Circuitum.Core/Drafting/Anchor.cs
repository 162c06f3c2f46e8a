using Circuitum.Core.Measure;

namespace Circuitum.Core.Drafting;

/// <summary>A place on a wall.</summary>
/// <param name="Room">The room.</param>
/// <param name="Wall">The number of its wall.</param>
/// <param name="From">From the wall's first corner to the nearer side, or to the centre of a thing without width.</param>
/// <param name="Width">Along the wall.</param>
public readonly record struct Anchor(string Room, int Wall, Length From, Length Width);
