using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Routing;

namespace Circuitum.Core.Simulation;

// What each wire of a cable is joined with at its ends, and what hangs on the wires in a box.
internal sealed partial class WiringBuilder
{
    private static bool TwoLines(CircuitAnalysis c) => c.Load.Connection == Connection.TwoLines;

    private static string Leg(int group) => $"switched wire {group + 1}";

    private static string Traveler(int group, int nth) => $"traveler {nth} of {group + 1}";

    // The conductors of a cable with the nodes at either end, that nearer to the panel first.
    private IEnumerable<(string Net, int From, int To)> ConductorsOf(CircuitAnalysis c, CableSegment segment)
    {
        foreach (var net in NetsOf(c, segment))
        {
            var far = Net(segment.To, At(c, segment.To, segment, net));
            if (segment.From is { } from)
                yield return (net, Net(from, At(c, from, segment, net)), far);
            else if (segment.Via is { } via)
                yield return (net, Net(via, Shared(c, net)), far);
            else
                yield return (net, Panel(c, net), far);
        }

        // The other circuit's wires in a shared home run end where it goes on.
        if (segment is { From: null } && c is { Pair: { } pair, Carried: false } && a.CircuitByNumber(pair.Second) is { } second)
        {
            yield return ($"hot of {pair.Second}", Node(Hot(second, 0)), Net(segment.To, Shared(second, "hot")));
            if (pair.Kind == PairKind.TwoNeutrals)
                yield return ($"neutral of {pair.Second}", Node(Back(second)), Net(segment.To, Shared(second, "neutral")));
        }
    }

    private static string Shared(CircuitAnalysis c, string net) =>
        net switch
        {
            "hot" => $"hot of {c.Number}",
            "neutral" when c.Pair?.Kind == PairKind.TwoNeutrals => $"neutral of {c.Number}",
            _ => net,
        };

    private int Panel(CircuitAnalysis c, string net) =>
        Node(
            net switch
            {
                "ground" => Earth(c),
                "neutral" => Back(c),
                "second hot" => Hot(c, 1),
                _ => Hot(c, 0),
            }
        );

    private static IEnumerable<string> NetsOf(CircuitAnalysis c, CableSegment segment)
    {
        yield return "ground";
        var hot = segment.Wires?.Hot ?? true;
        if (hot)
            yield return "hot";
        if (hot && TwoLines(c))
            yield return "second hot";
        if (!TwoLines(c) || c.CableOf(segment).Conductors >= 3)
            yield return "neutral";
        foreach (var leg in segment.Wires?.Legs ?? [])
            yield return Leg(leg);
        foreach (var pair in segment.Wires?.Pairs ?? [])
        {
            yield return Traveler(pair, 1);
            yield return Traveler(pair, 2);
        }
    }

    // With what of a box a wire of one of its cables is joined.
    private string At(CircuitAnalysis c, string box, CableSegment segment, string net)
    {
        var parts =
            a.Boxes[box].Kind == BoxKind.Disconnect
                ? net is "hot" or "second hot"
                : net is "hot" or "neutral" && Protected(c, box, segment);
        if (segment.From == box && parts)
            return Beyond(net);
        if (net.StartsWith("traveler", StringComparison.Ordinal))
            return net + Side(c, box, segment, net);
        return net;
    }

    private static string Beyond(string net) => $"{net} beyond";

    private static bool Protected(CircuitAnalysis c, string box, CableSegment segment) =>
        c.Protection.In(box) is { } device
        && device.Covers.Contains(segment.To)
        && segment.Wires is null or { Legs.Length: 0, Pairs.Length: 0 };

    // In a four-way's box travelers come in on one side and go out on the other.
    private static string Side(CircuitAnalysis c, string box, CableSegment segment, string net)
    {
        var g = int.Parse(net[(net.LastIndexOf(' ') + 1)..], System.Globalization.CultureInfo.InvariantCulture) - 1;
        var all = c.Run.Switching[g].Group.Switches;
        var at = all.IndexOf(box);
        if (at <= 0 || at == all.Length - 1)
            return "";
        var (seen, queue) = (new HashSet<string> { box }, new Queue<string>());
        queue.Enqueue(segment.From == box ? segment.To : segment.From!);
        while (queue.TryDequeue(out var there))
        {
            if (all.IndexOf(there) is >= 0 and var found)
                return found < at ? " in" : " out";
            if (!seen.Add(there))
                continue;
            foreach (var next in c.Run.Cables.Where(s => s.From is not null && s.Wires is { } w && w.Pairs.Contains(g)))
            {
                if (next.From == there || next.To == there)
                    queue.Enqueue(next.From == there ? next.To : next.From!);
            }
        }

        return " in";
    }

    // A protective device and a disconnect part what comes from what goes on.
    private void Device(CircuitAnalysis c, Box box)
    {
        if (box.Kind == BoxKind.Disconnect)
        {
            foreach (var net in TwoLines(c) ? new[] { "hot", "second hot" } : ["hot"])
                links.Add(new(Net(box.Id, net), Net(box.Id, Beyond(net)), Contact, LinkKind.Terminal, net) { Box = box.Id });
            return;
        }

        if (c.Protection.In(box.Id) is not { } device)
            return;
        var guard = guards.Count;
        guards.Add(new(c.Number, box.Id, Math.Max(c.Breaker, 15), device.ArcFault, device.GroundFault, [links.Count, links.Count + 1]));
        foreach (var net in new[] { "hot", "neutral" })
            links.Add(new(Net(box.Id, net), Net(box.Id, Beyond(net)), Contact, LinkKind.Guarded, net) { Box = box.Id, Guard = guard });
    }

    private void Contents(CircuitAnalysis c, Box box)
    {
        var groups = c.Run.Switching.IsDefault
            ? []
            : Enumerable.Range(0, c.Run.Switching.Length).Where(g => c.Run.Switching[g].Group.Lights.Contains(box.Id)).ToList();
        var volts = a.Edition.Supply.ToNeutral;
        switch (box.Kind)
        {
            case BoxKind.Receptacle when c.Protection.In(box.Id) is not null:
                Outlet(c, box, OutletKind.Receptacle, Beyond("hot"), Beyond("neutral"), volts);
                break;
            case BoxKind.Receptacle:
                Outlet(c, box, OutletKind.Receptacle, "hot", "neutral", volts);
                if (c.Load.Split)
                    Outlet(c, box, OutletKind.Receptacle, "second hot", "neutral", volts);
                break;
            case BoxKind.Switch:
                Switches(c, box);
                break;
            case BoxKind.Light when groups.Count > 0:
                foreach (var g in groups)
                    Outlet(c, box, OutletKind.Light, Leg(g), "neutral", volts, g);
                break;
            case BoxKind.Light or BoxKind.SmokeAlarm:
                Outlet(c, box, box.Kind == BoxKind.Light ? OutletKind.Light : OutletKind.Alarm, "hot", "neutral", volts);
                break;
            case BoxKind.Appliance when TwoLines(c):
                Outlet(c, box, OutletKind.Appliance, "hot", "second hot", a.Edition.Supply.Between);
                break;
            case BoxKind.Appliance when groups.Count > 0:
                Outlet(c, box, OutletKind.Appliance, Leg(groups[0]), "neutral", volts, groups[0]);
                break;
            case BoxKind.Appliance:
                Outlet(c, box, OutletKind.Appliance, "hot", "neutral", volts);
                break;
        }
    }

    private void Outlet(CircuitAnalysis c, Box box, OutletKind kind, string hot, string back, int volts, int? group = null)
    {
        var name = $"{box.Id}, {kind} {outlets.Count}";
        int Terminal(string net, string what)
        {
            var at = Node($"{name}: {what}");
            links.Add(new(Net(box.Id, net), at, Joint, LinkKind.Terminal, net) { Box = box.Id });
            return at;
        }

        outlets.Add(
            new(box.Id, kind, Terminal(hot, "hot"), Terminal(back, "back"), Terminal("ground", "ground"), volts)
            {
                Group = group is { } g ? c.Run.Switching[g].Group : null,
            }
        );
    }

    private void Switches(CircuitAnalysis c, Box box)
    {
        for (var g = 0; !c.Run.Switching.IsDefault && g < c.Run.Switching.Length; g++)
        {
            var (group, end) = (c.Run.Switching[g].Group, c.Run.Switching[g].LegEnd);
            var at = group.Switches.IndexOf(box.Id);
            if (at < 0)
                continue;
            var unit = switches.Count;
            void Closes(string one, string other, bool up) =>
                links.Add(
                    new(Net(box.Id, one), Net(box.Id, other), Contact, LinkKind.Contact, one)
                    {
                        Box = box.Id,
                        Switch = unit,
                        Up = up,
                    }
                );
            if (group.Switches.Length == 1)
            {
                switches.Add(new(box.Id, group, 1));
                Closes("hot", Leg(g), true);
            }
            else if (at == 0 || at == group.Switches.Length - 1)
            {
                switches.Add(new(box.Id, group, 3));
                var common = end == box.Id ? Leg(g) : "hot";
                Closes(common, Traveler(g, 1), true);
                Closes(common, Traveler(g, 2), false);
            }
            else
            {
                switches.Add(new(box.Id, group, 4));
                for (var n = 1; n <= 2; n++)
                {
                    Closes(Traveler(g, n) + " in", Traveler(g, n) + " out", true);
                    Closes(Traveler(g, n) + " in", Traveler(g, 3 - n) + " out", false);
                }
            }
        }
    }
}
