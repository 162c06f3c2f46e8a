using Circuitum.Core.Codes;
using Circuitum.Core.Explain;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Loads;

/// <summary>Demand of household cooking (220.55).</summary>
/// <param name="Demand">The demand.</param>
/// <param name="Column">Which columns of the table gave it.</param>
/// <param name="Derivation">How it came about.</param>
public sealed record CookingDemand(VoltAmperes Demand, string Column, Derivation Derivation)
{
    /// <summary>Most appliances in the table that is kept.</summary>
    public static int Most => CodeLibrary.Families.RangeDemand.Max(r => r.Count);

    // Kilowatts: what is not over the first is not in the table; up to the last an appliance may go by percent instead of by
    // column C (note 3), and under the middle one the percent is larger.
    private const double Least = 1.75,
        Small = 3.5,
        Percent = 8.75;

    /// <summary>Demand of one range.</summary>
    /// <param name="nameplate">Its nameplate, at most 27 kW.</param>
    /// <param name="edition">The edition, for the section.</param>
    public static CookingDemand OfRange(VoltAmperes nameplate, CodeEdition edition) =>
        edition.Number("rangeBranchW") > 0 ? ByFirst(nameplate, edition) : Of([nameplate], edition);

    // Up to a rating one figure, past it a share of the rest beside; never more than the plate.
    private static CookingDemand ByFirst(VoltAmperes nameplate, CodeEdition edition)
    {
        var (first, over, share) = (edition.Number("rangeBranchW"), edition.Number("rangeOverW"), edition.Number("rangeMoreShare"));
        var more = Math.Max(0, nameplate.Value - over);
        var demand = new VoltAmperes(Math.Min(nameplate.Value, first + (more * share)));
        return new(
            demand,
            "",
            new("Demand of the range", $"{demand}")
            {
                Formula = more > 0 ? $"{first} + {more:0} x {(double)share:0.##}" : $"{first} up to {over} W, at most the plate",
                Citation = edition.Cite("wire.range"),
            }
        );
    }

    /// <summary>Whether an appliance is large enough for the table.</summary>
    /// <param name="nameplate">Its nameplate.</param>
    public static bool InTable(VoltAmperes nameplate) => nameplate.Value > Least * 1000;

    /// <summary>
    /// Demand of some appliances together by notes 1 to 3 of the table: by percent where all are 8.75 kW or less and that
    /// is less, else by column C and the average, none counted under 12 kW. What is not over 1-3/4 kW counts in full.
    /// </summary>
    /// <param name="nameplates">Their nameplates, each at most 27 kW; as many as <see cref="Most"/>.</param>
    /// <param name="edition">The edition, for the section.</param>
    /// <exception cref="ArgumentException">None, or more than the table has.</exception>
    public static CookingDemand Of(IReadOnlyList<VoltAmperes> nameplates, CodeEdition edition)
    {
        if (nameplates.Count == 0 || nameplates.Count > Most)
            throw new ArgumentException($"Cooking demand is for 1 to {Most} appliances.", nameof(nameplates));
        var steps = nameplates.Select(p => Derivation.Fact("Nameplate", $"{p}"));
        double[] plates = [.. nameplates.Where(InTable).Select(p => p.Value / 1000)];
        var full = nameplates.Where(p => !InTable(p)).Sum(p => p.Value / 1000);
        if (plates.Length == 0)
            return Done(full, $"{full:0.##} kW in full", "under the table", steps, edition);
        var (demand, formula, column) = OfTable(plates);
        return Done(demand + full, full > 0 ? $"{formula} + {full:0.##} kW in full" : formula, column, steps, edition);
    }

    private static (double Kilowatts, string Formula, string Column) OfTable(double[] plates)
    {
        var c = Row(plates.Length).C;
        if (plates.All(p => p <= Percent))
        {
            var groups = new[]
            {
                (Plates: plates.Where(p => p < Small).ToList(), A: true),
                (Plates: plates.Where(p => p >= Small).ToList(), A: false),
            };
            var parts = groups
                .Where(g => g.Plates.Count > 0)
                .Select(g => (Sum: g.Plates.Sum(), Share: g.A ? Row(g.Plates.Count).A : Row(g.Plates.Count).B))
                .ToList();
            var byPercent = parts.Sum(p => p.Sum * p.Share / 100);
            if (byPercent <= c)
                return (byPercent, string.Join(" + ", parts.Select(p => $"{p.Sum:0.##} kW x {p.Share} percent")), "columns A and B");
        }

        var average = plates.Select(p => Math.Max(12, p)).Average();
        var over = (int)Math.Floor(average - 12 + 0.5);
        var more = over > 0 ? $" x (1 + 0.05 x {over}), {(plates.Length > 1 ? "average" : "nameplate")} {average:0.##} kW" : "";
        return (c * (1 + (0.05 * over)), $"{c} kW for {plates.Length}{more}", "column C");
    }

    private static CookingRow Row(int count) => CodeLibrary.Families.RangeDemand.First(r => r.Count == count);

    private static CookingDemand Done(double kilowatts, string formula, string column, IEnumerable<Derivation> steps, CodeEdition edition)
    {
        var demand = new VoltAmperes(kilowatts * 1000);
        return new(
            demand,
            column,
            new("Cooking demand", $"{demand}")
            {
                Formula = formula,
                Citation = $"{edition.Cite("service.cooking")}, {column}",
                Steps = [.. steps],
            }
        );
    }
}
