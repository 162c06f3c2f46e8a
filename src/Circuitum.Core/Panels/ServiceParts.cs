using Circuitum.Core.Codes;
using Circuitum.Core.Explain;
using Circuitum.Core.Loads;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Panels;

/// <summary>Parts of a service load that both methods and the neutral use.</summary>
internal static class ServiceParts
{
    internal static double FixedFactor(ServiceCase c, CodeEdition edition) =>
        c.Items.Count(i => i.Kind == ServiceItemKind.Fixed && CountsToFour(i, edition)) >= edition.Number("fixedFewest")
            ? edition.Number("fixedFactor")
            : 1;

    // By the plate, or by the motor: from 2020 on 500 W or 1/4 hp (220.53).
    internal static bool CountsToFour(ServiceItem item, CodeEdition edition) =>
        item.Load.Value >= edition.Number("applianceLeastVa") || item.Horsepower >= edition.Number("applianceLeastHp");

    internal static (double Va, List<Derivation> Steps) General(ServiceCase c, CodeEdition edition)
    {
        var perFoot = edition.Number("generalVaPerSqFt");
        var (kitchens, laundries) = c.Whole
            ? (Math.Max(2, c.SmallApplianceCircuits), Math.Max(1, c.LaundryCircuits))
            : (c.SmallApplianceCircuits, c.LaundryCircuits);
        var small = kitchens * edition.Number("smallApplianceVa");
        var laundry = laundries * edition.Number("laundryVa");
        var area = Math.Round(c.AreaSqFt);
        return (
            (area * perFoot) + small + laundry,
            [
                new("General lighting and receptacles", $"{area * perFoot:#,0} VA")
                {
                    Formula = $"{area:#,0} sq ft x {perFoot:0}",
                    Citation = edition.Cite("service.general"),
                },
                new("Small-appliance circuits", $"{small:#,0} VA")
                {
                    Formula = $"{kitchens} x {edition.Number("smallApplianceVa"):0}",
                    Citation = edition.Cite("service.smallAppliance"),
                },
                new("Laundry circuits", $"{laundry:#,0} VA")
                {
                    Formula = $"{laundries} x {edition.Number("laundryVa"):0}",
                    Citation = edition.Cite("service.laundry"),
                },
            ]
        );
    }

    // The first part in full, a middle part at one share, the rest at another.
    internal static (double Demand, string Formula) Demand(double general, CodeEdition edition)
    {
        var (first, middle) = (edition.Number("demandFirstVa"), edition.Number("demandMiddleVa"));
        var (share, rest) = (edition.Number("demandMiddleShare"), edition.Number("demandRestShare"));
        var over = Math.Max(0, general - first);
        return (
            Math.Min(general, first) + (Math.Min(over, middle - first) * share) + (Math.Max(0, general - middle) * rest),
            general > middle
                ? $"{first:0} + {middle - first:#,0} x {share:0.00} + rest x {rest:0.00}"
                : $"{first:0} + {over:#,0} x {share:0.00}"
        );
    }

    // More than the table has do not stand in one house; those over it count in full.
    internal static CookingDemand Cooking(List<ServiceItem> items, CodeEdition edition)
    {
        var all = items.OrderByDescending(i => i.Load.Value).Select(i => i.Load).ToList();
        var d = CookingDemand.Of([.. all.Take(CookingDemand.Most)], edition);
        return all.Count <= CookingDemand.Most
            ? d
            : d with
            {
                Demand = d.Demand + all.Skip(CookingDemand.Most).Aggregate(VoltAmperes.Zero, (sum, v) => sum + v),
            };
    }

    internal static double Sum(ServiceCase c, ServiceItemKind kind) => c.Items.Where(i => i.Kind == kind).Sum(i => i.Load.Value);

    // What stands in no line is told with the figure that holds it, so that nobody has to ask where it went.
    internal static IEnumerable<Derivation> Notes(ServiceCase c) =>
        c.Within.Select(note => new Derivation(
            $"{note.Boxes.Length} outlet{(note.Boxes.Length == 1 ? "" : "s")} within: {note.What}",
            "0 VA"
        )
        {
            Because = note.Why,
            Citation = note.Citation,
        });
}
