using Circuitum.Core.Codes;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Loads;

/// <summary>The limits on what may hang on one breaker (210.19, 210.20, 210.23).</summary>
public static class LoadLimits
{
    /// <summary>The limits that the given loads break on a breaker.</summary>
    /// <param name="edition">The edition.</param>
    /// <param name="breaker">Rating in amperes.</param>
    /// <param name="volts">The circuit's voltage.</param>
    /// <param name="loads">What hangs on it.</param>
    public static IEnumerable<LoadBreach> Check(CodeEdition edition, int breaker, int volts, IReadOnlyList<BoxLoad> loads)
    {
        var factor = edition.Number("continuousFactor");
        return Found().Where(b => edition.InForce(b.RuleId));

        IEnumerable<LoadBreach> Found()
        {
            var counted = loads.Where(l => !l.Practice);
            var sum = new Amperes(counted.Sum(l => l.Load.Value * (l.Continuous ? factor : 1)) / volts);
            if (!(sum <= new Amperes(breaker)))
                yield return new("circuit.overload", $"{sum} on a {breaker} A breaker.");

            var others = loads.Any(l => l.Kind is LoadKind.Light or LoadKind.PlugIn or LoadKind.GeneralReceptacle);
            var fixedSum = new Amperes(loads.Where(l => l.Kind == LoadKind.Fixed).Sum(l => l.Load.Value) / volts);
            var half = breaker * edition.Number("fixedShare");
            if (others && breaker is 15 or 20 && !(fixedSum <= new Amperes(half)))
                yield return new(
                    "circuit.half",
                    $"Fixed appliances take {fixedSum}, over {edition.Number("fixedShare") * 100:0.#} percent of {breaker} A ({half:0.#} "
                        + "A), beside lights or plug-in loads."
                );

            foreach (var load in loads.Where(l => l.Kind == LoadKind.PlugIn && breaker is 15 or 20 or 25 or 30))
            {
                var amps = load.Load.At(volts);
                if (!(amps <= new Amperes(breaker * edition.Number("plugInShare"))))
                    yield return new(
                        "circuit.plugIn",
                        $"One plug-in appliance draws {amps}, over {edition.Number("plugInShare") * 100:0.#} percent of {breaker} A."
                    );
            }
        }
    }
}
