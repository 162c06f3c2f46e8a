using System.Collections.Immutable;
using System.Globalization;
using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Routing;

namespace Circuitum.Core.Takeoff;

/// <summary>
/// What is joined in a box: the wires of its cables by what they carry, against the terminals of its devices and the leads of what hangs
/// there. One wire and one terminal need nothing; a wire that ends is capped.
/// </summary>
public sealed class BoxSplices
{
    private readonly JobAnalysis a;
    private readonly CircuitAnalysis circuit;
    private readonly Box box;
    private readonly SortedDictionary<string, WireNet> nets = new(StringComparer.Ordinal);

    private BoxSplices(JobAnalysis a, CircuitAnalysis circuit, Box box) => (this.a, this.circuit, this.box) = (a, circuit, box);

    /// <summary>The splices of a box; none for one on no circuit, or that brings a box of its own with its connectors.</summary>
    /// <param name="a">The analysis.</param>
    /// <param name="box">The box.</param>
    public static ImmutableArray<Splice> Of(JobAnalysis a, Box box) => [.. Joints(a, box).Select(j => j.Splice).OfType<Splice>()];

    /// <summary>
    /// Everything that meets in a box, also what needs no connector because one wire lands on one terminal; none for one on no circuit, or
    /// that brings a box of its own.
    /// </summary>
    /// <param name="a">The analysis.</param>
    /// <param name="box">The box.</param>
    public static ImmutableArray<BoxJoint> Joints(JobAnalysis a, Box box)
    {
        if (a.CircuitOf(box.Id) is not { Wire: not null } circuit || a.Specs[box.Id].Entry is not { } entry)
            return [];
        var splices = new BoxSplices(a, circuit, box);
        splices.Cables();
        splices.Devices();
        if (entry.Metal)
            splices.Net("ground").Terminal(splices.Ground);
        return [.. splices.nets.Values.Select(n => n.Joint())];
    }

    private WireSize Size => circuit.BranchCable.Size;

    private WireSize Ground => CodeLibrary.Conductors.Cable(Size)?.Ground ?? Size;

    private WireSize SizeOf(string what) => what == "ground" ? Ground : Size;

    private bool TwoLines => circuit.Load.Connection == Connection.TwoLines;

    private ImmutableArray<SwitchedLights> Switching => circuit.Run.Switching.IsDefault ? [] : circuit.Run.Switching;

    private WireNet Net(string what)
    {
        if (!nets.TryGetValue(what, out var net))
            nets[what] = net = new(what, what == "ground");
        return net;
    }

    private static string Leg(int group) => string.Create(CultureInfo.InvariantCulture, $"switched wire {group + 1}");

    private static string Traveler(int group, int nth) => string.Create(CultureInfo.InvariantCulture, $"traveler {nth} of {group + 1}");

    // What a protective device feeds hangs on its load side.
    private bool Protected(CableSegment segment) =>
        segment.From == box.Id
        && circuit.Protection.In(box.Id) is { } device
        && device.Covers.Contains(segment.To)
        && segment.Wires is null or { Legs.Length: 0, Pairs.Length: 0 };

    private void Cables()
    {
        foreach (var segment in circuit.Run.Cables.Where(h => h.To == box.Id || h.From == box.Id))
        {
            var cable = circuit.CableOf(segment);
            Net("ground").Wire(CodeLibrary.Conductors.Cable(cable.Size)?.Ground ?? cable.Size);
            var load = Protected(segment) ? " beyond the device" : "";
            var hot = segment.Wires?.Hot ?? true;
            if (hot)
                Net($"hot{load}").Wire(cable.Size);
            if (hot && TwoLines)
                Net("second hot").Wire(cable.Size);
            if (!TwoLines || cable.Conductors >= 3)
                Net($"neutral{load}").Wire(cable.Size);
            foreach (var leg in segment.Wires?.Legs ?? [])
                Net(Leg(leg)).Wire(cable.Size);
            foreach (var pair in segment.Wires?.Pairs ?? [])
            {
                Net(Traveler(pair, 1)).Wire(cable.Size);
                Net(Traveler(pair, 2)).Wire(cable.Size);
            }

            if (segment.Wires is { Joins: true })
                Net("wire between alarms").Wire(cable.Size);
        }

        // Where a shared home run ends, the other circuit goes on.
        if (circuit is { Pair: { } shared, Carried: false } && circuit.Run.First == box.Id)
        {
            var other = shared.Kind == PairKind.SharedNeutral ? "neutral" : $"neutral of {shared.Second}";
            foreach (var size in new[] { circuit.Cable.Size, Size })
                Net($"hot of {shared.Second}").Wire(size);
            if (shared.Kind == PairKind.TwoNeutrals)
                Net(other).Wire(circuit.Cable.Size);
            Net(other).Wire(Size);
            Net("ground").Wire(Ground);
        }
    }

    private void Devices()
    {
        switch (box.Kind)
        {
            case BoxKind.Receptacle:
                Receptacle(box.Style == ReceptacleStyle.Quad ? 2 : 1);
                break;
            case BoxKind.Switch:
                Switches();
                break;
            case BoxKind.Light:
                Light();
                break;
            case BoxKind.SmokeAlarm:
                Net("hot").Lead(Size);
                Net("neutral").Lead(Size);
                if (nets.ContainsKey("wire between alarms"))
                    Net("wire between alarms").Lead(Size);
                break;
            case BoxKind.Appliance:
                Appliance();
                break;
            case BoxKind.Disconnect:
                // Hot wires land on both sides of it.
                nets.Remove("hot");
                if (TwoLines)
                    nets.Remove("second hot");
                Net("ground").Terminal(Ground);
                break;
        }
    }

    private static readonly string[] PlainWires = ["hot", "neutral"];
    private static readonly string[] SplitWires = ["hot", "second hot", "neutral"];

    private void Receptacle(int devices)
    {
        var through = BoxCables.Style(a.Job, circuit, box.Id) == Connections.FeedThrough;
        var groups = Enumerable.Range(0, Switching.Length).Where(g => Switching[g].Group.Lights.Contains(box.Id)).ToList();
        for (var i = 0; i < devices; i++)
        {
            foreach (var what in circuit.Load.Split ? SplitWires : PlainWires)
            {
                if (nets.ContainsKey(what))
                    (Net(what).Through, _) = (through && devices == 1, Terminal(what));
            }

            Net("ground").Terminal(Ground);
        }

        foreach (var g in groups)
            Terminal(Leg(g));

        // A device feeds on through its load terminals; more than one cable there is joined before it.
        foreach (var load in nets.Keys.Where(n => n.EndsWith(" beyond the device", StringComparison.Ordinal)).ToList())
            Terminal(load);
    }

    private bool Terminal(string what)
    {
        Net(what).Terminal(SizeOf(what));
        return true;
    }

    private void Switches()
    {
        foreach (var _ in box.Gangs)
            Terminal("ground");
        for (var g = 0; g < Switching.Length; g++)
        {
            var (group, end) = (Switching[g].Group, Switching[g].LegEnd);
            var at = group.Switches.IndexOf(box.Id);
            if (at < 0)
                continue;
            if (group.Switches.Length == 1)
            {
                Terminal("hot");
                Terminal(Leg(g));
                continue;
            }

            // A three-way has its common on the power or on the leg and travelers beside; a four-way has travelers in and out.
            if (at == 0 || at == group.Switches.Length - 1)
            {
                Terminal(end == box.Id ? Leg(g) : "hot");
                Terminal(Traveler(g, 1));
                Terminal(Traveler(g, 2));
            }
            else
            {
                nets.Remove(Traveler(g, 1));
                nets.Remove(Traveler(g, 2));
            }
        }
    }

    private void Light()
    {
        var groups = Enumerable.Range(0, Switching.Length).Where(g => Switching[g].Group.Lights.Contains(box.Id)).ToList();
        if (groups.Count == 0)
            Net("hot").Lead(Size);
        foreach (var g in groups)
            Net(Leg(g)).Lead(Size);
        Net("neutral").Lead(Size);
        Net("ground").Lead(Ground);
    }

    private void Appliance()
    {
        var facts = a.Job.ApplianceById(box.Appliance) is { } appliance ? ApplianceFacts.Of(a.Job, appliance) : null;
        if (facts is { Hardwired: false })
        {
            foreach (var what in nets.Keys.ToList())
                Terminal(what);
            return;
        }

        // Thick wires land on the appliance's own terminals.
        if (Size > WireSize.Awg(CodeLibrary.Takeoff.Rules.LargestSplicedAwg))
        {
            nets.Clear();
            return;
        }

        foreach (var what in nets.Keys.ToList())
            Net(what).Lead(SizeOf(what));
    }
}
