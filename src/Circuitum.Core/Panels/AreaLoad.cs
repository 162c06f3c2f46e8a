using Circuitum.Core.Codes;
using Circuitum.Core.Explain;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Panels;

/// <summary>
/// A service load by floor area and by what is large, never under a least load: the sheet of an edition that goes by
/// <see cref="ServiceWay.ByArea"/>.
/// </summary>
internal sealed class AreaLoad
{
    // The steps by which the area counts, and the area from which a dwelling is a large one.
    private const double StepSqM = 90;
    private const double LargeSqM = 80;

    private readonly ServiceCase c;
    private readonly CodeEdition edition;
    private readonly List<Derivation> lines = [];
    private double sum;

    private AreaLoad(ServiceCase c, CodeEdition edition) => (this.c, this.edition) = (c, edition);

    internal static ServiceLoad Of(ServiceCase c, CodeEdition edition) => new AreaLoad(c, edition).Whole();

    private ServiceLoad Whole()
    {
        Area();
        Climate();
        var range = Range(out var others);
        Large(range, others);
        lines.AddRange(ServiceParts.Notes(c));
        var least = c.Whole ? Least() : 0;
        var total = Math.Max(sum, least);
        var volts = edition.Supply.Between;
        var amps = new Amperes(total / volts);
        return new(
            null,
            new(total),
            amps,
            new Derivation("Service load, by floor area", $"{total:#,0} VA, {amps.Value:0.0} A")
            {
                Formula = (c.Whole ? $"the greater of {sum:#,0} and {least:#,0} VA; " : "") + $"{total:#,0} / {volts} = {amps.Value:0.0} A",
                Citation = edition.Cite("service.standard"),
                Steps = [.. lines],
            }
        );
    }

    private void Add(string what, double va, string formula, string rule, IEnumerable<ServiceItem>? items = null, string because = "")
    {
        sum += va;
        lines.Add(
            new(what, $"{va:#,0} VA")
            {
                Formula = formula,
                Citation = edition.Cite(rule),
                Because = because,
                Steps = [.. (items ?? []).Select(i => Derivation.Fact(i.Name, $"{i.Load}"))],
            }
        );
    }

    private void Area()
    {
        var (first, more, share) = (edition.Number("areaFirstW"), edition.Number("areaMoreW"), edition.Number("areaBasementShare"));
        var counted = c.InsideSqM + (c.BasementSqM * share);
        if (!c.Whole && counted <= 0)
            return;
        var steps = Math.Max(0, (int)Math.Ceiling(((counted - StepSqM) / StepSqM) - 1e-9));
        Add(
            "Floor area",
            first + (steps * more),
            $"{first:#,0}{(steps > 0 ? $" + {steps} x {more:#,0}" : "")}, {counted:0.#} m2"
                + (c.BasementSqM > 0 ? $" ({c.InsideSqM:0.#} + {c.BasementSqM:0.#} x {share:0.##})" : ""),
            "service.area"
        );
    }

    // The first part of the heating in full and the rest at a share; cooling in full; the larger counts.
    private void Climate()
    {
        var (first, share) = (edition.Number("heatFirstW"), edition.Number("heatRestShare"));
        var pump = ServiceParts.Sum(c, ServiceItemKind.HeatPump);
        var heat = ServiceParts.Sum(c, ServiceItemKind.Heating);
        var warm = pump + heat;
        var heating = Math.Min(warm, first) + (Math.Max(0, warm - first) * share);
        var cooling = ServiceParts.Sum(c, ServiceItemKind.Cooling) + pump;
        if (Math.Max(heating, cooling) <= 0)
            return;
        Add(
            "Heating or cooling, the larger",
            Math.Max(heating, cooling),
            $"heating {(warm > first ? $"{first:#,0} + {warm - first:#,0} x {share:0.##} = " : "")}{heating:#,0}; cooling {cooling:#,0}",
            heating >= cooling ? "service.heating" : "service.climate",
            c.Items.Where(i => i.Kind is ServiceItemKind.HeatPump or ServiceItemKind.Heating or ServiceItemKind.Cooling),
            warm > first ? "The rest at its share because each room has a thermostat of its own." : ""
        );
    }

    // A cooktop and the ovens built in beside it are one range; a second one is a large load like others.
    private double Range(out List<ServiceItem> others)
    {
        var cooking = c.Items.Where(i => i.Kind == ServiceItemKind.Cooking).OrderByDescending(i => i.Load).ToList();
        bool Is(ServiceItem i, ApplianceTrait trait) => i.Type?.Has(trait) == true;
        List<ServiceItem> builtIn =
        [
            .. cooking.Where(i => Is(i, ApplianceTrait.Cooktop)).Take(1),
            .. cooking.Where(i => Is(i, ApplianceTrait.Oven) && !Is(i, ApplianceTrait.Range)).Take(2),
        ];
        List<ServiceItem> one = [.. cooking.Take(1)];
        if (builtIn.Count > 1 && builtIn.Sum(i => i.Load.Value) >= one[0].Load.Value)
            one = builtIn;
        others = [.. cooking.Except(one)];
        var rating = one.Sum(i => i.Load.Value);
        if (rating <= 0)
            return 0;
        var (first, over, share) = (edition.Number("rangeFirstW"), edition.Number("rangeOverW"), edition.Number("rangeMoreShare"));
        Add(
            "Range",
            RangeVa(rating),
            rating > over ? $"{first:#,0} + {rating - over:#,0} x {share:0.##}" : $"{first:#,0}",
            "service.cooking",
            one,
            one.Count > 1 ? "A cooktop and the ovens built in are one range." : ""
        );
        return rating;
    }

    private double RangeVa(double rating) =>
        edition.Number("rangeFirstW") + (Math.Max(0, rating - edition.Number("rangeOverW")) * edition.Number("rangeMoreShare"));

    private static bool InFull(ServiceItem i) => i.Kind == ServiceItemKind.Charging || i.Type?.Has(ApplianceTrait.FullDemand) == true;

    private void Large(double range, List<ServiceItem> moreCooking)
    {
        foreach (var item in c.Items.Where(InFull))
            Add(item.Name, item.Load.Value, "in full", "service.charging");
        var over = edition.Number("largeOverW");
        var large = c
            .Items.Where(i =>
                !InFull(i)
                && i.Kind is ServiceItemKind.Fixed or ServiceItemKind.Dryer or ServiceItemKind.Specific or ServiceItemKind.Outlets
                && i.Load.Value > over
            )
            .Concat(moreCooking)
            .ToList();
        var rest = large.Sum(i => i.Load.Value);
        if (rest <= 0)
            return;
        var (first, share) = (range > 0 ? 0 : (double)edition.Number("largeFirstW"), edition.Number("largeShare"));
        Add(
            $"Other loads over {over:0} W",
            Math.Min(rest, first) + (Math.Max(0, rest - first) * share),
            first > 0 ? $"{Math.Min(rest, first):#,0} + {Math.Max(0, rest - first):#,0} x {share:0.##}" : $"{rest:#,0} x {share:0.##}",
            "service.plate",
            large
        );
    }

    private double Least()
    {
        var least = edition.Number(c.InsideSqM >= LargeSqM ? "leastLargeW" : "leastSmallW");
        lines.Add(
            new("Least load of a dwelling", $"{least:#,0} VA")
            {
                Formula = $"{c.InsideSqM:0.#} m2 without basement",
                Citation = edition.Cite("service.least"),
            }
        );
        return least;
    }

    /// <summary>The largest unbalanced load: what hangs on one line and the neutral, and the neutral's part of cooking and dryer.</summary>
    internal static Derivation Neutral(ServiceCase c, CodeEdition edition)
    {
        var load = new AreaLoad(c with { Items = [.. c.Items.Where(i => i.Neutral)] }, edition);
        load.Area();
        load.Climate();
        load.Large(load.Range(out var others), others);
        var volts = edition.Supply.Between;
        return new("Neutral load", $"{load.sum:#,0} VA, {load.sum / volts:0.0} A")
        {
            Formula = $"{load.sum:#,0} / {volts} = {load.sum / volts:0.0} A",
            Citation = edition.Cite("service.neutral"),
            Because = $"What {volts} V takes without a neutral is left out.",
            Steps = [.. load.lines],
        };
    }
}
