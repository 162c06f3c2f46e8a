using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Explain;
using Circuitum.Core.Panels;

namespace Circuitum.Core.Bench;

/// <summary>The load of a service, with its conductors.</summary>
internal static class ServiceBench
{
    // Words for loads that are no appliance of the library.
    private static readonly ImmutableDictionary<string, (ServiceItemKind Kind, bool Motor)> Words = new Dictionary<
        string,
        (ServiceItemKind, bool)
    >
    {
        ["cooling"] = (ServiceItemKind.Cooling, true),
        ["heating"] = (ServiceItemKind.Heating, false),
        ["ev"] = (ServiceItemKind.Charging, false),
        ["motor"] = (ServiceItemKind.Fixed, true),
        ["fixed"] = (ServiceItemKind.Fixed, false),
        ["pool"] = (ServiceItemKind.Fixed, true),
    }.ToImmutableDictionary();

    internal static BenchQuestion Service { get; } =
        new(
            "service",
            "Service load",
            [
                new("method", "Method", "optional", "optional", "standard", WireBench.Canada),
                new("edition", "Rules, for the US methods", CodeLibrary.EditionIds[0], BenchDesk.UsEditions),
                new("area-sqft", "Floor area by the outside line, sq ft", "") { Example = "2100" },
                new("area-m2", "Floor area, m2, for Canada", "") { Example = "150" },
                new("basement-m2", "Of that in a basement, m2, for Canada", "0"),
                new("small-appliance", "Small-appliance circuits", "2"),
                new("laundry", "Laundry circuits", "1"),
                new(
                    "load",
                    $"A load by word and VA. Words: {string.Join(", ", Words.Keys.Order())}, or an appliance such as range, "
                        + "dryer, water-heater, heat-pump, air-handler, ev-charger",
                    ""
                )
                {
                    Many = true,
                    Example = "range:12000",
                },
            ],
            i => i.Choice("method") == WireBench.Canada ? InCanada(i) : InUs(i)
        );

    private static (string Word, ServiceItem Item, ApplianceType? Type)[] Items(BenchInput i) =>
        [
            .. i.Pairs("load", 0, 200_000)
                .Select(p =>
                {
                    if (Words.TryGetValue(p.Word, out var w))
                        return (
                            p.Word,
                            new ServiceItem(char.ToUpperInvariant(p.Word[0]) + p.Word[1..], new(p.Number), w.Kind, w.Motor),
                            (ApplianceType?)null
                        );
                    if (!CodeLibrary.Appliances.TryGetValue(p.Word, out var type))
                        throw new BenchException(
                            "load",
                            $"'{(p.Word.Length > 24 ? p.Word[..24] : p.Word)}' is not a load. Use "
                                + $"{string.Join(", ", Words.Keys.Order())} or an appliance: "
                                + $"{string.Join(", ", CodeLibrary.Appliances.Keys.Order())}."
                        );
                    var item = new ServiceItem(
                        type.Name,
                        new(p.Number),
                        LoadCase.KindOf(type, type.Hardwired || type.Fastened),
                        type.Motor || type.Hp is not null
                    );
                    return (
                        p.Word,
                        item with
                        {
                            Horsepower = type.Hp,
                            RefrigeratorAlone = type.Has(ApplianceTrait.Refrigerator),
                        },
                        (ApplianceType?)type
                    );
                }),
        ];

    private static BenchAnswer InUs(BenchInput i)
    {
        var edition = CodeLibrary.Edition(i.Choice("edition"));
        if (!i.Has("area-sqft"))
            throw new BenchException("area-sqft", "say the floor area.");
        var c = new ServiceCase
        {
            AreaSqFt = i.Number("area-sqft", 1, 100_000),
            SmallApplianceCircuits = i.Whole("small-appliance", 0, 20),
            LaundryCircuits = i.Whole("laundry", 0, 20),
            Items = [.. Items(i).Select(x => x.Item)],
        };
        var load = i.Choice("method") == "standard" ? ServiceLoad.Standard(c, edition) : ServiceLoad.Optional(c, edition);
        var wires = CodeLibrary.Conductors.Service.FirstOrDefault(r =>
            r.Amperes >= Math.Max(edition.Number("serviceLeastA"), load.Current.Value) - 1e-6
        );
        var electrode = wires is null ? null : CodeLibrary.Families.ElectrodeFor(wires.Copper);
        return new(
            [
                ("va", Math.Round(load.Total.Value)),
                ("amps", Math.Round(load.Current.Value, 1)),
                ("service", wires?.Amperes),
                ("copper", wires?.Copper),
                ("aluminum", wires?.Aluminum),
                ("electrodeConductor", electrode?.Copper),
            ],
            load.Derivation with
            {
                Because = i.Choice("method") == "optional" ? "The optional method is for a service of 100 A and more." : "",
                Steps =
                [
                    .. load.Derivation.Steps,
                    .. wires is null
                        ? [new Derivation("Service", "over 400 A") { Because = "Beyond the dwelling table: for an engineer." }]
                        : new[]
                        {
                            new Derivation("Service", $"{wires.Amperes} A")
                            {
                                Citation = edition.Cite("service.size"),
                                Because = $"The next size; a one-family house has {edition.Number("serviceLeastA"):0} A at least.",
                            },
                            new Derivation("Service conductors", $"{wires.Copper} copper or {wires.Aluminum} aluminum")
                            {
                                Citation = edition.Cite("service.conductor"),
                                Because = "For conductors that carry the whole load of the dwelling.",
                            },
                            new Derivation("Grounding electrode conductor", $"{electrode!.Copper} copper or {electrode.Aluminum} aluminum")
                            {
                                Citation = edition.Cite("service.electrodeConductor"),
                                Because = "By the service conductors; never more than 6 copper to a rod, 4 copper to an encased electrode.",
                            },
                        },
                ],
            }
        );
    }

    private static BenchAnswer InCanada(BenchInput i)
    {
        if (!i.Has("area-m2") && !i.Has("area-sqft"))
            throw new BenchException("area-m2", "say the floor area.");
        var whole = i.Maybe("area-m2", 1, 10_000) ?? (i.Number("area-sqft", 1, 100_000) * 0.09290304);
        var basement = i.Number("basement-m2", 0, 10_000);
        if (basement > whole)
            throw new BenchException("basement-m2", "no more than the whole area.");
        var (counted, above) = (whole - basement + (basement * 0.75), whole - basement);
        var items = Items(i);
        var lines = new List<Derivation>();
        var further = counted > 90 ? (int)Math.Ceiling((counted - 90) / 90 - 1e-9) : 0;
        var sum = Add(
            "Floor area",
            5000 + (1000.0 * further),
            further > 0 ? $"5000 + {further} x 1000, {counted:0.#} m2" : $"5000, {counted:0.#} m2"
        );
        double Of(ServiceItemKind kind) => items.Where(x => x.Item.Kind == kind).Sum(x => x.Item.Load.Value);
        var heat = Of(ServiceItemKind.Heating) + Of(ServiceItemKind.HeatPump);
        var (heating, cooling) = (
            Math.Min(heat, 10_000) + (Math.Max(0, heat - 10_000) * 0.75),
            Of(ServiceItemKind.Cooling) + Of(ServiceItemKind.HeatPump)
        );
        if (Math.Max(heating, cooling) > 0)
            sum += Add("Heating or cooling, the larger", Math.Max(heating, cooling), $"heating {heating:#,0}; cooling {cooling:#,0}");
        var cooking = items.Where(x => x.Item.Kind == ServiceItemKind.Cooking).OrderByDescending(x => x.Item.Load.Value).ToList();

        // A built-in cooktop and its oven are one range (8-300).
        var top = cooking.FirstOrDefault(x => x.Word == "cooktop");
        var oven = cooking.FirstOrDefault(x => x.Word == "wall-oven");
        var builtIn = top.Item is not null && oven.Item is not null ? top.Item.Load.Value + oven.Item.Load.Value : 0;
        var first = cooking.Count > 0 ? cooking[0].Item.Load.Value : 0;
        var asRange = Math.Max(builtIn, first);
        var ranges = cooking.Where(x => builtIn >= first && builtIn > 0 ? x != top && x != oven : x != cooking[0]).ToList();
        if (asRange > 0)
            sum += Add(
                "Range",
                6000 + (Math.Max(0, asRange - 12_000) * 0.4),
                $"6000 + 40 percent of what of {asRange:#,0} W is over 12 kW"
                    + $"{(builtIn >= first && builtIn > 0 ? "; cooktop and oven are one range" : "")}"
            );
        var full = items.Where(x => x.Item.Kind == ServiceItemKind.Charging || x.Word is "tankless" or "hot-tub" or "pool").ToList();
        if (full.Count > 0)
            sum += Add("Tankless heaters, pools, hot tubs, charging", full.Sum(x => x.Item.Load.Value), "in full");
        var other = items
            .Except(full)
            .Where(x => x.Item.Kind is ServiceItemKind.Fixed or ServiceItemKind.Dryer && x.Item.Load.Value > 1500)
            .Concat(ranges)
            .Sum(x => x.Item.Load.Value);
        if (other > 0)
            sum +=
                asRange > 0
                    ? Add("Other loads over 1500 W", other * 0.25, $"{other:#,0} x 0.25")
                    : Add(
                        "Other loads over 1500 W",
                        Math.Min(other, 6000) + (Math.Max(0, other - 6000) * 0.25),
                        $"{Math.Min(other, 6000):#,0} + {Math.Max(0, other - 6000):#,0} x 0.25"
                    );
        var least = above >= 80 ? 24_000.0 : 14_400;
        var watts = Math.Max(sum, least);
        var service = CodeLibrary.Families.Canada.Breakers.FirstOrDefault(b => b >= (watts / CodeLibrary.Supply.Between) - 1e-6);
        return new(
            [
                ("calculated", Math.Round(sum)),
                ("va", Math.Round(watts)),
                ("amps", Math.Round(watts / CodeLibrary.Supply.Between, 1)),
                ("service", service),
            ],
            new("Service load, Canada, basic", $"{watts:#,0} W, {watts / CodeLibrary.Supply.Between:0.0} A")
            {
                Formula =
                    $"the larger of {sum:#,0} and {least:#,0} W; "
                    + $"{watts:#,0} / {CodeLibrary.Supply.Between} = {watts / CodeLibrary.Supply.Between:0.0} A",
                Citation = CodeLibrary.Families.Canada.Cites["service"],
                Because =
                    $"{(above >= 80 ? "80 m2 and more: 24 000 W at least." : "Under 80 m2: 14 400 W at least.")} A basement "
                    + "does not count towards the 80 m2.",
                Steps = [.. lines],
            }
        );

        double Add(string what, double value, string formula)
        {
            lines.Add(new(what, $"{value:#,0} W") { Formula = formula, Citation = CodeLibrary.Families.Canada.Cites["area"] });
            return value;
        }
    }
}
