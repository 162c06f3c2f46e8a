using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Panels;

/// <summary>The load on each line of the supply.</summary>
/// <param name="Supply">The supply.</param>
/// <param name="Each">In the order of its lines.</param>
public sealed record LineLoads(Supply Supply, ImmutableArray<VoltAmperes> Each)
{
    /// <summary>Nothing on any line.</summary>
    public static LineLoads None(Supply supply) => new(supply, [.. supply.Names.Select(_ => VoltAmperes.Zero)]);

    /// <summary>One load on one line.</summary>
    /// <param name="supply">The supply.</param>
    /// <param name="line">From 0.</param>
    /// <param name="load">The load.</param>
    public static LineLoads On(Supply supply, int line, VoltAmperes load) => new(supply, None(supply).Each.SetItem(line, load));

    /// <summary>The load on a line, counted from 0.</summary>
    public VoltAmperes this[int line] => Each[line];

    /// <summary>All lines together.</summary>
    public VoltAmperes Total => Each.Aggregate(VoltAmperes.Zero, (sum, load) => sum + load);

    /// <summary>The most loaded line.</summary>
    public VoltAmperes Most => Each.Max();

    /// <summary>How much more the most loaded line carries than the least loaded one.</summary>
    public VoltAmperes Gap => Each.Max() - Each.Min();

    /// <summary>The sum line by line.</summary>
    public static LineLoads Sum(Supply supply, IEnumerable<LineLoads> loads) =>
        loads.Aggregate(None(supply), (sum, next) => new(supply, [.. sum.Each.Zip(next.Each, (a, b) => a + b)]));

    /// <summary>Each line with its name: <c>A 5,120 VA, B 5,000 VA</c>.</summary>
    public override string ToString() => string.Join(", ", Each.Select((load, i) => $"{Supply.Names[i]} {load}"));
}
