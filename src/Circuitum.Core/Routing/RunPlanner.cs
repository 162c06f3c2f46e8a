using System.Collections.Immutable;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Routing;

/// <summary>
/// Plans the cable of one circuit: first the boxes that power comes to, the nearest first, each further one from the nearest
/// that can take another cable; then travelers from switch to switch and legs to the lights.
/// </summary>
internal sealed class RunPlanner
{
    // A box with three cables is full enough.
    private const int MostCables = 3;

    private readonly Runs runs;
    private readonly Preferences wishes;
    private readonly Func<string, Length> home;
    private readonly IReadOnlyList<string> boxes;
    private readonly List<(SwitchGroup Group, string? Light)> groups = [];
    private readonly string? first;
    private readonly ImmutableArray<LockedCable> locked;
    private readonly List<Hop> hops = [];
    private readonly List<Hop> beside = [];
    private readonly Dictionary<string, int> hopOf = [];

    /// <summary>Prepares a plan.</summary>
    /// <param name="runs">The ways.</param>
    /// <param name="wishes">Make-up.</param>
    /// <param name="switched">Which switches control which lights, in the whole house.</param>
    /// <param name="boxes">The circuit's boxes.</param>
    /// <param name="first">A box that must be first, or none.</param>
    /// <param name="loops">Whether power comes to the switch or to the light first.</param>
    /// <param name="home">The way of the home run to a box.</param>
    /// <param name="locked">Cables that are in the frame already, each after the one that feeds it.</param>
    internal RunPlanner(Runs runs, Preferences wishes, ImmutableArray<SwitchGroup> switched, IReadOnlyList<string> boxes, string? first, SwitchLoops loops, Func<string, Length> home, ImmutableArray<LockedCable> locked)
    {
        (this.runs, this.wishes, this.boxes, this.home) = (runs, wishes, boxes, home);
        var own = boxes.ToHashSet();
        this.locked = [.. locked.Where(c => own.Contains(c.To) && (c.From is null || own.Contains(c.From)))];
        this.first = first = this.locked.FirstOrDefault(c => c.From is null)?.To ?? first;
        foreach (var group in switched.Select(g => g.Within(own)).Where(g => g.Lights.Length > 0 && g.Switches.Length > 0))
        {
            // Where a person wants the home run to end in a light or in a switch, power comes there first.
            var wanted = first is not null && group.Lights.Contains(first) ? first : null;
            var lightFirst = loops == SwitchLoops.LightFirst && !(first is not null && group.Switches.Contains(first));
            groups.Add((group, wanted ?? (lightFirst ? group.Lights.MinBy(l => runs.Between(l, group.Switches[0])) : null)));
        }
    }

    /// <summary>The cable of the circuit.</summary>
    internal RunEstimate Plan()
    {
        Keep();
        var powered = Powered();
        Power([.. boxes.Where(b => powered.Contains(b) && !hopOf.ContainsKey(b)).Order(StringComparer.Ordinal)]);
        foreach (var (group, light) in groups) Switch(group, light);
        return new([.. hops]) { Beside = [.. beside] };
    }

    // What is locked comes first, as far as it still hangs on the home run.
    private void Keep()
    {
        foreach (var cable in locked)
        {
            if (cable.From is null && hops.Count == 0) Home(cable.To);
            else if (cable.From is { } from && hopOf.ContainsKey(from)) Add(Piece(from, cable.To, runs.Between(from, cable.To), cable.Use));
        }
    }

    // Boxes that need power of their own: all but lights behind a switch and switches that travelers feed.
    private HashSet<string> Powered()
    {
        if (groups.Count == 0) return [.. boxes];
        var powered = boxes.Except(groups.SelectMany(g => g.Group.Lights.Concat(g.Group.Switches))).ToHashSet();
        if (first is not null) powered.Add(first);
        foreach (var (group, light) in groups)
        {
            if (light is not null) powered.Add(light);
            else if (group.Switches.Length == 1) powered.Add(group.Switches[0]);
        }

        foreach (var (group, light) in groups.Where(g => g.Light is null && g.Group.Switches.Length > 1)) powered.Add(PowerEnd(group, powered));
        return powered;
    }

    // Power comes to the end that has some anyway, else to the one farther from the lights: the leg leaves from the other end.
    private string PowerEnd(SwitchGroup group, HashSet<string> powered)
    {
        var (a, b) = (group.Switches[0], group.Switches[^1]);
        if (powered.Contains(a) != powered.Contains(b)) return powered.Contains(a) ? a : b;
        Length ToLights(string end) => group.Lights.Min(l => runs.Between(end, l));
        return ToLights(b) <= ToLights(a) ? a : b;
    }

    private void Power(List<string> left)
    {
        if (hops.Count == 0)
        {
            var head = first ?? left.MinBy(home)!;
            left.Remove(head);
            Home(head);
        }

        Spread([.. hops.Where(h => h.Use == CableUse.Power).Select(h => h.To)], left, CableUse.Power);
    }

    private void Home(string to)
    {
        var way = home(to);
        Add(new(null, to, way, way + wishes.PanelMakeUp + wishes.BoxMakeUp));
    }

    // Each box from the nearest one that hangs already and can take another cable.
    private void Spread(List<string> heads, List<string> left, CableUse use)
    {
        var cables = heads.ToDictionary(h => h, h => hops.Count(x => x.To == h || (x.From == h && x.Use == use)));
        (string From, Length Way) Nearest(string box) => cables.Where(c => c.Value < MostCables).Select(c => (c.Key, runs.Between(c.Key, box))).DefaultIfEmpty((heads[0], runs.Between(heads[0], box))).MinBy(c => c.Item2);
        var near = left.ToDictionary(b => b, Nearest);
        while (left.Count > 0)
        {
            var next = left.MinBy(b => near[b].Way)!;
            var (from, way) = near[next];
            left.Remove(next);
            Add(Piece(from, next, way, use));
            cables[from]++;
            cables[next] = 1;
            foreach (var b in left)
            {
                // What hung on a box that is full enough looks for another.
                if (near[b].From == from && cables[from] >= MostCables) near[b] = Nearest(b);
                var way2 = runs.Between(next, b);
                if (way2 < near[b].Way) near[b] = (next, way2);
            }
        }
    }

    private void Switch(SwitchGroup group, string? light)
    {
        // A group that is locked as a whole stays as it is wired.
        if (locked.Length > 0 && group.Lights.Concat(group.Switches).All(hopOf.ContainsKey) && group.Lights.All(l => hops[hopOf[l]].Use != CableUse.Power || locked.Any(c => c.From == l && c.Use == CableUse.SwitchLoop))) return;
        // The nearer end hangs on the light, or on power; the leg leaves from the last one.
        var forward = light is not null ? runs.Between(light, group.Switches[0]) <= runs.Between(light, group.Switches[^1]) : PowerAtFirst(group);
        var chain = forward ? group.Switches : [.. group.Switches.Reverse()];
        if (light is not null) Add(Piece(light, chain[0], runs.Between(light, chain[0]), CableUse.SwitchLoop));
        for (var i = 1; i < chain.Length; i++) Add(Piece(chain[i - 1], chain[i], runs.Between(chain[i - 1], chain[i]), CableUse.Travelers));
        Spread([light ?? chain[^1]], [.. group.Lights.Where(l => l != light)], CableUse.SwitchLeg);
    }

    private bool PowerAtFirst(SwitchGroup group)
    {
        var ends = group.Switches.Select(s => hopOf.TryGetValue(s, out var at) && hops[at].Use == CableUse.Power).ToList();
        return ends[0] != ends[^1] ? ends[0] : PowerEnd(group, []) == group.Switches[0];
    }

    private Hop Piece(string from, string to, Length way, CableUse use) => new(from, to, way, way + (wishes.BoxMakeUp * 2), null, use);

    private void Add(Hop hop)
    {
        if (!hopOf.TryGetValue(hop.To, out var at))
        {
            hopOf[hop.To] = hops.Count;
            hops.Add(hop);
        }
        else if (hops[at].From == hop.From && hops[at].Use == CableUse.SwitchLeg && hop.Use == CableUse.SwitchLeg) hops[at] = hops[at] with { Use = CableUse.TwoSwitchLegs };
        else if (hop.From is not null) beside.Add(hop);
    }
}
