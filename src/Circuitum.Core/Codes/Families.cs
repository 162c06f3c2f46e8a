using System.Collections.Immutable;

namespace Circuitum.Core.Codes;

/// <summary>
/// What a further family of rules needs for quick answers, and tables that stand by themselves. That family is basic: sizing only.
/// </summary>
public sealed record Families
{
    /// <summary>Metric boards of 230/400 V with residual-current sections.</summary>
    public required SplitBoardTables SplitBoard { get; init; }

    /// <summary>Demand of household cooking by the number of appliances (Table 220.55).</summary>
    public required ImmutableArray<CookingRow> RangeDemand { get; init; }

    /// <summary>Grounding electrode conductors by service conductors (Table 250.66).</summary>
    public required ImmutableArray<ElectrodeRow> Electrode { get; init; }
}
