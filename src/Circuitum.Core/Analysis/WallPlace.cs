using Circuitum.Core.Measure;

namespace Circuitum.Core.Analysis;

/// <summary>A place in a wall: along it from its first corner, and over the floor.</summary>
/// <param name="Along">Along the wall.</param>
/// <param name="Height">Over the floor.</param>
public readonly record struct WallPlace(Length Along, Length Height);
