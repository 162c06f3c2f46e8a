using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Routing;
using Circuitum.Core.Sizing;

namespace Circuitum.Core.Simulation;

/// <summary>Draws the network of a circuit from its planned cables, joint by joint; with the circuit that shares its home run.</summary>
internal sealed partial class WiringBuilder
{
    // Nothing is without resistance; what is joined well has about this much, in ohms.
    private const double Joint = 0.001;
    private const double Contact = 0.002;

    private readonly JobAnalysis a;
    private readonly List<string> names = [];
    private readonly Dictionary<string, int> nodes = [];
    private readonly Dictionary<int, double> held = [];
    private readonly List<Link> links = [];
    private readonly List<Guard> guards = [];
    private readonly List<SwitchUnit> switches = [];
    private readonly List<Outlet> outlets = [];
    private readonly List<(int Circuit, CableSegment Cable)> cables = [];

    private WiringBuilder(JobAnalysis a) => this.a = a;

    internal static Wiring Of(JobAnalysis a, CircuitAnalysis circuit)
    {
        var builder = new WiringBuilder(a);
        CircuitAnalysis[] all =
            circuit.Pair is { } pair && a.CircuitByNumber(pair.First) is { } one && a.CircuitByNumber(pair.Second) is { } two
                ? [one, two]
                : [circuit];
        foreach (var c in all.Where(c => c.Wire is not null))
            builder.Panel(c);
        foreach (var c in all.Where(c => c.Wire is not null))
            builder.Circuit(c);
        if (circuit.Pair?.Kind == PairKind.SharedNeutral)
            builder.Tie();
        return new(
            [.. builder.names],
            builder.held.ToImmutableDictionary(),
            [.. builder.links],
            [.. builder.guards],
            [.. builder.switches],
            [.. builder.outlets],
            [.. builder.cables]
        )
        {
            Supply = a.Edition.Supply,
        };
    }

    private int Node(string name)
    {
        if (!nodes.TryGetValue(name, out var n))
        {
            nodes[name] = n = names.Count;
            names.Add(name);
        }

        return n;
    }

    private int Net(string box, string net) => Node($"{box}: {net}");

    private int Held(string name, double volts)
    {
        var n = Node(name);
        held[n] = volts;
        return n;
    }

    // The bars of the panel with what is on them; a breaker that senses takes the neutral of its circuit too.
    private void Panel(CircuitAnalysis c)
    {
        var space = a.Panels.SelectMany(p => p.Schedule).FirstOrDefault(r => r.Circuit?.Number == c.Number && !r.SecondPole)?.Space;
        var first = space is { } s ? a.Edition.Supply.LineOf(s) : 0;
        var device = c.Protection.Devices.FirstOrDefault(d => d.Box is null);
        var senses = ImmutableArray.CreateBuilder<int>();
        var guard = guards.Count;
        for (var pole = 0; pole < c.Poles; pole++)
        {
            var line = (first + pole) % 2;
            var bar = Held($"panel: line {line + 1}", (line == 0 ? 1 : -1) * a.Edition.Supply.ToNeutral);
            senses.Add(links.Count);
            links.Add(new(bar, Node(Hot(c, pole)), Contact, LinkKind.Guarded, pole == 0 ? "hot" : "second hot") { Guard = guard });
        }

        var shared = c.Carried && c.Pair is { Kind: PairKind.SharedNeutral };
        if (!shared)
        {
            senses.Add(links.Count);
            links.Add(new(Held("panel: neutral bar", 0), Node(Back(c)), Joint, LinkKind.Joint, "neutral"));
        }

        links.Add(new(Held("panel: ground bar", 0), Node(Earth(c)), Joint, LinkKind.Joint, "ground"));
        guards.Add(new(c.Number, null, c.Breaker, device is { ArcFault: true }, device is { GroundFault: true }, senses.ToImmutable()));
    }

    // Two hots come back on one neutral, so what one senses the other does: the sum is over both.
    private void Tie()
    {
        if (guards.Count < 2)
            return;
        var both = guards.Where(g => g.Box is null).SelectMany(g => g.Senses).ToImmutableArray();
        var (one, two) = (guards.FindIndex(g => g.Box is null), guards.FindLastIndex(g => g.Box is null));
        guards[one] = guards[one] with { Senses = both, Tied = two };
        guards[two] = guards[two] with { Senses = both, Tied = one };
    }

    private static string Hot(CircuitAnalysis c, int pole) => $"panel: breaker of {c.Number}{(pole == 0 ? "" : ", second pole")}";

    private static string Back(CircuitAnalysis c) => $"panel: neutral of {c.Number}";

    private static string Earth(CircuitAnalysis c) => $"panel: ground of {c.Number}";

    private void Circuit(CircuitAnalysis c)
    {
        foreach (var segment in c.Run.Cables)
            Cable(c, segment);

        // What only cuts equipment off is on the run and takes no power.
        foreach (var box in c.Run.Segments.Select(s => a.Boxes[s.To]))
        {
            Device(c, box);
            Contents(c, box);
        }
    }

    private void Cable(CircuitAnalysis c, CableSegment segment)
    {
        var number = cables.Count;
        cables.Add((c.Number, segment));
        foreach (var (net, from, to) in ConductorsOf(c, segment))
        {
            var size = c.CableOf(segment).Size;
            if (net == "ground")
                size = CodeLibrary.Conductors.Cable(size)?.Ground ?? size;
            var ohms = Math.Max(Joint, segment.Cut.InFeet * OhmPerFoot(size));
            var (near, far) = (Node($"cable {number}: {net}, near end"), Node($"cable {number}: {net}, far end"));
            links.Add(new(from, near, Joint, LinkKind.Joint, net) { Box = segment.From ?? segment.Via, Cable = number });
            links.Add(new(near, far, ohms, LinkKind.Conductor, net) { Cable = number });
            links.Add(new(to, far, Joint, LinkKind.Joint, net) { Box = segment.To, Cable = number });
        }
    }

    private static double OhmPerFoot(WireSize size) => Conductor.Copper(size).OhmPerKft / 1000;
}
