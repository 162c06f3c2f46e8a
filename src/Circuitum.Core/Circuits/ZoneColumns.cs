namespace Circuitum.Core.Circuits;

/// <summary>
/// All circuits that a division may have when rooms are kept whole and zones touch: each connected set of units that keeps the
/// limits and breaks no zone rule, and each unit by itself whatever it breaks.
/// </summary>
internal sealed class ZoneColumns
{
    // Beyond this many nobody waits for all of them to be measured; the search takes over.
    private const int Most = 20_000;

    private readonly ZoneRules rules;
    private readonly RoomSet[] rooms;
    private readonly List<int>[] beside;
    private readonly List<int[]> sets = [];
    private ZoneColumn[] columns = [];

    private ZoneColumns(GroupProblem problem, ZoneRules rules)
    {
        (Problem, this.rules) = (problem, rules);
        Units = MakeUnits(problem);
        rooms = [.. Units.Select(problem.PlacesOf)];
        beside = [.. rooms.Select((r, i) => Enumerable.Range(0, Units.Length).Where(o => o != i && rules.Touch(r, rooms[o])).ToList())];
    }

    internal GroupProblem Problem { get; }

    /// <summary>What stays together: a room's things, or those that a person put on one circuit.</summary>
    internal int[][] Units { get; }

    internal IReadOnlyList<ZoneColumn> All => columns;

    /// <summary>The units that touch one.</summary>
    internal IReadOnlyList<int> Beside(int unit) => beside[unit];

    /// <summary>The columns of a problem; none when they are too many, or the problem has no zones.</summary>
    /// <param name="problem">The problem.</param>
    /// <param name="watch">Who looks on and may end it early; none for nobody.</param>
    /// <param name="title">What is divided, as the one who looks on is told.</param>
    internal static ZoneColumns? Of(GroupProblem problem, PlanWatch? watch, string title)
    {
        if (problem.Zones is not { } rules || problem.Count == 0)
            return null;
        var all = new ZoneColumns(problem, rules);
        if (!all.List(watch, title))
            return null;
        all.Measure(watch, title);
        return watch is { Stopped: true } ? null : all;
    }

    // A room that is too much for one circuit is cut into even stretches along its walls.
    private static int[][] MakeUnits(GroupProblem problem)
    {
        var free = Enumerable.Range(0, problem.Count).Where(t => !problem.Closed.Contains(problem.Fixed[t])).ToList();
        var held = free.Where(t => problem.Fixed[t] >= 0).GroupBy(t => problem.Fixed[t]).OrderBy(g => g.Key).Select(g => g.ToArray());
        return [.. held, .. Rooms(problem, [.. free.Where(t => problem.Fixed[t] < 0)])];
    }

    // What shares a room stays together as far as one circuit holds it: lights that go with those of another room bring its things.
    private static IEnumerable<int[]> Rooms(GroupProblem problem, List<int> things)
    {
        var left = things.ToList();
        while (left.Count > 0)
        {
            var (place, all) = (problem.Places[left[0]], new List<int>());
            for (var grown = true; grown; )
            {
                foreach (var join in problem.Zones!.Joins.Where(j => j.All.Meets(place)))
                    place.Add(join.All);
                var next = left.Where(t => problem.Places[t].Meets(place)).ToList();
                grown = next.Count > 0;
                all.AddRange(next);
                left.RemoveAll(next.Contains);
                foreach (var t in next)
                    place.Add(problem.Places[t]);
            }

            if (all.Count == 0)
            {
                // Outside; no room's.
                all.Add(left[0]);
                left.RemoveAt(0);
            }

            if (problem.Fits([.. all]))
                yield return [.. all.Order()];
            else
            {
                foreach (
                    var stretch in all.GroupBy(t => problem.Room[t])
                        .OrderBy(g => g.Key)
                        .SelectMany(g => Stretches(problem, [.. g.OrderBy(t => problem.Around[t]).ThenBy(t => t)]))
                )
                    yield return stretch;
            }
        }
    }

    private static IEnumerable<int[]> Stretches(GroupProblem problem, int[] things)
    {
        for (var parts = 1; parts < things.Length; parts++)
        {
            var cut = things
                .Select((t, i) => (t, Part: i * parts / things.Length))
                .GroupBy(x => x.Part, x => x.t)
                .Select(g => g.ToArray())
                .ToList();
            if (cut.All(c => problem.Fits(c)))
                return cut;
        }

        return things.Select(t => new[] { t });
    }

    private bool List(PlanWatch? watch, string title)
    {
        for (var first = 0; first < Units.Length; first++)
        {
            Put([first]);
            if (rules.Broken(rooms[first]) > 0)
                continue;
            if (
                !Extend([first], rooms[first], first, [.. beside[first].Where(u => u > first)], [first, .. beside[first]])
                || watch is { Stopped: true }
            )
                return false;
        }

        return true;
    }

    // Every connected set is reached once: it is grown from its lowest unit, and what was passed over stays out. What breaks a rule
    // is not grown further, because more rooms mend none.
    private bool Extend(int[] set, RoomSet where, int first, List<int> open, HashSet<int> seen)
    {
        while (open.Count > 0)
        {
            var next = open[^1];
            open.RemoveAt(open.Count - 1);
            int[] grown = [.. set, next];
            var wide = where;
            wide.Add(rooms[next]);
            if (grown.Count(u => Problem.Fixed[Units[u][0]] >= 0) > 1 || !Problem.Fits(Things(grown)) || rules.Broken(wide) > 0)
                continue;
            if (sets.Count >= Most)
                return false;
            Put(grown);
            var fresh = beside[next].Where(u => u > first && !seen.Contains(u)).ToList();
            if (!Extend(grown, wide, first, [.. open, .. fresh], [.. seen, .. fresh]))
                return false;
        }

        return true;
    }

    private void Put(int[] units) => sets.Add([.. units.Order()]);

    // The dearest part, and only when they are not too many; each by itself.
    private void Measure(PlanWatch? watch, string title)
    {
        var measured = 0;
        columns = new ZoneColumn[sets.Count];
        Parallel.For(0, sets.Count, (i, state) =>
        {
            if (watch is { Stopped: true })
                state.Stop();
            columns[i] = new(sets[i], Problem.Priced(Things(sets[i])));
            if (Interlocked.Increment(ref measured) % 100 == 0)
                watch?.Say($"{title}: possible circuits measured: {measured:#,0} of {sets.Count:#,0}.");
        });
    }

    internal int[] Things(int[] units) => [.. units.SelectMany(u => Units[u])];
}
