using System.Collections.Immutable;

namespace Circuitum.Core.Codes;

/// <summary>Metric tables of copper singles with PVC for 70 C in conduit at 30 C.</summary>
public sealed record SplitBoardTables
{
    /// <summary>Section numbers by what they are about.</summary>
    public required ImmutableDictionary<string, string> Cites { get; init; }

    /// <summary>Miniature circuit breakers in amperes.</summary>
    public required ImmutableArray<int> Breakers { get; init; }

    /// <summary>Cables, smallest first.</summary>
    public required ImmutableArray<MetricCable> Cables { get; init; }

    /// <summary>Factor up to and including a temperature in degrees Celsius.</summary>
    public required ImmutableArray<FactorRow> Ambient { get; init; }

    /// <summary>Factor by the number of circuits in one conduit.</summary>
    public required ImmutableArray<FactorRow> Grouped { get; init; }

    /// <summary>The row of a section.</summary>
    /// <exception cref="InvalidOperationException">No such section.</exception>
    public MetricCable Cable(Measure.WireSize size) => Cables.First(c => c.Size == size);

    /// <summary>The factor at a temperature; 0 where the table ends.</summary>
    public double AmbientFactor(int celsius) => Ambient.FirstOrDefault(r => celsius <= r.Key)?.Factor ?? 0;

    /// <summary>The factor for so many circuits in one conduit; 0 where the table ends.</summary>
    public double GroupFactor(int circuits) => Grouped.FirstOrDefault(r => circuits <= r.Key)?.Factor ?? 0;
}
