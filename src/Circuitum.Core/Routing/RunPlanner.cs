using System.Collections.Immutable;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Routing;

/// <summary>
/// Plans the cable of one circuit as a tree. Travelers and the wire between alarms join the boxes that belong together; power
/// then comes to the nearest of them, and from there to the next nearest, a storey finished before the next is begun; legs go
/// to the lights last. Each cable holds what it needs.
/// </summary>
internal sealed partial class RunPlanner
{
    // A box with three cables is full enough.
    private const int MostCables = 3;

    // Insulated wires in the largest cable for branch circuits; what is more goes in a second one beside it.
    private const int MostWires = 4;

    // How much nearer a box of another storey would have to be: more than any house is wide, so that one riser serves a storey.
    private static readonly Length AnotherStorey = Length.Feet(1000);

    // How much nearer a box of another room would have to be to feed one whose own room has power already.
    private static readonly Length AnotherRoom = Length.Feet(40);

    private readonly CableRouter runs;
    private readonly Preferences preferences;
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
    /// <param name="preferences">Make-up, and how alarms are joined.</param>
    /// <param name="switched">Which switches control which lights, in the whole house.</param>
    /// <param name="boxes">The circuit's boxes.</param>
    /// <param name="first">A box that must be first, or none.</param>
    /// <param name="loops">Whether power comes to the switch or to the light first.</param>
    /// <param name="home">The way of the home run to a box.</param>
    /// <param name="locked">Cables that are in the frame already, each after the one that feeds it.</param>
    internal RunPlanner(
        CableRouter runs,
        Preferences preferences,
        SwitchGroups switched,
        IReadOnlyList<string> boxes,
        string? first,
        SwitchLoops loops,
        Func<string, Length> home,
        ImmutableArray<LockedCable> locked
    )
    {
        (this.runs, this.preferences, this.boxes, this.home) = (runs, preferences, boxes, home);
        var own = boxes.ToHashSet();
        alarms = [.. boxes.Where(runs.IsAlarm)];
        forest = new(boxes);
        this.locked = [.. locked.Where(c => own.Contains(c.To) && (c.From is null || own.Contains(c.From)))];
        this.first = this.locked.FirstOrDefault(c => c.From is null)?.To ?? first;
        foreach (var group in switched.Within(own))
            groups.Add((group, LightWithPower(group, loops)));
    }

    /// <summary>The cable of the circuit.</summary>
    internal CableRun Plan()
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
                    cable.Travelers = cable.Travelers.Add(g);
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
                cable.Joins = preferences.AlarmJoin == AlarmJoin.Wired;
            if (atBack)
                back = next;
            else
                front = next;
            left.Remove(next);
        }
    }

    private Length Apart(string a, string b) => runs.Between(a, b) + (runs.StoreyOf(a) == runs.StoreyOf(b) ? Length.Zero : AnotherStorey);

    private CableRun Tell(string head)
    {
        var (segments, beside) = (new List<CableSegment>(), new List<CableSegment>());
        var way = home(head);
        segments.Add(new(null, head, way, way + preferences.PanelMakeUp + preferences.BoxMakeUp));
        var stack = new Stack<(string Box, RunCable? By)>([(head, null)]);
        while (stack.TryPop(out var here))
        {
            if (here.By is { } by)
                Lay(by.Other(here.Box), here.Box, by);
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
            beside.Add(
                Piece(ring.From!, ring.To, runs.Between(ring.From!, ring.To), ring.Use, new(ring.Use == CableUse.Power, [], [], false))
            );
        return new([.. segments]) { Beside = [.. beside], Switching = [.. Switched()] };

        void Lay(string from, string to, RunCable c)
        {
            // More wires than one cable holds go in others beside it, each with a neutral of its own that is joined at one end only.
            var wires = c.Wires;
            var (pairs, legs) = (c.Travelers, c.Legs);
            for (; wires > MostWires && pairs.Length > 1; (wires, pairs) = (wires - 2, pairs[..^1]))
                beside.Add(Piece(from, to, c.Way, CableUse.Travelers, new(false, [], [pairs[^1]], false)));
            for (; wires > MostWires && legs.Length > 0; (wires, legs) = (wires - 1, legs[..^1]))
                beside.Add(Piece(from, to, c.Way, CableUse.SwitchLeg, new(false, [legs[^1]], [], false)));
            var use =
                c.Joins ? CableUse.Interconnect
                : c.Travelers.Length > 0 ? CableUse.Travelers
                : c.Hot
                    ? legs.Length > 0 ? CableUse.SwitchLoop
                        : CableUse.Power
                : legs.Length > 1 ? CableUse.TwoSwitchLegs
                : CableUse.SwitchLeg;
            segments.Add(Piece(from, to, c.Way, use, new(c.Hot, legs, pairs, c.Joins)));
        }
    }

    private CableSegment Piece(string from, string to, Length way, CableUse use, CableWires wires)
    {
        var segment = new CableSegment(from, to, way, way + (preferences.BoxMakeUp * 2), null, use) { Wires = wires };
        return wires.Count > segment.Conductors ? segment with { More = wires.Count - segment.Conductors } : segment;
    }
}
