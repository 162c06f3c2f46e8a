using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Explain;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Panels;

namespace Circuitum.Core.Bench;

/// <summary>The load of a service, with its conductors.</summary>
internal static class ServiceBench
{
    private const string Pool = "pool";

    // A pool counts as what heats water as it flows does.
    private static readonly ApplianceType PoolType = new()
    {
        Id = Pool,
        Name = "Pool",
        Group = ThingGroup.Outside,
        Connection = Connection.TwoLines,
        Traits = [ApplianceTrait.FullDemand],
    };

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
        [Pool] = (ServiceItemKind.Fixed, true),
    }.ToImmutableDictionary();

    internal static BenchQuestion Service { get; } =
        new(
            "service",
            "Service load",
            [
                new("edition", "Rules", CodeLibrary.EditionIds[0], BenchDesk.Editions),
                new("method", "Method, where the rules have two", "optional", "optional", "standard"),
                new("area-sqft", "Floor area, sq ft; by the outside line where the rules say so", "") { Example = "2100" },
                new("area-m2", "Floor area, m2, in its place", "") { Example = "150" },
                new("basement-m2", "Of that in a basement, m2, where it counts in part", "0"),
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
            Load
        );

    private static IEnumerable<ServiceItem> Items(BenchInput i) =>
        [
            .. i.Pairs("load", 0, 200_000)
                .Select(p =>
                {
                    if (Words.TryGetValue(p.Word, out var w))
                        return new ServiceItem(char.ToUpperInvariant(p.Word[0]) + p.Word[1..], new(p.Number), w.Kind, w.Motor)
                        {
                            Type = p.Word == Pool ? PoolType : null,
                        };
                    if (!CodeLibrary.Appliances.TryGetValue(p.Word, out var type))
                        throw new BenchException(
                            "load",
                            $"'{(p.Word.Length > 24 ? p.Word[..24] : p.Word)}' is not a load. Use "
                                + $"{string.Join(", ", Words.Keys.Order())} or an appliance: "
                                + $"{string.Join(", ", CodeLibrary.Appliances.Keys.Order())}."
                        );
                    return new ServiceItem(
                        type.Name,
                        new(p.Number),
                        LoadCase.KindOf(type, type.Hardwired || type.Fastened),
                        type.Motor || type.Hp is not null
                    )
                    {
                        Horsepower = type.Hp,
                        Type = type,
                        RefrigeratorAlone = type.Has(ApplianceTrait.Refrigerator),
                    };
                }),
        ];

    private static BenchAnswer Load(BenchInput i)
    {
        var edition = CodeLibrary.Edition(i.Choice("edition"));
        if (!i.Has("area-sqft") && !i.Has("area-m2"))
            throw new BenchException(edition.Units == LengthUnits.Metric ? "area-m2" : "area-sqft", "say the floor area.");
        var metres = i.Maybe("area-m2", 1, 10_000) ?? (i.Number("area-sqft", 1, 100_000) * FloorArea.SqMInSqFt);
        var basement = i.Number("basement-m2", 0, 10_000);
        if (basement > metres)
            throw new BenchException("basement-m2", "no more than the whole area.");
        var c = new ServiceCase
        {
            AreaSqFt = i.Has("area-sqft") ? i.Number("area-sqft", 1, 100_000) : metres / FloorArea.SqMInSqFt,
            InsideSqM = metres - basement,
            BasementSqM = basement,
            SmallApplianceCircuits = i.Whole("small-appliance", 0, 20),
            LaundryCircuits = i.Whole("laundry", 0, 20),
            Items = [.. Items(i)],
        };
        var load = ServiceLoad.By(c, edition, i.Choice("method") == "standard" ? ServiceMethod.Standard : ServiceMethod.Optional);
        var wires = CodeLibrary.Conductors.Service.FirstOrDefault(r =>
            r.Amperes >= Math.Max(edition.Number("serviceLeastA"), load.Current.Value) - 1e-6
        );
        var electrode = wires is null ? null : edition.ElectrodeFor(wires.Copper);
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
                Because = load.Method == ServiceMethod.Optional ? "The optional method is for a service of 100 A and more." : "",
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
}
