using Circuitum.Core.Measure;

namespace Circuitum.Core.Sizing;

/// <summary>Conductors of one size.</summary>
/// <param name="Size">AWG.</param>
/// <param name="Count">How many.</param>
public sealed record WireCount(WireSize Size, int Count);
