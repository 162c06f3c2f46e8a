using Circuitum.Core.Analysis;
using Circuitum.Core.Circuits;

namespace Circuitum.Core.Checks;

/// <summary>Counter receptacles beside each other are on different circuits.</summary>
internal sealed class CircuitCounterBesideRule : CheckedRule
{
    internal override string Id => "circuit.counterBeside";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        foreach (
            var kitchen in a
                .Job.Decisions.Boxes.Where(b => b.Wall is not null && BoxPurpose.AtCounter(a.Job, a.Edition, b))
                .GroupBy(b => b.Room)
        )
        {
            var row = CounterCircuits.InOrder(a.House, kitchen);
            foreach (var (one, other) in row.Zip(row.Skip(1)))
            {
                if (a.CircuitOf(one.Id) is { } c && a.CircuitOf(other.Id)?.Number == c.Number)
                    yield return Breach(
                        a,
                        $"{one.Id} and {other.Id} stand beside each other at the counter and are both on circuit {c.Number}.",
                        Subject.Box(one.Id),
                        Subject.Box(other.Id),
                        Subject.Circuit(c.Number)
                    );
            }
        }
    }
}
