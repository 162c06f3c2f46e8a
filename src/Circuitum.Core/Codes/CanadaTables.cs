using System.Collections.Immutable;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Codes;

/// <summary>Canadian tables; ampacity is that of the shared columns (Table 2).</summary>
public sealed record CanadaTables
{
    /// <summary>Section numbers by what they are about.</summary>
    public required ImmutableDictionary<string, string> Cites { get; init; }

    /// <summary>Standard breakers in amperes.</summary>
    public required ImmutableArray<int> Breakers { get; init; }

    /// <summary>Factor by current-carrying conductors together (Table 5C).</summary>
    public required ImmutableArray<CountRow> Count { get; init; }

    /// <summary>Room that one conductor takes in a box, in cubic inches, by AWG (Table 22).</summary>
    public required ImmutableDictionary<WireSize, double> BoxIn3 { get; init; }
}
