using System.Collections.Immutable;
using System.Globalization;
using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Explain;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Takeoff;

/// <summary>
/// What a house costs its owner. Everything is added up in full and each amount rounded once to the cent, a half away from zero; the total
/// is the sum of the rounded amounts that stand above it.
/// </summary>
/// <param name="Material">Material with its mark-up.</param>
/// <param name="Tax">Sales tax on it.</param>
/// <param name="Labour">Labour.</param>
/// <param name="Permits">Permits and inspections.</param>
/// <param name="Contingency">For what nobody foresees.</param>
/// <param name="Hours">Hours of one person.</param>
/// <param name="Unpriced">What has no price and is not in the sum.</param>
/// <param name="Assumed">What is assumed, in sentences.</param>
public sealed record Estimate(
    Money Material,
    Money Tax,
    Money Labour,
    Money Permits,
    Money Contingency,
    double Hours,
    ImmutableArray<BuyLine> Unpriced,
    ImmutableArray<string> Assumed
)
{
    /// <summary>The total.</summary>
    public Money Total => Material + Tax + Labour + Permits + Contingency;

    /// <summary>The estimate of a house.</summary>
    /// <param name="a">The analysis.</param>
    /// <param name="book">The prices.</param>
    public static Estimate Of(JobAnalysis a, PriceBook book) => Of(a, book, HouseMaterial.Of(a));

    /// <summary>The estimate of a house with more in it than its plan holds.</summary>
    internal static Estimate Of(JobAnalysis a, PriceBook book, HouseMaterial material)
    {
        var p = a.Job.Preferences;
        var lines = Buying.Of(a, material, held: true);

        // The owner pays for what is used, whatever coils and packs it comes out of.
        var used = lines.Select(l => (Line: l, Cost: Used(a, l, book))).ToList();
        var cost = used.Sum(u => u.Cost ?? 0) * (100 + p.MarkUpPercent) / 100;
        var labour = LabourPlan.Of(a.Job, material);
        var work = (decimal)labour.Hours * p.HourRate;
        var unpriced = used.Where(u => u.Cost is null && u.Line.Line.Item.Type.Id != "fixture").Select(u => u.Line).ToImmutableArray();
        return new(
            Money.Dollars(cost),
            Money.Dollars(cost * p.TaxPercent / 100),
            Money.Dollars(work),
            Money.Dollars(p.PermitFee),
            Money.Dollars((cost + work) * p.ContingencyPercent / 100),
            labour.Hours,
            unpriced,
            [.. Assumptions(a, lines, unpriced, book)]
        );
    }

    /// <summary>What of a line is used costs, waste counted, in dollars and not rounded; none without a price.</summary>
    public static decimal? Used(JobAnalysis a, BuyLine line, PriceBook book)
    {
        if (book.Find(line.Line.Item) is not { } found)
            return null;
        var waste = line.Line.Item.Type.Unit.Measured() ? (100 + a.Job.Preferences.WastePercent) / 100.0 : 1;
        return found.Row.Cost(line.Line.Quantity * waste, line.Line.Item.Type.Unit);
    }

    private static IEnumerable<string> Assumptions(
        JobAnalysis a,
        ImmutableArray<BuyLine> lines,
        ImmutableArray<BuyLine> unpriced,
        PriceBook book
    )
    {
        var p = a.Job.Preferences;
        foreach (var reason in lines.SelectMany(l => l.Line.Reasons).Distinct().Order(StringComparer.Ordinal))
            yield return $"{char.ToUpperInvariant(reason[0])}{reason[1..]}.";
        if (lines.Where(l => l.Line.Item.Type.Id == "fixture").Sum(l => l.Line.Quantity) is > 0 and var lights)
            yield return Say($"{lights:0} lights are the owner's to choose and buy; hanging them is in the labour.");
        if (unpriced.Length > 0)
            yield return Say($"{unpriced.Length} {(unpriced.Length == 1 ? "item has" : "items have")} no price and are not in the sum.");
        yield return Say(
            $"Material with {p.MarkUpPercent:0.##} percent mark-up and {p.WastePercent} percent waste on what is measured by the "
        ) + Say($"{ItemUnits.Of(a.Units).Name()}; labour at ${p.HourRate:0.00} an hour.");
        foreach (var list in book.Lists.Where(l => lines.Any(x => book.Find(x.Line.Item)?.List == l)))
            yield return list.Rows.Max(r => r.Date) is { } date
                ? Say($"Prices of {list.Supplier}, the latest of {date:yyyy-MM-dd}.")
                : $"Prices of {list.Supplier}, undated.";
        yield return "Labour by practice figures: what walls, ladders and weather add is not in them.";
    }

    private static string Say(FormattableString text) => text.ToString(CultureInfo.InvariantCulture);

    /// <summary>How the total came about.</summary>
    public Derivation Derivation =>
        new("Estimate", Total.Exact)
        {
            Because = "Each amount is added up in full and rounded once to the cent; the total is the sum of what stands here.",
            Steps =
            [
                Explain.Derivation.Fact("Material with mark-up", Material.Exact),
                Explain.Derivation.Fact("Sales tax", Tax.Exact),
                Explain.Derivation.Fact("Labour", Labour.Exact, Say($"{Hours:0.0} hours of one person")),
                Explain.Derivation.Fact("Permits and inspections", Permits.Exact),
                Explain.Derivation.Fact("For what nobody foresees", Contingency.Exact),
            ],
        };
}
