using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Takeoff;

/// <summary>What of an item has been ordered against what is bought now.</summary>
/// <param name="Line">What is bought now; none when it is not needed any more.</param>
/// <param name="Ordered">What was ordered, in the item's unit; the last line of an order that has it.</param>
/// <param name="Last">The line of the last order that has it; none before the first.</param>
public sealed record OrderDifference(BuyLine? Line, double Ordered, OrderLine? Last)
{
    /// <summary>What is to be ordered yet.</summary>
    public double ToAdd => Math.Max(0, (Line?.Quantity ?? 0) - Ordered);

    /// <summary>What can go back.</summary>
    public double ToReturn => Math.Max(0, Ordered - (Line?.Quantity ?? 0));

    /// <summary>The differences of a stage, those of the takeoff first.</summary>
    /// <param name="lines">What is bought now.</param>
    /// <param name="orders">All orders of the job.</param>
    /// <param name="stage">The stage.</param>
    public static ImmutableArray<OrderDifference> Of(IEnumerable<BuyLine> lines, IEnumerable<Order> orders, BuyStage stage)
    {
        var ordered = orders
            .Where(o => o.Counts && o.Stage == stage)
            .SelectMany(o => o.Lines)
            .ToLookup(l => l.Item, StringComparer.Ordinal);
        var now = lines.Where(l => l.Line.Stage == stage && l.Line.Item.Type.Id != "fixture").ToList();
        var known = now.Select(l => l.Line.Item.Key).ToHashSet(StringComparer.Ordinal);
        return
        [
            .. now.Select(l => new OrderDifference(
                l,
                ordered[l.Line.Item.Key].Sum(o => l.Line.Item.Type.Unit.From(o.Unit, o.Quantity)),
                ordered[l.Line.Item.Key].LastOrDefault()
            )),
            .. ordered
                .Where(o => !known.Contains(o.Key))
                .Select(o => new OrderDifference(null, o.Sum(x => o.Last().Unit.From(x.Unit, x.Quantity)), o.Last())),
        ];
    }
}
