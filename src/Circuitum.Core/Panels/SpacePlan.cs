using System.Collections.Immutable;
using System.Globalization;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Panels;

/// <summary>
/// The door to the panel's spaces: odd on the left, even on the right, the rows alternating between the legs, a
/// two-pole breaker over two rows of one column. Places what has no place and leaves the rest.
/// </summary>
public static class SpacePlan
{
    // The rows alternate between the two legs.
    internal static bool OnFirst(int space) => (space - 1) / 2 % 2 == 0;

    private static IEnumerable<int> Taken(int space, int poles) => poles == 2 ? [space, space + 2] : [space];

    /// <summary>A space as it is written: <c>13</c>, or <c>13A</c> and <c>13B</c> for the halves of a tandem.</summary>
    /// <param name="space">The space.</param>
    /// <param name="half">Which half.</param>
    public static string Write(int space, TandemHalf half) =>
        $"{space}{half switch { TandemHalf.Upper => "A", TandemHalf.Lower => "B", _ => "" }}";

    /// <summary>Reads what <see cref="Write"/> writes.</summary>
    /// <param name="text">What a person typed.</param>
    /// <param name="place">The space and its half.</param>
    /// <returns>False when it is not a space.</returns>
    public static bool TryRead(string text, out (int Space, TandemHalf Half) place)
    {
        var trimmed = text.Trim();
        var half =
            trimmed.Length == 0
                ? TandemHalf.Whole
                : char.ToUpperInvariant(trimmed[^1]) switch
                {
                    'A' => TandemHalf.Upper,
                    'B' => TandemHalf.Lower,
                    _ => TandemHalf.Whole,
                };
        var good = int.TryParse(
            half == TandemHalf.Whole ? trimmed : trimmed[..^1],
            NumberStyles.None,
            CultureInfo.InvariantCulture,
            out var space
        );
        place = (space, half);
        return good;
    }

    /// <summary>All places: those decided and still possible, then new ones. What finds no space is left out.</summary>
    /// <param name="panel">The panel.</param>
    /// <param name="decided">Decisions so far.</param>
    /// <param name="needs">All breakers.</param>
    /// <param name="order">Order down the panel.</param>
    public static ImmutableArray<SpaceDecision> Fill(
        Panel panel,
        IEnumerable<SpaceDecision> decided,
        IReadOnlyList<BreakerNeed> needs,
        PanelOrder order
    )
    {
        var needed = needs.ToDictionary(n => n.Breaker);
        var free = Enumerable.Range(1, panel.Spaces).ToHashSet();
        var placed = new List<SpaceDecision>();
        foreach (var d in decided.Where(d => d.Panel == panel.Id && needed.ContainsKey(d.Breaker)).OrderByDescending(d => d.By))
        {
            var (need, shared) = (needed[d.Breaker], d.Half != TandemHalf.Whole);
            var spaces = Taken(d.Space, need.Poles).ToList();

            // A half that is not possible any more is given up by the planner; a person's stays and is found.
            if (shared && d.By == Origin.Planner && !(need.FitsHalf && panel.TakesTandem(d.Space)))
                continue;
            var beside = shared && placed.Any(p => p.Space == d.Space && p.Half != TandemHalf.Whole && p.Half != d.Half);
            if (!(beside || spaces.All(free.Contains)) || placed.Any(p => p.Breaker == d.Breaker))
                continue;
            free.ExceptWith(spaces);
            placed.Add(d);
        }

        Untie(placed, needed, free);

        var done = placed.Select(p => p.Breaker).ToHashSet();
        var open = needs.Where(n => !done.Contains(n.Breaker)).ToList();

        // Where spaces are short, what needs two keeps clear of those that could hold a tandem.
        var isShort = open.Sum(n => n.Poles) > free.Count;
        foreach (var need in Ordered(open.Where(n => n.Poles == 2 || Leads(n, open)), order))
        {
            var at = free.OrderBy(s => isShort ? Taken(s, 2).Count(panel.TakesTandem) : 0)
                .ThenBy(s => s)
                .FirstOrDefault(s => free.Contains(s + 2));
            if (at == 0)
                continue;
            free.ExceptWith([at, at + 2]);
            placed.Add(At(panel, need.Breaker, at));
            if (need.Poles == 1)
                placed.Add(At(panel, need.TiedTo!.Value, at + 2));
        }

        var tied = placed.Select(p => p.Breaker).ToHashSet();
        List<BreakerNeed> ones = [.. Ordered(open.Where(n => n.Poles == 1 && !tied.Contains(n.Breaker)), order)];
        if (ones.Count <= free.Count || panel.TandemSpaces.IsEmpty)
            PlaceOnePole(panel, ones, placed, free, needed);
        else
            TandemPlan.Place(panel, ones, placed, free, needed);
        return [.. placed.OrderBy(p => p.Space)];
    }

    internal static SpaceDecision At(Panel panel, BreakerKey breaker, int space, TandemHalf half = TandemHalf.Whole) =>
        new()
        {
            Panel = panel.Id,
            Circuit = breaker.Circuit,
            Feeds = breaker.Feeds,
            Space = space,
            Half = half,
            By = Origin.Planner,
        };

    /// <summary>Whether two spaces can hold breakers that open together: one under the other in a column, so on opposite legs.</summary>
    public static bool CanTie(int one, int other) => Math.Abs(one - other) == 2;

    // Of two breakers that are tied, the one with the lower number is placed and takes the other along.
    private static bool Leads(BreakerNeed need, List<BreakerNeed> open) =>
        need.TiedTo is { } mate && need.Order < mate && open.Exists(n => n.Breaker == mate);

    // The planner's own places of a tied pair are given up where they are not one under the other.
    private static void Untie(List<SpaceDecision> placed, Dictionary<BreakerKey, BreakerNeed> needed, HashSet<int> free)
    {
        foreach (var d in placed.Where(d => needed[d.Breaker].TiedTo is not null).ToList())
        {
            var mate = placed.FirstOrDefault(p => needed[d.Breaker].TiedTo is { } mate && p.Breaker == mate);
            if (d.By == Origin.Person || (mate is not null && CanTie(mate.Space, d.Space)))
                continue;
            placed.Remove(d);
            free.Add(d.Space);
        }
    }

    private static void PlaceOnePole(
        Panel panel,
        List<BreakerNeed> ones,
        List<SpaceDecision> placed,
        HashSet<int> free,
        Dictionary<BreakerKey, BreakerNeed> needed
    )
    {
        // Spares stay together at the bottom: only as many of the free spaces, from the top, as there are breakers, and one more
        // because two spaces side by side are on the same leg.
        var usable = free.Order().Take(ones.Count + 1).ToList();
        var a = new Queue<int>(usable.Where(OnFirst));
        var b = new Queue<int>(usable.Where(s => !OnFirst(s)));
        var fitting = ones.Take(usable.Count).ToList();
        var lead = placed
            .Where(p => needed[p.Breaker].Poles == 1)
            .Sum(p => OnFirst(p.Space) ? needed[p.Breaker].Va : -needed[p.Breaker].Va);
        var split = LegBalance.Split([.. fitting.Select(f => f.Va)], a.Count, b.Count, lead);
        bool[] onA = [.. split];
        var second =
            placed
                .Where(p => needed[p.Breaker].Poles == 1)
                .Sum(p => OnFirst(p.Space) ? needed[p.Breaker].Second : -needed[p.Breaker].Second)
            + fitting.Select((f, i) => onA[i] ? f.Second : -f.Second).Sum();
        BreakTies(fitting, onA, second);
        for (var i = 0; i < fitting.Count; i++)
            placed.Add(At(panel, fitting[i].Breaker, (onA[i] ? a : b).Dequeue()));
    }

    // Breakers of the same load change legs where that brings the legs closer by the second load.
    private static void BreakTies(List<BreakerNeed> needs, bool[] onA, int gap)
    {
        while (true)
        {
            var best = (From: -1, To: -1, Gap: Math.Abs(gap));
            for (var i = 0; i < needs.Count; i++)
            {
                for (var j = 0; j < needs.Count; j++)
                {
                    if (!onA[i] || onA[j] || needs[i].Va != needs[j].Va)
                        continue;
                    var then = gap + (2 * (needs[j].Second - needs[i].Second));
                    if (Math.Abs(then) < best.Gap)
                        best = (i, j, Math.Abs(then));
                }
            }

            if (best.From < 0)
                return;
            gap += 2 * (needs[best.To].Second - needs[best.From].Second);
            (onA[best.From], onA[best.To]) = (false, true);
        }
    }

    private static IEnumerable<BreakerNeed> Ordered(IEnumerable<BreakerNeed> needs, PanelOrder order) =>
        order switch
        {
            PanelOrder.LargestFirst => needs.OrderByDescending(n => n.Amperes).ThenBy(n => n.Order),
            PanelOrder.ByRoom => needs.OrderBy(n => n.Room).ThenBy(n => n.Order),
            PanelOrder.ProtectionTogether => needs
                .OrderByDescending(n => n.Protective)
                .ThenByDescending(n => n.Amperes)
                .ThenBy(n => n.Order),
            _ => needs.OrderBy(n => n.Order),
        };
}
