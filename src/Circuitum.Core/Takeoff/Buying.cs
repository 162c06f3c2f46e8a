using System.Collections.Immutable;
using System.Globalization;
using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Takeoff;

/// <summary>What is bought for a line of the takeoff.</summary>
/// <param name="Line">The line.</param>
/// <param name="Shelf">What of it comes off the shelf or open reels, in its unit.</param>
/// <param name="Quantity">What is bought, in its unit, whole packs and coils.</param>
/// <param name="Words">The same as one asks for it, such as <c>2 boxes of 250</c>.</param>
public sealed record BuyLine(MaterialLine Line, double Shelf, double Quantity, string Words)
{
    /// <summary>What it costs, in dollars and not rounded; none without a price.</summary>
    public decimal? Cost(PriceBook book) =>
        Quantity <= 0 ? 0m
        : book.Find(Line.Item) is { } found ? found.Row.Cost(Quantity, Line.Item.Type.Unit)
        : null;
}

/// <summary>Turns what is needed into what is bought: less what is held back or on the shelf, in whole packs and coils.</summary>
public static class Buying
{
    /// <summary>What is bought for a house, line by line.</summary>
    /// <param name="a">The analysis.</param>
    /// <param name="material">Its material.</param>
    /// <param name="held">Whether what is held back is bought too, as in an estimate.</param>
    public static ImmutableArray<BuyLine> Of(JobAnalysis a, HouseMaterial material, bool held)
    {
        var shelf = (a.Job.Stock ?? Stock.None).Shelf.ToDictionary(s => s.Key, s => s.In(a.Units), StringComparer.Ordinal);
        var waiting = material.Pieces.Where(p => !held && IsCable(p.Item) && p.Place.Held.Length > 0).Select(p => p.Place.Circuit!.Value);
        var cuts = CutPlan.Of(a, waiting.ToHashSet()).ToDictionary(c => c.Cable, StringComparer.Ordinal);
        return [.. material.Lines.Select(l => Of(a, l, held, shelf, cuts))];
    }

    private static BuyLine Of(
        JobAnalysis a,
        MaterialLine line,
        bool held,
        Dictionary<string, double> shelf,
        Dictionary<string, CutPlan> cuts
    )
    {
        var item = line.Item;
        if (IsCable(item))
            return cuts.TryGetValue(item.Key[(item.Key.IndexOf('.', StringComparison.Ordinal) + 1)..], out var plan)
                ? Cable(line, plan)
                : new(line, 0, 0, "");

        var wanted = line.Quantity - (held ? 0 : line.Held);
        if (item.Type.Unit.Measured())
            wanted *= (100 + a.Job.Preferences.WastePercent) / 100.0;
        var there = Math.Min(wanted, shelf.GetValueOrDefault(item.Key));
        if (there > 0)
            shelf[item.Key] -= there;

        // A hair over a whole number is that number.
        var left = Math.Ceiling(Math.Max(0, wanted - there) - 1e-9);
        if (item.Type.Pack is not { } pack)
            return new(line, there, left, left > 0 ? MaterialLine.Say(item.Type, left) : "");
        var packs = Math.Ceiling(left / pack.Holds);
        return new(line, there, packs * pack.Holds, packs > 0 ? Packs((int)packs, pack) : "");
    }

    private static bool IsCable(MaterialItem item) => item.Type.Id == "cable";

    private static BuyLine Cable(MaterialLine line, CutPlan plan)
    {
        var unit = line.Item.Type.Unit;
        var cut = plan.TooLong.Sum(c => Math.Ceiling(unit.Of(c.Taken)));
        var open = plan.Reels.Where(r => r.Reel is not null).SelectMany(r => r.Cuts).Sum(c => unit.Of(c.Taken));
        string[] words =
        [
            plan.CoilsInWords,
            cut > 0 ? string.Create(CultureInfo.InvariantCulture, $"{cut:0}{unit.Sign()} by the {unit.Name()}") : "",
        ];
        var coils = plan.NewCoils.Sum(c => unit.Of(c.Length) * c.Count);
        return new(line, open, coils + cut, string.Join(" and ", words.Where(w => w.Length > 0)));
    }

    private static string Packs(int count, Pack pack, string unit = "") =>
        string.Create(CultureInfo.InvariantCulture, $"{count} {Many(pack.Text, count)}")
        + (
            pack.Text.Contains(" of ", StringComparison.Ordinal)
                ? ""
                : string.Create(CultureInfo.InvariantCulture, $" of {pack.Holds}{unit}")
        );

    private static string Many(string word, int count)
    {
        if (count == 1)
            return word;
        var at = word.IndexOf(' ', StringComparison.Ordinal);
        var (head, rest) = at < 0 ? (word, "") : (word[..at], word[at..]);
        return $"{head}{(head.EndsWith('x') ? "es" : "s")}{rest}";
    }
}
