using System.Collections.Immutable;
using Circuitum.Core.Takeoff;

namespace Circuitum.Formats.Supply;

/// <summary>What came of a price list.</summary>
/// <param name="Rows">The rows that can be taken.</param>
/// <param name="Refused">The others, by their line in the file, with the reason.</param>
/// <param name="RefusedInAll">How many there are, when they are more than are told.</param>
/// <param name="Problem">Why nothing of it can be taken; empty when something can.</param>
public sealed record PriceListReading(
    ImmutableArray<PriceRow> Rows,
    ImmutableArray<(int Line, string Why)> Refused,
    int RefusedInAll,
    string Problem
);
