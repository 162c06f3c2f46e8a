using Circuitum.Core.Explain;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Circuits;

/// <summary>
/// Argues about one general circuit: what it costs, what it would cost together with another, and what one breaker more would buy.
/// </summary>
internal static class CircuitArgue
{
    /// <summary>The argument about a circuit; none for one that is not divided by cost.</summary>
    /// <param name="house">The house.</param>
    /// <param name="groups">Its general circuits as problems.</param>
    /// <param name="number">The circuit.</param>
    internal static Derivation? Of(HouseShape house, IEnumerable<GeneralGroups> groups, int number)
    {
        foreach (var g in groups)
        {
            var at = g.Numbers.IndexOf(number);
            if (at < 0)
                continue;
            var (p, plan) = (g.Problem, g.Now());
            int[] things = [.. plan.Circuits[at]];
            if (things.Length == 0)
                return null;
            var together = Enumerable
                .Range(0, g.Numbers.Length)
                .Where(c => c != at && plan.Circuits[c].Count > 0)
                .Select(c => Together(p, g.Numbers[c], things, [.. plan.Circuits[c]]))
                .OrderBy(t => t.Extra ?? long.MaxValue)
                .Select(t => t.Says)
                .Take(MostOthers);
            var broken = p.Zones?.WhyNot(p.PlacesOf(things)).ToList() ?? [];
            var (price, wire) = (p.Priced(things), p.Priced(things) - p.Weights.Circuit - p.Mixed(things));
            var feet = (double)wire / Math.Max(1, p.Weights.CableFoot);
            return new($"Why circuit {number} is as it is", $"{new Money(price)}")
            {
                Formula =
                    $"breaker {new Money(p.Weights.Circuit)} + cable {new Money(wire)}, {LengthText.Far(feet, house.Job.Units)} "
                    + $"+ rooms, zones and spare {new Money(p.Mixed(things))}",
                Because =
                    broken.Count == 0
                        ? "It keeps the usual zones: its rooms touch, lie on one storey and may go dark together."
                        : $"Against the usual zones: {string.Join("; ", broken)}.",
                Citation = "practice",
                Steps = [.. Divided(house, g, things) is { } two ? new[] { two } : [], .. together],
            };
        }

        return null;
    }

    private const int MostOthers = 8;

    private static (long? Extra, Derivation Says) Together(GroupProblem p, int other, int[] things, int[] others)
    {
        int[] all = [.. things, .. others];
        var what = $"Together with circuit {other}";
        if (PlanExplain.OverLimit(p, all) is { } limit)
            return (null, new(what, "no") { Because = limit });
        var extra = (long)p.Priced(all) - p.Priced(things) - p.Priced(others);
        return (
            extra,
            new(what, new Money(extra).Signed())
            {
                Because = p.Zones?.Ranked(p.PlacesOf(all)) is { Length: > 0 } why
                    ? why
                    : "only breaker and cable speak for or against it (reason 4 of 4)",
            }
        );
    }

    // The cheapest way to cut it in two between rooms.
    private static Derivation? Divided(HouseShape house, GeneralGroups g, int[] things)
    {
        var p = g.Problem;
        var rooms = things.GroupBy(t => p.Room[t]).Select(r => r.ToArray()).ToList();
        if (rooms.Count is < 2 or > 12)
            return null;
        var best = Enumerable
            .Range(1, (1 << (rooms.Count - 1)) - 1)
            .Select(mask => (One: Side(mask, 1), Other: Side(mask, 0)))
            .Select(c => (c.One, c.Other, Cost: (long)p.Priced(c.One) + p.Priced(c.Other)))
            .MinBy(c => c.Cost);
        int[] Side(int mask, int bit) => [.. rooms.Where((_, i) => (mask >> i & 1) == bit).SelectMany(r => r)];

        // Closets and what is outside go without saying beside the room that they are switched from.
        string Named(int[] part)
        {
            var all = part.SelectMany(t => g.Things[t])
                .Where(b => b.Kind != BoxKind.Switch)
                .Select(b => house[b.Room].Room)
                .Distinct()
                .ToList();
            var main = all.Where(r => r.Kind is not (RoomKind.Closet or RoomKind.Pantry) && !r.Kind.OpenAir()).ToList();
            return string.Join(", ", (main.Count > 0 ? main : all).Select(r => r.Name));
        }

        return new("With one breaker more", new Money(best.Cost - p.Priced(things)).Signed())
        {
            Because = $"{Named(best.One)} apart from {Named(best.Other)}.",
        };
    }
}
