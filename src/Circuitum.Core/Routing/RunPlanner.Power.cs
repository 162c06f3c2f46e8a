using Circuitum.Core.Measure;

namespace Circuitum.Core.Routing;

// Which boxes need power of their own, and the tree that brings it.
internal sealed partial class RunPlanner
{
    private readonly List<string> legEnds = [];

    // Boxes that need power of their own: all but lights behind a switch and switches that travelers feed.
    private HashSet<string> Powered()
    {
        var powered = boxes.Except(groups.SelectMany(g => g.Group.Lights.Concat(g.Group.Switches))).ToHashSet();
        if (first is not null)
            powered.Add(first);
        foreach (var (group, light) in groups)
        {
            if (light is not null)
                powered.Add(light);
            else if (group.Switches.Length == 1)
                powered.Add(group.Switches[0]);
        }

        foreach (var (group, _) in groups.Where(g => g.Light is null && g.Group.Switches.Length > 1))
            powered.Add(PowerEnd(group, powered));
        return powered;
    }

    // Power comes to the end that has some anyway, else to the one farther from the lights: the leg leaves from the other end.
    private string PowerEnd(SwitchGroup group, HashSet<string> powered)
    {
        var (a, b) = (group.Switches[0], group.Switches[^1]);
        if (powered.Contains(a) != powered.Contains(b))
            return powered.Contains(a) ? a : b;
        Length ToLights(string end) => group.Lights.Min(l => runs.Between(end, l));
        return ToLights(b) <= ToLights(a) ? a : b;
    }

    // The home run ends in the nearest box, in an alarm only when there is nothing else.
    private string Head(HashSet<string> needy) =>
        first ??= needy
            .Where(b => !alarms.Contains(b))
            .DefaultIfEmpty(needy.Order(StringComparer.Ordinal).First())
            .OrderBy(b => home(b))
            .ThenBy(b => b, StringComparer.Ordinal)
            .First();

    // Each tree from the nearest box that has power and can take another cable, and through the tree to all that need it.
    private void Power(string head, HashSet<string> needy)
    {
        var hot = new Dictionary<string, int>();
        var begun = new HashSet<string>();
        Enter(head, 1);
        var near = new Dictionary<string, (string From, Length Way)>();
        foreach (var b in needy.Where(b => !forest.Together(head, b)))
            near[b] = Nearest(b);
        while (near.Count > 0)
        {
            // A room that is begun is finished first.
            var (next, from) = First(near.Select(n => (n.Key, n.Value.From, n.Value.Way)));
            forest.Lay(from, next, runs.Between(from, next)).Hot = true;
            hot[from]++;
            var fresh = Enter(next, 1);
            foreach (var b in near.Keys.Where(b => forest.Together(head, b)).ToList())
                near.Remove(b);
            foreach (var b in near.Keys.ToList())
            {
                // What would have hung on a box that is full enough looks for another.
                if (near[b].From == from && hot[from] >= MostCables)
                    near[b] = Nearest(b);
                foreach (var f in fresh.Where(f => hot[f] < MostCables && Rank(f, b) < Rank(near[b].From, b)))
                    near[b] = (f, Apart(f, b));
            }
        }

        (string Box, string From) First(IEnumerable<(string Box, string From, Length Way)> all)
        {
            var (best, key) = ((Box: head, From: head), (true, true, new Length(long.MaxValue)));
            foreach (var (box, from, way) in all)
            {
                var rank = (alarms.Contains(box), !begun.Contains(runs.RoomOf(box)), way);
                if (rank.CompareTo(key) is var order && (order < 0 || (order == 0 && string.CompareOrdinal(box, best.Box) < 0)))
                    (best, key) = ((box, from), rank);
            }

            return best;
        }

        (string From, Length Way) Nearest(string box)
        {
            string? from = null;
            var least = new Length(long.MaxValue);
            foreach (var (end, _) in hot.Where(h => h.Value < MostCables))
            {
                if (Rank(end, box) is var rank && (rank < least || (rank == least && string.CompareOrdinal(end, from) < 0)))
                    (from, least) = (end, rank);
            }

            from ??= hot.Keys.FirstOrDefault() ?? head;
            return (from, Apart(from, box));
        }

        // From a box of the same room before any other, so that its cables stay in it.
        Length Rank(string from, string to) => Apart(from, to) + (runs.RoomOf(from) == runs.RoomOf(to) ? Length.Zero : AnotherRoom);

        List<string> Enter(string entry, int cables)
        {
            var fresh = new List<string>();
            foreach (
                var box in forest.Tree(entry).Where(b => needy.Contains(b) && !hot.ContainsKey(b)).Order(StringComparer.Ordinal).ToList()
            )
            {
                foreach (var cable in forest.Path(entry, box))
                    cable.Hot = true;
                if (alarms.Contains(box))
                    continue;
                hot[box] = box == entry ? cables : forest.At(box).Count(c => c.Hot);
                begun.Add(runs.RoomOf(box));
                fresh.Add(box);
            }

            if (fresh.Count == 0 && hot.Count == 0)
                fresh.Add(entry);
            if ((!alarms.Contains(entry) || hot.Count == 0) && hot.TryAdd(entry, cables))
                begun.Add(runs.RoomOf(entry));
            return fresh;
        }
    }

    // Legs from the last switch, or from the light that has the power, to the lights of the group, each from the nearest.
    private void Legs(HashSet<string> needy)
    {
        for (var g = 0; g < groups.Count; g++)
        {
            var (group, light) = groups[g];
            var end = light ?? LegEnd(group, needy);
            var leaves = end;
            if (light is not null)
            {
                // Power goes down to the nearer switch; from the last one the leg comes back to the light along the travelers.
                var near = NearEnd(group, light);
                leaves = near == group.Switches[0] ? group.Switches[^1] : group.Switches[0];
                foreach (var cable in forest.Path(light, near))
                    cable.Hot = true;
                foreach (var cable in forest.Path(light, leaves))
                    cable.Legs = cable.Legs.Add(g);
            }

            legEnds.Add(leaves);

            var lit = new Dictionary<string, int> { [end] = 0 };
            var left = group.Lights.Where(l => l != light).ToList();
            while (left.Count > 0)
            {
                var (from, next) = NearestPair(lit.Where(l => l.Value < MostCables).Select(l => l.Key).DefaultIfEmpty(end), left);
                foreach (var cable in Joined(from, next))
                    cable.Legs = cable.Legs.Add(g);
                left.Remove(next);
                lit[from]++;
                lit[next] = 1;
            }
        }
    }

    private (string From, string To) NearestPair(IEnumerable<string> from, List<string> to)
    {
        var open = from.ToList();
        var (best, least) = ((From: open[0], To: to[0]), new Length(long.MaxValue));
        foreach (var t in to)
        {
            foreach (var f in open)
            {
                var way = runs.Between(f, t);
                if (way < least || (way == least && string.CompareOrdinal(t, best.To) < 0))
                    (best, least) = ((f, t), way);
            }
        }

        return best;
    }

    // The groups with the end from which the switched wire goes to the lights; power comes to the other one.
    private IEnumerable<SwitchedLights> Switched() => groups.Zip(legEnds, (g, end) => new SwitchedLights(g.Group, end));

    private string LegEnd(SwitchGroup group, HashSet<string> needy)
    {
        if (group.Switches.Length == 1)
            return group.Switches[0];
        var (a, b) = (group.Switches[0], group.Switches[^1]);
        if (needy.Contains(a) != needy.Contains(b))
            return needy.Contains(a) ? b : a;
        return PowerEnd(group, []) == a ? b : a;
    }
}
