using System.Globalization;
using Circuitum.Core.Codes;
using Circuitum.Core.Explain;
using Circuitum.Core.Jobs;
using Circuitum.Core.Loads;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Bench;

/// <summary>What may hang on a breaker, and what cooking asks for.</summary>
internal static class CircuitBench
{
    internal static BenchQuestion Circuit { get; } =
        new(
            "circuit",
            "Loads on one breaker",
            [
                new("edition", "Rules", CodeLibrary.EditionIds[0], BenchDesk.UsEditions),
                new("breaker", "Breaker, A", "20"),
                new("volts", "Volts", $"{CodeLibrary.Newest.Supply.ToNeutral}"),
                new("fixed", "An appliance fastened in place, A; a c behind it when it runs three hours or more", "")
                {
                    Many = true,
                    Example = "9.5c",
                },
                new("plug", "A plug-in appliance, A; c as above", "") { Many = true, Example = "12" },
                new("lights", "Lights, VA", "") { Many = true, Example = "60" },
                new("receptacles", "General receptacles", "0"),
            ],
            Loads
        );

    internal static BenchQuestion Range { get; } =
        new(
            "range",
            "Demand of household cooking",
            [
                new("kw", "Nameplates, kW", "")
                {
                    Needed = true,
                    Many = true,
                    Example = "12",
                },
                new("volts", "Volts", $"{CodeLibrary.Newest.Supply.Between}"),
            ],
            Cooking
        );

    private static BenchAnswer Loads(BenchInput i)
    {
        var edition = CodeLibrary.Edition(i.Choice("edition"));
        var (breaker, volts) = (i.Whole("breaker", 1, 400), i.Whole("volts", 100, 300));
        if (!edition.Breakers.Contains(breaker))
            throw new BenchException("breaker", $"choose one of {string.Join(", ", edition.Breakers)}.");
        List<BoxLoad> loads =
        [
            .. LoadsOf("fixed", LoadKind.Fixed),
            .. LoadsOf("plug", LoadKind.PlugIn),
            .. i.Numbers("lights", 0, 50_000).Select(va => new BoxLoad(new Box(), new(va), false, LoadKind.Light, "")),
            .. Enumerable
                .Range(0, i.Whole("receptacles", 0, 100))
                .Select(_ => new BoxLoad(new Box(), new(edition.ReceptacleVa), false, LoadKind.GeneralReceptacle, "") { Practice = true }),
        ];
        if (loads.Count == 0)
            throw new BenchException("fixed", "say at least one load.");
        var factor = edition.Number("continuousFactor");
        var counted = loads.Where(l => !l.Practice).ToList();
        var (steady, rest) = (
            counted.Where(l => l.Continuous).Sum(l => l.Load.Value) / volts,
            counted.Where(l => !l.Continuous).Sum(l => l.Load.Value) / volts
        );
        var receptacles = loads.Count - counted.Count;
        var sizing = (steady * factor) + rest;
        var breaches = LoadLimits.Check(edition, breaker, volts, loads).ToList();
        return new(
            [
                ("load", Math.Round(steady + rest, 3)),
                ("sizing", Math.Round(sizing, 3)),
                ("passes", breaches.Count == 0),
                ("breaches", breaches.Select(b => b.RuleId).Distinct().ToArray()),
            ],
            new("Loads on one breaker", $"{sizing:0.0##} A on {breaker} A, {(breaches.Count == 0 ? "passes" : "fails")}")
            {
                Formula = steady > 0 ? $"{steady:0.0##} x {factor:0.00} + {rest:0.0##} = {sizing:0.0##} A" : $"{rest:0.0##} A",
                Citation = edition.Cite("circuit.overload"),
                Because =
                    (breaches.Count == 0 ? "Nothing is broken." : string.Join(" ", breaches.Select(b => b.Sentence)))
                    + (
                        receptacles > 0
                            ? $" {receptacles} general receptacle{(receptacles == 1 ? "" : "s")} in a dwelling count for nothing "
                                + $"here: no edition has a number; practice plans {edition.ReceptacleVa:0} VA each, "
                                + $"{receptacles * edition.ReceptacleVa / volts:0.#} A."
                            : ""
                    ),
                Steps =
                [
                    .. loads
                        .GroupBy(l => (l.Kind, l.Load, l.Continuous))
                        .Select(g =>
                            Derivation.Fact(
                                $"{g.Count()} x {Word(g.Key.Kind)}",
                                $"{g.Sum(l => l.Load.Value) / volts:0.0##} A{(g.Key.Continuous ? ", continuous" : "")}"
                            )
                        ),
                    .. breaches.Select(b => new Derivation(edition.Rule(b.RuleId).Title, "fails")
                    {
                        Because = b.Sentence,
                        Citation = edition.Cite(b.RuleId),
                    }),
                ],
            }
        );

        IEnumerable<BoxLoad> LoadsOf(string field, LoadKind kind) =>
            i.All(field)
                .SelectMany(v => v.Split([',', ' '], StringSplitOptions.RemoveEmptyEntries))
                .Select(v =>
                {
                    var text = v.TrimEnd('c', 'C');
                    if (
                        !double.TryParse(text, NumberStyles.Float, CultureInfo.InvariantCulture, out var amps)
                        || amps is not (> 0 and <= 400)
                    )
                        throw new BenchException(field, $"'{(v.Length > 20 ? v[..20] : v)}' is not amperes, such as 9.5 or 9.5c.");
                    return new BoxLoad(new Box(), new(amps * volts), text.Length < v.Length, kind, "");
                });
    }

    private static string Word(LoadKind kind) =>
        kind switch
        {
            LoadKind.Fixed => "fixed appliance",
            LoadKind.PlugIn => "plug-in appliance",
            LoadKind.Light => "lights",
            _ => "receptacle",
        };

    private static BenchAnswer Cooking(BenchInput i)
    {
        var plates = i.Numbers("kw", 0.1, 27);
        var volts = i.Whole("volts", 100, 300);
        if (plates.Length > CookingDemand.Most)
            throw new BenchException("kw", $"{CookingDemand.Most} appliances at most; a house has no more.");
        var demand = CookingDemand.Of([.. plates.Select(p => new VoltAmperes(p * 1000))], CodeLibrary.Newest);
        var (va, formula, column) = (demand.Demand.Value, demand.Derivation.Formula, demand.Column);
        return new(
            [("demandVa", Math.Round(va)), ("amps", Math.Round(va / volts, 1)), ("column", column)],
            new("Cooking demand", $"{va:#,0} VA, {va / volts:0.0} A")
            {
                Formula = formula,
                Citation = demand.Derivation.Citation,
                Because =
                    "For a feeder or service, and for the circuit of a range or of one cooktop with up to two ovens of its "
                    + "room (note 4). A circuit for one wall oven or one cooktop goes by its nameplate.",
                Steps = [.. plates.Select((p, n) => Derivation.Fact($"Nameplate {n + 1}", $"{p:0.##} kW"))],
            }
        );
    }
}
