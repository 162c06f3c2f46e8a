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
public sealed record ServiceLoad(ServiceMethod? Method, VoltAmperes Total, Amperes Current, Derivation Derivation)
{
    /// <summary>What the method is called, in small letters: <c>standard method</c>.</summary>
    public string Name => Method is { } method ? $"{method.ToString().ToLowerInvariant()} method" : "load by floor area";

    /// <summary>The load by every method of an edition.</summary>
    public static ImmutableArray<ServiceLoad> Of(ServiceCase c, CodeEdition edition) =>
        edition.Ways.Service == ServiceWay.ByArea ? [AreaLoad.Of(c, edition)] : [Standard(c, edition), Optional(c, edition)];

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

        return Done(ServiceMethod.Standard, total, lines, edition.Cite("service.standard"), c);

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

        return Done(ServiceMethod.Optional, demand + larger, lines, edition.Cite("service.optional"), c);
    }

    /// <summary>Load of the neutral: what is unbalanced, cooking and dryers at 70 percent (220.61).</summary>
    /// <param name="c">The case.</param>
    /// <param name="edition">The edition.</param>
    public static Derivation Neutral(ServiceCase c, CodeEdition edition)
    {
        if (edition.Ways.Service == ServiceWay.ByArea)
            return AreaLoad.Neutral(c, edition);
        var (general, _) = ServiceParts.General(c, edition);
        var (demand, _) = ServiceParts.Demand(general, edition);
        var lines = new List<Derivation>
        {
            new("General load after demand", $"{demand:#,0} VA") { Citation = edition.Cite("service.demand") },
        };
        var total = demand;
        void Add(string what, double va, string formula, string cite)
        {
            if (va <= 0)
                return;
            total += va;
            lines.Add(new(what, $"{va:#,0} VA") { Formula = formula, Citation = cite });
        }

        var all = c.Items.Where(i => i.Kind == ServiceItemKind.Fixed).ToList();
        var factor = ServiceParts.FixedFactor(c, edition);
        var on = all.Where(i => i.Neutral).ToList();
        var fixedVa = on.Sum(i => i.Load.Value * (ServiceParts.CountsToFour(i, edition) ? factor : 1));
        Add(
            $"Appliances of {CodeLibrary.Supply.ToNeutral} V",
            fixedVa,
            string.Join(" + ", on.Select(i => $"{i.Load.Value:0}")) + (factor < 1 ? $", large ones x {factor:0.00}" : ""),
            edition.Cite("service.appliances")
        );
        var others = c
            .Items.Where(i =>
                i.Kind is ServiceItemKind.Specific or ServiceItemKind.Outlets && i is { Neutral: true, RefrigeratorAlone: false }
            )
            .ToList();
        Add(
            "What is plugged in where it has its place, lights and receptacles of other buildings",
            others.Sum(i => i.Load.Value),
            string.Join(" + ", others.Select(i => $"{i.Load.Value:0}")),
            edition.Cite("service.outlets")
        );
        var heat = c.Items.Where(i => i.Kind is ServiceItemKind.Heating or ServiceItemKind.Charging && i.Neutral).ToList();
        Add(
            $"Heating of {CodeLibrary.Supply.ToNeutral} V",
            heat.Sum(i => i.Load.Value),
            string.Join(" + ", heat.Select(i => $"{i.Load.Value:0}")),
            edition.Cite("service.heating")
        );
        var cooking = c.Items.Where(i => i.Kind == ServiceItemKind.Cooking && i.Neutral).ToList() is { Count: > 0 } some
            ? ServiceParts.Cooking(some, edition).Demand.Value
            : 0;
        var share = edition.Number("neutralShare");
        Add("Cooking", cooking * share, $"{cooking:#,0} x {share:0.00}", edition.Cite("service.neutralShare"));
        var dryer = c
            .Items.Where(i => i.Kind == ServiceItemKind.Dryer && i.Neutral)
            .Sum(i => Math.Max(edition.Number("dryerLeastVa"), i.Load.Value));
        Add("Dryer", dryer * share, $"{dryer:#,0} x {share:0.00}", edition.Cite("service.neutralShare"));
        var motor = c.Items.Where(i => i.Motor && i.Neutral).Select(i => i.Load.Value).DefaultIfEmpty(0).Max();
        var more = edition.Number("motorMoreShare");
        Add(
            $"Largest motor of {CodeLibrary.Supply.ToNeutral} V",
            motor * more,
            $"{motor:#,0} x {more:0.00}",
            edition.Cite("service.motor")
        );
        var volts = CodeLibrary.Supply.Between;
        return new("Neutral load", $"{total:#,0} VA, {total / volts:0.0} A")
        {
            Formula = $"{total:#,0} / {volts} = {total / volts:0.0} A",
            Citation = edition.Cite("service.neutral"),
            Because = $"What {volts} V takes without a neutral is left out. By the standard method.",
            Steps = [.. lines],
        };
    }

    private static ServiceLoad Done(ServiceMethod method, double total, List<Derivation> lines, string cite, ServiceCase c)
    {
        lines.AddRange(ServiceParts.Notes(c));
        var volts = CodeLibrary.Supply.Between;
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
