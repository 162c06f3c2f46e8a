using System.Collections.Immutable;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Routing;

/// <summary>
/// Plans the cable of one circuit as a tree. Travelers and the wire between alarms join the boxes that belong together; power
/// then comes to the nearest of them, and from there to the next nearest, a storey finished before the next is begun; legs go
/// to the lights last. Each cable holds what it needs.
/// </summary>
internal sealed class RunPlanner
{
    // A box with three cables is full enough.
    private const int MostCables = 3;

    // Insulated wires in the largest cable for branch circuits; what is more goes in a second one beside it.
    private const int MostWires = 4;

    // How much nearer a box of another storey would have to be: more than any house is wide, so that one riser serves a storey.
    private static readonly Length AnotherStorey = Length.Feet(1000);

    // How much nearer a box of another room would have to be to feed one whose own room has power already.
    private static readonly Length AnotherRoom = Length.Feet(40);

    private readonly Runs runs;
    private readonly Preferences wishes;
    private readonly Func<string, Length> home;
    private readonly IReadOnlyList<string> boxes;
    private readonly ImmutableHashSet<string> alarms;
    private readonly List<(SwitchGroup Group, string? Light)> groups = [];
    private readonly ImmutableArray<LockedCable> locked;
    private readonly RunForest forest;
    private readonly List<LockedCable> rings = [];
    private string? first;

    /// <summary>Prepares a plan.</summary>
    /// <param name="runs">The ways.</param>
    /// <param name="wishes">Make-up, and how alarms are joined.</param>
    /// <param name="switched">Which switches control which lights, in the whole house.</param>
    /// <param name="boxes">The circuit's boxes.</param>
    /// <param name="first">A box that must be first, or none.</param>
    /// <param name="loops">Whether power comes to the switch or to the light first.</param>
    /// <param name="home">The way of the home run to a box.</param>
    /// <param name="locked">Cables that are in the frame already, each after the one that feeds it.</param>
    internal RunPlanner(
        Runs runs,
        Preferences wishes,
        ImmutableArray<SwitchGroup> switched,
        IReadOnlyList<string> boxes,
        string? first,
        SwitchLoops loops,
        Func<string, Length> home,
        ImmutableArray<LockedCable> locked
    )
    {
        (this.runs, this.wishes, this.boxes, this.home) = (runs, wishes, boxes, home);
        var own = boxes.ToHashSet();
        alarms = [.. boxes.Where(runs.IsAlarm)];
        forest = new(boxes);
        this.locked = [.. locked.Where(c => own.Contains(c.To) && (c.From is null || own.Contains(c.From)))];
        this.first = this.locked.FirstOrDefault(c => c.From is null)?.To ?? first;
        var within = switched.Select(g => g.Within(own)).Where(g => g.Lights.Length > 0 && g.Switches.Length > 0);
        foreach (var group in within)
            groups.Add((group, LightWithPower(group, loops)));
    }

    /// <summary>The cable of the circuit.</summary>
    internal RunEstimate Plan()
    {
        Keep();
        Travelers();
        Alarms();
        var needy = Powered();
        var head = Head(needy);
        Power(head, needy);
        Legs(needy);
        return Tell(head);
    }

    // Where a person wants the home run to end in a light or in a switch, power comes there first.
    private string? LightWithPower(SwitchGroup group, SwitchLoops loops)
    {
        if (first is not null && group.Lights.Contains(first))
            return first;
        if (first is not null && group.Switches.Contains(first))
            return null;
        return loops == SwitchLoops.LightFirst ? group.Lights.MinBy(l => runs.Between(l, group.Switches[0])) : null;
    }

    // What is locked lies as it lies, as far as it hangs on the home run; what it carries is worked out like everything else.
    private void Keep()
    {
        var hang = new HashSet<string>();
        foreach (var cable in locked)
        {
            if (cable.From is not { } from)
                hang.Add(cable.To);
            else if (hang.Contains(from))
            {
                if (forest.Together(from, cable.To))
                    rings.Add(cable);
                else
                    forest.Lay(from, cable.To, runs.Between(from, cable.To));
                hang.Add(cable.To);
            }
        }
    }

    // From switch to switch, and from a light that has the power to the nearer end of its switches.
    private void Travelers()
    {
        var fedByLight = new HashSet<string>();
        for (var g = 0; g < groups.Count; g++)
        {
            var (group, light) = groups[g];
            foreach (var (a, b) in group.Switches.Zip(group.Switches.Skip(1)))
            {
                foreach (var cable in Joined(a, b))
                    cable.Travelers++;
            }

            if (light is null)
                continue;

            // A switch box that one light feeds needs no second feed: its other lights get their legs from it.
            if (light != first && fedByLight.Any(f => forest.Together(f, group.Switches[0])))
            {
                groups[g] = (group, null);
                continue;
            }

            Joined(light, NearEnd(group, light));
            fedByLight.Add(light);
        }
    }

    private List<RunCable> Joined(string a, string b)
    {
        if (!forest.Together(a, b))
            forest.Lay(a, b, runs.Between(a, b));
        return forest.Path(a, b);
    }

    private string NearEnd(SwitchGroup group, string light) =>
        runs.Between(light, group.Switches[0]) <= runs.Between(light, group.Switches[^1]) ? group.Switches[0] : group.Switches[^1];

    // From alarm to alarm, the nearest next, each with two at most; an alarm feeds nothing else.
    private void Alarms()
    {
        var left = alarms.Order(StringComparer.Ordinal).ToList();
        if (left.Count < 2)
            return;
        var (front, back) = (left[0], left[0]);
        left.RemoveAt(0);
        while (left.Count > 0)
        {
            var ahead = left.MinBy(b => Apart(back, b))!;
            var behind = left.MinBy(b => Apart(front, b))!;
            var atBack = Apart(back, ahead) <= Apart(front, behind);
            var (from, next) = atBack ? (back, ahead) : (front, behind);
            foreach (var cable in Joined(from, next))
                cable.Joins = wishes.AlarmJoin == AlarmJoin.Wired;
            if (atBack)
                back = next;
            else
                front = next;
            left.Remove(next);
        }
    }

    private Length Apart(string a, string b) => runs.Between(a, b) + (runs.StoreyOf(a) == runs.StoreyOf(b) ? Length.Zero : AnotherStorey);

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
        Enter(head, 1);
        var near = new Dictionary<string, (string From, Length Way)>();
        foreach (var b in needy.Where(b => !forest.Together(head, b)))
            near[b] = Nearest(b);
        while (near.Count > 0)
        {
            // A room that is begun is finished first.
            var begun = hot.Keys.Select(runs.RoomOf).ToHashSet();
            var next = near.OrderBy(n => alarms.Contains(n.Key))
                .ThenBy(n => !begun.Contains(runs.RoomOf(n.Key)))
                .ThenBy(n => n.Value.Way)
                .ThenBy(n => n.Key, StringComparer.Ordinal)
                .First();
            var from = next.Value.From;
            forest.Lay(from, next.Key, runs.Between(from, next.Key)).Hot = true;
            hot[from]++;
            var fresh = Enter(next.Key, 1);
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

        (string From, Length Way) Nearest(string box)
        {
            var open = hot.Where(h => h.Value < MostCables).Select(h => h.Key).ToList();
            if (open.Count == 0)
                open = [.. hot.Keys.Take(1)];
            if (open.Count == 0)
                open = [head];
            var from = open.OrderBy(h => Rank(h, box)).ThenBy(h => h, StringComparer.Ordinal).First();
            return (from, Apart(from, box));
        }

        // From a box of the same room before any other, so that its cables stay in it.
        Length Rank(string from, string to) => Apart(from, to) + (runs.RoomOf(from) == runs.RoomOf(to) ? Length.Zero : AnotherRoom);

        List<string> Enter(string entry, int cables)
        {
            var fresh = new List<string>();
            foreach (var box in needy.Where(b => forest.Together(entry, b) && !hot.ContainsKey(b)).Order(StringComparer.Ordinal).ToList())
            {
                foreach (var cable in forest.Path(entry, box))
                    cable.Hot = true;
                if (alarms.Contains(box))
                    continue;
                hot[box] = box == entry ? cables : forest.At(box).Count(c => c.Hot);
                fresh.Add(box);
            }

            if (fresh.Count == 0 && hot.Count == 0)
                fresh.Add(entry);
            if (!alarms.Contains(entry) || hot.Count == 0)
                hot.TryAdd(entry, cables);
            return fresh;
        }
    }

    // Legs from the last switch, or from the light that has the power, to the lights of the group, each from the nearest.
    private void Legs(HashSet<string> needy)
    {
        foreach (var (group, light) in groups)
        {
            var end = light ?? LegEnd(group, needy);
            if (light is not null)
            {
                // Power goes down to the nearer switch; from the last one the leg comes back to the light along the travelers.
                var near = NearEnd(group, light);
                foreach (var cable in forest.Path(light, near))
                    cable.Hot = true;
                foreach (var cable in forest.Path(light, near == group.Switches[0] ? group.Switches[^1] : group.Switches[0]))
                    cable.Legs++;
            }

            var lit = new Dictionary<string, int> { [end] = 0 };
            var left = group.Lights.Where(l => l != light).ToList();
            while (left.Count > 0)
            {
                var open = lit.Where(l => l.Value < MostCables).Select(l => l.Key).DefaultIfEmpty(end).ToList();
                var (from, next, _) = left.SelectMany(l => open.Select(o => (o, l, runs.Between(o, l))))
                    .OrderBy(x => x.Item3)
                    .ThenBy(x => x.l, StringComparer.Ordinal)
                    .First();
                foreach (var cable in Joined(from, next))
                    cable.Legs++;
                left.Remove(next);
                lit[from]++;
                lit[next] = 1;
            }
        }
    }

    private string LegEnd(SwitchGroup group, HashSet<string> needy)
    {
        if (group.Switches.Length == 1)
            return group.Switches[0];
        var (a, b) = (group.Switches[0], group.Switches[^1]);
        if (needy.Contains(a) != needy.Contains(b))
            return needy.Contains(a) ? b : a;
        return PowerEnd(group, []) == a ? b : a;
    }

    private RunEstimate Tell(string head)
    {
        var (hops, beside) = (new List<Hop>(), new List<Hop>());
        var way = home(head);
        hops.Add(new(null, head, way, way + wishes.PanelMakeUp + wishes.BoxMakeUp));
        var stack = new Stack<(string Box, RunCable? By)>([(head, null)]);
        while (stack.TryPop(out var here))
        {
            if (here.By is { } by)
                Told(by.Other(here.Box), here.Box, by);
            foreach (
                var cable in forest
                    .At(here.Box)
                    .Where(c => c != here.By)
                    .OrderByDescending(c => c.OnlyLegs)
                    .ThenByDescending(c => c.Way)
                    .ThenByDescending(c => c.Other(here.Box), StringComparer.Ordinal)
            )
                stack.Push((cable.Other(here.Box), cable));
        }

        foreach (var ring in rings)
            beside.Add(Piece(ring.From!, ring.To, runs.Between(ring.From!, ring.To), ring.Use, 0));
        return new([.. hops]) { Beside = [.. beside] };

        void Told(string from, string to, RunCable c)
        {
            // More wires than one cable holds go in others beside it, each with a neutral of its own that is joined at one end only.
            var wires = c.Wires;
            var (pairs, legs) = (c.Travelers, c.Legs);
            for (; wires > MostWires && pairs > 1; (wires, pairs) = (wires - 2, pairs - 1))
                beside.Add(Piece(from, to, c.Way, CableUse.Travelers, 0));
            for (; wires > MostWires && legs > 0; (wires, legs) = (wires - 1, legs - 1))
                beside.Add(Piece(from, to, c.Way, CableUse.SwitchLeg, 0));
            var use =
                c.Joins ? CableUse.Interconnect
                : c.Travelers > 0 ? CableUse.Travelers
                : c.Hot
                    ? legs > 0 ? CableUse.SwitchLoop
                        : CableUse.Power
                : legs > 1 ? CableUse.TwoSwitchLegs
                : CableUse.SwitchLeg;
            hops.Add(Piece(from, to, c.Way, use, wires));
        }
    }

    private Hop Piece(string from, string to, Length way, CableUse use, int wires)
    {
        var hop = new Hop(from, to, way, way + (wishes.BoxMakeUp * 2), null, use);
        return wires > hop.Conductors ? hop with { More = wires - hop.Conductors } : hop;
    }
}
