using Circuitum.Core.Codes;
using Circuitum.Core.Explain;

namespace Circuitum.Core.Panels;

// What is unbalanced.
public sealed partial record ServiceLoad
{
    /// <summary>Load of the neutral: what is unbalanced, cooking and dryers at 70 percent (220.61).</summary>
    /// <param name="c">The case.</param>
    /// <param name="edition">The edition.</param>
    public static Derivation Neutral(ServiceCase c, CodeEdition edition)
    {
        if (edition.Ways.Service == ServiceWay.Connected)
            return new("Neutral", "as large as a line") { Because = "What hangs on one line comes back through it." };
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
            $"Appliances of {edition.Supply.ToNeutral} V",
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
            $"Heating of {edition.Supply.ToNeutral} V",
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
        Add($"Largest motor of {edition.Supply.ToNeutral} V", motor * more, $"{motor:#,0} x {more:0.00}", edition.Cite("service.motor"));
        var volts = edition.Supply.Between;
        return new("Neutral load", $"{total:#,0} VA, {total / volts:0.0} A")
        {
            Formula = $"{total:#,0} / {volts} = {total / volts:0.0} A",
            Citation = edition.Cite("service.neutral"),
            Because = $"What {volts} V takes without a neutral is left out. By the standard method.",
            Steps = [.. lines],
        };
    }
}
