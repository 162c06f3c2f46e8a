using Circuitum.Core.Analysis;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;
using Circuitum.Core.Panels;

namespace Circuitum.Core.Checks;

/// <summary>Circuits that share a home run, and what they need for it.</summary>
internal sealed class CircuitSharedNeutralRule : CheckedRule
{
    internal override string Id => "circuit.sharedNeutral";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        foreach (var first in a.Circuits.Where(c => c.Pair is not null && !c.Carried))
        {
            var (pair, second) = (first.Pair!, a.CircuitByNumber(first.Pair!.Second)!);
            Subject[] subjects = [Subject.Circuit(first.Number), Subject.Circuit(second.Number)];
            FindingFix apart = new("Give each its cable", new UnpairCircuits(first.Number));
            if (HomeRunPairing.WhyNot(first, second, pair.Kind) is { } why)
                yield return Breach(a, $"Circuits {first.Number} and {second.Number} share a home run, and may not. {why}", subjects) with
                {
                    Fix = apart,
                };
            if (pair.Kind != PairKind.SharedNeutral)
                continue;
            if (a.RowOf(first)?.Space is { } s && a.RowOf(second)?.Space is { } t && !SpacePlan.CanTie(s, t))
                yield return Breach(
                    a,
                    $"Circuits {first.Number} and {second.Number} share a neutral but sit in spaces {s} and {t}, not one under "
                        + "the other: they cannot open together.",
                    subjects
                ) with
                {
                    Fix = new("Put them together", new MoveBreaker(first.Number, Math.Min(s, t))),
                };
            if (first.Protection.Devices.Concat(second.Protection.Devices).FirstOrDefault(d => d.Box is null) is { } device)
                yield return Breach(
                    a,
                    $"Circuits {first.Number} and {second.Number} share a neutral and need {device.Mark} in the breaker: one-pole "
                        + $"protective breakers trip at once on a shared neutral. Use a two-pole {device.Mark} breaker, or a neutral for "
                        + "each.",
                    subjects
                ) with
                {
                    Fix = apart,
                };
        }
    }
}
