using Circuitum.Core.Analysis;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Checks;

/// <summary>Circuits that could share a home run.</summary>
internal sealed class CircuitPairRule : CheckedRule
{
    internal override string Id => "circuit.pair";

    // More offers than this are noise: the largest come first.
    private const int MostOffers = 3;

    internal override IEnumerable<Finding> InHouse(JobAnalysis a) =>
        a.Job.Preferences.TwoCircuitHomeRuns != TwoCircuitHomeRuns.Never
            ? []
            : HomeRunPairing
                .Offers(a, PairKind.TwoNeutrals)
                .Take(MostOffers)
                .Select(offer =>
                    Breach(
                        a,
                        $"Circuits {offer.First} and {offer.Second} could share a home run with two neutrals: "
                            + $"{LengthText.Far(offer.Saving, a.Units)} "
                            + "less to pull.",
                        Subject.Circuit(offer.First),
                        Subject.Circuit(offer.Second)
                    ) with
                    {
                        Fix = new("Share it", new PairCircuits(offer.First, offer.Second, PairKind.TwoNeutrals)),
                    }
                );
}
