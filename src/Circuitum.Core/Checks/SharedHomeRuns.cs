using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;
using Circuitum.Core.Panels;

namespace Circuitum.Core.Checks;

/// <summary>Home runs that two circuits share, and those that could.</summary>
internal sealed class SharedHomeRuns : ICheck
{
    public ImmutableArray<string> Rules => ["circuit.pair", "circuit.sharedNeutral"];

    // More offers than this are noise: the largest come first.
    private const int MostOffers = 3;

    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        foreach (var first in a.Circuits.Where(c => c.Pair is not null && !c.Carried))
        {
            var (pair, second) = (first.Pair!, a.CircuitByNumber(first.Pair!.Second)!);
            Subject[] subjects = [Subject.Circuit(first.Number), Subject.Circuit(second.Number)];
            if (HomeRunPairing.WhyNot(first, second, pair.Kind) is { } why)
                yield return CheckList.Make(
                    a,
                    "circuit.sharedNeutral",
                    $"Circuits {first.Number} and {second.Number} share a home run, and may not. {why}",
                    subjects
                ) with
                {
                    Fix = new("Give each its cable", new UnpairCircuits(first.Number)),
                };
            if (pair.Kind != PairKind.SharedNeutral)
                continue;
            var (one, other) = (Space(a, first), Space(a, second));
            if (one is { } s && other is { } t && !SpacePlan.CanTie(s, t))
                yield return CheckList.Make(
                    a,
                    "circuit.sharedNeutral",
                    $"Circuits {first.Number} and {second.Number} share a neutral but sit in spaces {s} and {t}, not one under "
                        + "the other: they cannot open together.",
                    subjects
                ) with
                {
                    Fix = new("Put them together", new MoveBreaker(first.Number, Math.Min(s, t))),
                };
            foreach (var d in first.Protection.Devices.Concat(second.Protection.Devices).Where(d => d.Box is null).Take(1))
                yield return CheckList.Make(
                    a,
                    "circuit.sharedNeutral",
                    $"Circuits {first.Number} and {second.Number} share a neutral and need {d.Mark} in the breaker: one-pole "
                        + $"protective breakers trip at once on a shared neutral. Use a two-pole {d.Mark} breaker, or a neutral for "
                        + "each.",
                    subjects
                ) with
                {
                    Fix = new("Give each its cable", new UnpairCircuits(first.Number)),
                };
        }

        if (a.Job.Preferences.TwoCircuitHomeRuns != TwoCircuitHomeRuns.Never)
            yield break;
        foreach (var offer in HomeRunPairing.Offers(a, PairKind.TwoNeutrals).Take(MostOffers))
            yield return CheckList.Make(
                a,
                "circuit.pair",
                $"Circuits {offer.First} and {offer.Second} could share a home run with two neutrals: {offer.Saving.InFeet:0} "
                    + "ft less to pull.",
                Subject.Circuit(offer.First),
                Subject.Circuit(offer.Second)
            ) with
            {
                Fix = new("Share it", new PairCircuits(offer.First, offer.Second, PairKind.TwoNeutrals)),
            };
    }

    private static int? Space(JobAnalysis a, CircuitAnalysis c) => a.RowOf(c)?.Space;
}
