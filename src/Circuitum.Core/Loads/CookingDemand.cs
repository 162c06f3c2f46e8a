using System.Collections.Immutable;
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

    // Up to this an appliance may go by percent instead of by column C (note 3); under the other the percent is larger.
    private const double Percent = 8.75, Small = 3.5;

    /// <summary>Demand of one range.</summary>
    /// <param name="nameplate">Its nameplate, at most 27 kW.</param>
    public static CookingDemand OfRange(VoltAmperes nameplate) => Of([nameplate]);

    /// <summary>
    /// Demand of some appliances together by notes 1 to 3 of the table: by percent where all are 8.75 kW or less and that
    /// is less, else by column C and the average, none counted under 12 kW.
    /// </summary>
    /// <param name="nameplates">Their nameplates, each at most 27 kW; as many as <see cref="Most"/>.</param>
    /// <exception cref="ArgumentException">None, or more than the table has.</exception>
    public static CookingDemand Of(IReadOnlyList<VoltAmperes> nameplates)
    {
        double[] plates = [.. nameplates.Select(p => p.Value / 1000)];
        if (plates.Length == 0 || plates.Length > Most) throw new ArgumentException($"Cooking demand is for 1 to {Most} appliances.", nameof(nameplates));
        var steps = nameplates.Select(p => Derivation.Fact("Nameplate", $"{p}"));
        var c = Row(plates.Length).C;

        // One of 8 kW and more counts by column C though percent would be allowed to 8.75 kW: on the safe side.
        if (plates.All(p => p <= Percent) && !(plates is [>= 8]))
        {
            var (small, middle) = (plates.Where(p => p < Small).ToList(), plates.Where(p => p >= Small).ToList());
            var parts = new[] { (Sum: small.Sum(), Share: small.Count > 0 ? Row(small.Count).A : 0), (Sum: middle.Sum(), Share: middle.Count > 0 ? Row(middle.Count).B : 0) }.Where(p => p.Share > 0).ToList();
            var byPercent = parts.Sum(p => p.Sum * p.Share / 100);
            if (byPercent <= c) return Done(byPercent, string.Join(" + ", parts.Select(p => $"{p.Sum:0.##} kW x {p.Share} percent")), "columns A and B", steps);
        }

        var average = plates.Select(p => Math.Max(12, p)).Average();
        var over = (int)Math.Floor(average - 12 + 0.5);
        return Done(c * (1 + (0.05 * over)), $"{c} kW for {plates.Length}{(over > 0 ? $" x (1 + 0.05 x {over}), {(plates.Length > 1 ? "average" : "nameplate")} {average:0.##} kW" : "")}", "column C", steps);
    }

    private static CookingRow Row(int count) => CodeLibrary.Families.RangeDemand.First(r => r.Count == count);

    private static CookingDemand Done(double kilowatts, string formula, string column, IEnumerable<Derivation> steps)
    {
        var demand = new VoltAmperes(kilowatts * 1000);
        return new(demand, column, new("Cooking demand", $"{demand}") { Formula = formula, Citation = $"220.55, {column}", Steps = [.. steps] });
    }
}
