using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Explain;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Panels;

/// <summary>A worked service load.</summary>
/// <param name="Method">Which method; none where the edition has one only.</param>
/// <param name="Total">The load.</param>
/// <param name="Current">Between the lines.</param>
/// <param name="Derivation">Line by line.</param>
public sealed partial record ServiceLoad(ServiceMethod? Method, VoltAmperes Total, Amperes Current, Derivation Derivation)
{
    /// <summary>What the method is called, in small letters: <c>standard method</c>.</summary>
    public string Name => Called ?? (Method is { } method ? $"{method.ToString().ToLowerInvariant()} method" : "load by floor area");

    /// <summary>What it is called where there is no method to name it by.</summary>
    public string? Called { get; init; }

    /// <summary>The load by every method of an edition.</summary>
    public static ImmutableArray<ServiceLoad> Of(ServiceCase c, CodeEdition edition) =>
        edition.Ways.Service switch
        {
            ServiceWay.ByArea => [AreaLoad.Of(c, edition)],
            ServiceWay.Connected => [BoardDemand.Of(c, edition)],
            _ => [Standard(c, edition), Optional(c, edition)],
        };

    /// <summary>The load by one of an edition's methods.</summary>
    /// <param name="c">The case.</param>
    /// <param name="edition">The edition.</param>
    /// <param name="method">Which, where there are several.</param>
    public static ServiceLoad By(ServiceCase c, CodeEdition edition, ServiceMethod? method) =>
        Of(c, edition) is var all && all.FirstOrDefault(l => l.Method == method) is { } one ? one : all[0];

    /// <summary>Standard method (220.40 and following).</summary>
    public static ServiceLoad Standard(ServiceCase c, CodeEdition edition)
    {
        var (general, steps) = ServiceParts.General(c, edition);
        var (demand, formula) = ServiceParts.Demand(general, edition);
        var lines = new List<Derivation>
        {
            new("General load after demand", $"{demand:#,0} VA")
            {
                Formula = formula,
                Citation = edition.Cite("service.demand"),
                Steps = [.. steps],
            },
        };
        var total = demand;
        var appliances = c.Items.Where(i => i.Kind == ServiceItemKind.Fixed).ToList();
        bool Large(ServiceItem i) => ServiceParts.CountsToFour(i, edition);
        var factor = ServiceParts.FixedFactor(c, edition);
        if (appliances.Count > 0)
        {
            // What is under the edition's least does not make up the four and is not reduced: a small fan counts in full.
            var reduced = appliances.Where(Large).Sum(i => i.Load.Value);
            var small = appliances.Where(i => !Large(i)).Sum(i => i.Load.Value);
            var sum = (reduced * factor) + small;
            Add(
                "Appliances fastened in place",
                sum,
                $"{reduced:#,0} x {factor:0.00}{(small > 0 ? $" + {small:#,0}" : "")}",
                edition.Cite("service.appliances"),
                appliances
            );
        }

        foreach (var item in c.Items.Where(i => i.Kind is ServiceItemKind.Specific or ServiceItemKind.Outlets))
        {
            if (item.RefrigeratorAlone)
                lines.Add(
                    new(item.Name, "0 VA")
                    {
                        Formula = $"{item.Load} by its plate",
                        Citation = edition.Cite("service.refrigerator"),
                        Because = "A kitchen refrigerator on a circuit of its own is left out of this method.",
                    }
                );
            else
                Add(
                    item.Name,
                    item.Load.Value,
                    item.Kind == ServiceItemKind.Outlets ? "as planned, outlet by outlet" : "as its plate says",
                    edition.Cite(item.Kind == ServiceItemKind.Outlets ? "service.outlets" : "service.plate"),
                    []
                );
        }

        var cooking = c.Items.Where(i => i.Kind == ServiceItemKind.Cooking).ToList();
        if (cooking.Count > 0)
        {
            var d = ServiceParts.Cooking(cooking, edition);
            total += d.Demand.Value;
            lines.Add(
                new(string.Join(" and ", cooking.Select(i => i.Name)), $"{d.Demand}")
                {
                    Formula = cooking.Count == 1 ? "demand table" : $"demand table for {cooking.Count}",
                    Citation = edition.Cite("service.cooking"),
                    Steps = [d.Derivation],
                }
            );
        }

        foreach (var item in c.Items.Where(i => i.Kind == ServiceItemKind.Dryer))
            Add(
                item.Name,
                Math.Max(edition.Number("dryerLeastVa"), item.Load.Value),
                $"the larger of {edition.Number("dryerLeastVa"):0} VA and the nameplate",
                edition.Cite("service.dryer"),
                [item]
            );
        foreach (var item in c.Items.Where(i => i.Kind == ServiceItemKind.Charging))
            Add(
                item.Name,
                Math.Max(edition.Number("evLeastVa"), item.Load.Value),
                edition.Number("evLeastVa") > 0 ? $"the larger of {edition.Number("evLeastVa"):0} VA and the nameplate" : "the nameplate",
                edition.Cite("service.charging"),
                [item]
            );
        var pump = ServiceParts.Sum(c, ServiceItemKind.HeatPump);
        var heat = ServiceParts.Sum(c, ServiceItemKind.Heating);
        var cooling = ServiceParts.Sum(c, ServiceItemKind.Cooling);
        var larger = Math.Max(pump + heat, cooling + pump);
        if (larger > 0)
            Add(
                "Heating or cooling, the larger",
                larger,
                $"heat {pump + heat:#,0}; cooling {cooling + pump:#,0}; loads that run together are added",
                edition.Cite("service.climate"),
                [.. c.Items.Where(i => i.Kind is ServiceItemKind.HeatPump or ServiceItemKind.Heating or ServiceItemKind.Cooling)]
            );
        var coolingRuns = cooling + pump >= pump + heat;
        var motors = c.Items.Where(i => i.Motor && (i.Kind != ServiceItemKind.Cooling || coolingRuns)).ToList();
        if (motors.Count > 0)
        {
            var largest = motors.MaxBy(m => m.Load)!;
            var more = edition.Number("motorMoreShare");
            Add(
                "Largest motor",
                largest.Load.Value * more,
                $"{largest.Load.Value:#,0} x {more:0.00} ({largest.Name})",
                edition.Cite("service.motor"),
                []
            );
        }

        return Done(ServiceMethod.Standard, edition, total, lines, edition.Cite("service.standard"), c);

        void Add(string what, double va, string formula, string cite, IReadOnlyList<ServiceItem> items)
        {
            total += va;
            lines.Add(
                new(what, $"{va:#,0} VA")
                {
                    Formula = formula,
                    Citation = cite,
                    Steps = [.. items.Select(i => Derivation.Fact(i.Name, $"{i.Load}"))],
                }
            );
        }
    }

    /// <summary>Optional method for a dwelling service of 100 A and over (220.82).</summary>
    public static ServiceLoad Optional(ServiceCase c, CodeEdition edition)
    {
        var (general, steps) = ServiceParts.General(c, edition);
        var appliances = c
            .Items.Where(i =>
                i.Kind
                    is ServiceItemKind.Fixed
                        or ServiceItemKind.Specific
                        or ServiceItemKind.Outlets
                        or ServiceItemKind.Cooking
                        or ServiceItemKind.Dryer
                        or ServiceItemKind.Charging
            )
            .ToList();
        var all = general + appliances.Sum(i => i.Load.Value);
        var (first, rest) = (edition.Number("optionalFirstVa"), edition.Number("optionalRestShare"));
        var over = Math.Max(0, all - first);
        var demand = Math.Min(all, first) + (over * rest);
        var lines = new List<Derivation>
        {
            new("General and appliances after demand", $"{demand:#,0} VA")
            {
                Formula = $"{first:#,0} + {over:#,0} x {rest:0.00}",
                Citation = edition.Cite("service.optionalGeneral"),
                Steps = [.. steps, .. appliances.Select(i => Derivation.Fact(i.Name, $"{i.Load}"))],
            },
        };
        var pump = ServiceParts.Sum(c, ServiceItemKind.HeatPump);
        var heat = ServiceParts.Sum(c, ServiceItemKind.Heating);
        var cooling = ServiceParts.Sum(c, ServiceItemKind.Cooling);
        var separately = c.Items.Count(i => i.Kind == ServiceItemKind.Heating);
        var many = pump <= 0 && separately >= edition.Number("optionalHeatMany");
        var heatShare = edition.Number(many ? "optionalHeatManyShare" : "optionalHeatShare");
        var withHeat = pump + (heat * heatShare);
        var larger = Math.Max(withHeat, cooling + pump);
        if (larger > 0)
        {
            lines.Add(
                new("Heating or cooling, the larger", $"{larger:#,0} VA")
                {
                    Formula = $"heat {pump:#,0} + {heat:#,0} x {heatShare:0.00} = {withHeat:#,0}; cooling {cooling + pump:#,0}",
                    Citation = edition.Cite("service.optionalClimate"),
                }
            );
        }

        return Done(ServiceMethod.Optional, edition, demand + larger, lines, edition.Cite("service.optional"), c);
    }

    private static ServiceLoad Done(
        ServiceMethod method,
        CodeEdition edition,
        double total,
        List<Derivation> lines,
        string cite,
        ServiceCase c
    )
    {
        lines.AddRange(ServiceParts.Notes(c));
        var volts = edition.Supply.Between;
        var amps = new Amperes(total / volts);
        return new(
            method,
            new(total),
            amps,
            new Derivation(
                method == ServiceMethod.Standard ? "Service load, standard method" : "Service load, optional method",
                $"{total:#,0} VA, {amps.Value:0.0} A"
            )
            {
                Formula = $"{total:#,0} / {volts} = {amps.Value:0.0} A",
                Citation = cite,
                Steps = [.. lines],
            }
        );
    }
}
