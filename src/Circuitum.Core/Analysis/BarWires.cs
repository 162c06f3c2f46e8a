using System.Collections.Immutable;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Analysis;

/// <summary>Grounds or neutrals of one size that are landed on a bar.</summary>
/// <param name="Size">AWG.</param>
/// <param name="Count">How many.</param>
/// <param name="From">Whose they are: circuit numbers, or names of panels.</param>
public sealed record BarWires(WireSize Size, int Count, ImmutableArray<string> From);
