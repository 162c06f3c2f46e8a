using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Panels;

/// <summary>
/// The door to the ways of a split board: its sections, each behind a residual-current device, and in them a place on a way and a line for
/// each breaker. A place is counted like a space: three for each way, one for each of its lines.
/// </summary>
public static partial class WayPlan
{
    /// <summary>Lines of a way.</summary>
    public const int Lines = 3;

    /// <summary>All places: those decided and still possible, then new ones. What finds no place is left out.</summary>
    /// <param name="panel">The board.</param>
    /// <param name="decided">Decisions so far.</param>
    /// <param name="needs">All breakers.</param>
    /// <param name="edition">The edition.</param>
    public static ImmutableArray<SpaceDecision> Fill(
        Panel panel,
        IEnumerable<SpaceDecision> decided,
        IReadOnlyList<WayNeed> needs,
        CodeEdition edition
    )
    {
        var needed = needs.ToDictionary(n => n.Breaker);
        var free = Enumerable.Range(1, panel.Spaces / Lines * Lines).ToHashSet();
        var placed = new List<SpaceDecision>();
        foreach (var d in decided.Where(d => d.Panel == panel.Id).OrderByDescending(d => d.By))
        {
            if (!needed.TryGetValue(d.Breaker, out var need) || placed.Exists(p => p.Breaker == d.Breaker))
                continue;
            var spaces = Taken(d.Space, need.ThreeLines).ToList();
            if (!spaces.TrueForAll(free.Contains) || (need.ThreeLines && (d.Space - 1) % Lines != 0))
                continue;
            free.ExceptWith(spaces);
            placed.Add(d);
        }

        var places = Ways(panel, needs, placed, edition).ToList();
        foreach (var (need, section) in places.Where(p => p.Need.ThreeLines))
        {
            var way = section.FirstOrDefault(w => Taken(First(w), true).All(free.Contains));
            if (way == 0)
                continue;
            free.ExceptWith(Taken(First(way), true));
            placed.Add(SpacePlan.At(panel, need.Breaker, First(way)));
        }

        OneLine([.. places.Where(p => !p.Need.ThreeLines)], panel, needed, placed, free);
        return [.. placed.OrderBy(p => p.Space)];
    }

    /// <summary>The first place of a way.</summary>
    public static int First(int way) => ((way - 1) * Lines) + 1;

    /// <summary>The way of a place, from 1.</summary>
    public static int WayOf(int space) => ((space - 1) / Lines) + 1;

    /// <summary>The index of the section that a way is in, or none past the last one.</summary>
    public static int? SectionOf(ImmutableArray<BoardSection> sections, int way)
    {
        for (var (i, last) = (0, 0); i < sections.Length; i++)
        {
            last += sections[i].Ways;
            if (way <= last)
                return i;
        }

        return null;
    }

    private static IEnumerable<int> Taken(int space, bool threeLines) => Enumerable.Range(space, threeLines ? Lines : 1);

    // Each breaker that has no place yet with the ways of a section of its kind: the one with the least behind its device that takes it.
    private static IEnumerable<(WayNeed Need, ImmutableArray<int> Ways)> Ways(
        Panel panel,
        IReadOnlyList<WayNeed> needs,
        List<SpaceDecision> placed,
        CodeEdition edition
    )
    {
        var sections = Layout(panel, needs, edition);
        var behind = sections.Select(_ => new List<WayNeed>()).ToList();
        foreach (var need in needs)
        {
            if (placed.Find(p => p.Breaker == need.Breaker) is { } at && SectionOf(sections, WayOf(at.Space)) is { } there)
                behind[there].Add(need);
        }

        var done = placed.Select(p => p.Breaker).ToHashSet();
        foreach (var need in needs.Where(n => !done.Contains(n.Breaker)).OrderBy(n => n.Breaker.Circuit))
        {
            var own = Enumerable.Range(0, sections.Length).Where(s => sections[s].Milliamps == need.Milliamps).ToList();
            var takes = own.Where(s => WaysFor([.. behind[s], need]) <= sections[s].Ways && !TooMuch([.. behind[s], need], edition))
                .OrderBy(s => behind[s].Count)
                .ToList();
            if ((takes.Count > 0 ? takes : own) is not [var section, ..])
                continue;
            behind[section].Add(need);
            var from = sections.Take(section).Sum(s => s.Ways) + 1;
            yield return (need, [.. Enumerable.Range(from, sections[section].Ways).Where(w => w <= panel.Spaces / Lines)]);
        }
    }

    // Circuits that feed sockets of one room are on one line, so they are divided as one.
    private static void OneLine(
        List<(WayNeed Need, ImmutableArray<int> Ways)> open,
        Panel panel,
        Dictionary<BreakerKey, WayNeed> needed,
        List<SpaceDecision> placed,
        HashSet<int> free
    )
    {
        int Slots(ImmutableArray<int> ways, int line) => ways.Count(w => free.Contains(First(w) + line));
        // Those of several circuits first: where places are short they find room on one line only while the others have none.
        var tied = Tied(open).OrderByDescending(t => t.Count).ToList();
        int[] there = [.. Enumerable.Range(0, Lines).Select(l => placed.Sum(p => Carried(needed[p.Breaker], p.Space, l)))];
        bool Fits(int[] line)
        {
            var used = new Dictionary<(int, int), int>();
            for (var i = 0; i < tied.Count; i++)
            {
                foreach (var (_, ways) in line[i] < 0 ? [] : tied[i])
                {
                    var key = (ways.FirstOrDefault(), line[i]);
                    if ((used[key] = used.GetValueOrDefault(key) + 1) > Slots(ways, line[i]))
                        return false;
                }
            }

            return true;
        }

        int[] watts = [.. tied.Select(t => t.Sum(x => x.Need.Watts))];
        var lines = LineBalance.Divide(watts, Fits, there);
        if (lines.Contains(-1))
        {
            var several = tied.Count(t => t.Count > 1);
            var first = LineBalance.Divide(watts[..several], l => Fits([.. l, .. Enumerable.Repeat(-1, watts.Length - several)]), there);
            int[] then = [.. there.Select((w, l) => w + watts[..several].Where((_, i) => first[i] == l).Sum())];
            lines = [.. first, .. LineBalance.Divide(watts[several..], l => Fits([.. first, .. l]), then)];
        }

        foreach (var (group, line) in tied.Zip(lines).OrderBy(x => x.First.Min(n => n.Need.Breaker.Circuit)))
        {
            foreach (var (need, ways) in group)
            {
                // Where a group does not fit on one line its circuits take what is left; a check says so.
                var at = Enumerable
                    .Range(0, Lines)
                    .OrderBy(l => l == line ? 0 : 1)
                    .SelectMany(l => ways.Select(w => First(w) + l))
                    .FirstOrDefault(free.Contains);
                if (at == 0)
                    continue;
                free.Remove(at);
                placed.Add(SpacePlan.At(panel, need.Breaker, at));
            }
        }
    }

    private static int Carried(WayNeed need, int space, int line) =>
        need.ThreeLines ? need.Watts / Lines
        : (space - 1) % Lines == line ? need.Watts
        : 0;

    private static List<List<(WayNeed Need, ImmutableArray<int> Ways)>> Tied(List<(WayNeed Need, ImmutableArray<int> Ways)> open)
    {
        var groups = new List<List<(WayNeed Need, ImmutableArray<int> Ways)>>();
        foreach (var one in open)
        {
            var rooms = one.Need.Rooms.IsDefault ? [] : one.Need.Rooms;
            var mates = groups.Where(g => g.Exists(x => !x.Need.Rooms.IsDefault && x.Need.Rooms.Any(rooms.Contains))).ToList();
            groups.RemoveAll(mates.Contains);
            groups.Add([.. mates.SelectMany(g => g), one]);
        }

        return groups;
    }
}
