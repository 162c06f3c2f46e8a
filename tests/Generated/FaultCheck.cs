using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Simulation;

namespace Circuitum.Generated;

/// <summary>
/// A row of the table of faults against a network: with the fault at each place where it can be, what a meter tells and what opens. Which
/// outlets are beyond a fault is worked out from the tree of the run, not from the network.
/// </summary>
internal static class FaultCheck
{
    // Little enough that the drop along the neutral stays under what a meter calls nothing.
    private const double SmallW = 15;

    /// <summary>Tries a row, and tells how many readings were taken.</summary>
    internal static int Try(JobAnalysis a, Wiring w, string[] cells)
    {
        var tried = 0;
        foreach (var fault in Places(a, w, cells[0]))
        {
            var run = Simulator.Run(fault?.In(w) ?? w, Setting.AllOn(w, cells[1] == "yes" ? SmallW : 0));
            var what = $"{a.Job.Name}: {fault?.Kind} {fault?.Net} {fault?.Box} {(fault?.Cable is { } k ? w.Cables[k] : "")}";
            var opened = run.Trips.Select(t => w.Guards[t.Guard]).ToList();
            if (cells[6] == "nothing")
                opened.ShouldBeEmpty(what);
            else
                opened.ShouldContain(g => cells[6] == "breaker" ? g.Box == null : g.GroundFault, what);
            var beyond = fault is null ? [] : Beyond(a, w, fault);
            for (var i = 0; i < w.Outlets.Length; i++)
            {
                var o = w.Outlets[i];
                if (o.Volts != 120 || o.Group is not null || !Measured(w, o, cells[2], fault, beyond))
                    continue;
                tried++;
                run.At(i)
                    .InWords(CodeLibrary.Newest.Supply)
                    .ShouldBe($"{cells[3]}, {cells[4]}, {cells[5]}", $"{what}, measured at {o.Box}");
            }
        }

        return tried;
    }

    private static FaultKind[] Kinds(string fault) =>
        fault switch
        {
            "hot open" or "neutral open" or "ground open" => [FaultKind.OpenWire, FaultKind.OpenJoint],
            "hot and neutral swapped" => [FaultKind.HotNeutralSwapped],
            "hot and ground swapped" => [FaultKind.HotGroundSwapped],
            "ground off" => [FaultKind.GroundOff],
            "hot touches neutral" => [FaultKind.HotToNeutral],
            "hot touches ground" => [FaultKind.HotToGround],
            "line and load swapped, older device" => [FaultKind.LineLoadOlder],
            "line and load swapped, modern device" => [FaultKind.LineLoadModern],
            _ when fault.StartsWith("neutral touches", StringComparison.Ordinal) => [FaultKind.NeutralToGround],
            _ => [FaultKind.Nail],
        };

    // The boxes of a circuit that are fed through a cable, by the tree of its run; a shared neutral feeds both circuits.
    private static HashSet<string> Beyond(JobAnalysis a, Wiring w, Fault f)
    {
        if (f.Cable is not { } cable)
            return [f.Box!];
        var (number, segment) = w.Cables[cable];
        var circuit = a.CircuitByNumber(number)!;
        var beyond = circuit.Run.Through(segment.To).ToHashSet();
        var net =
            f.Kind is FaultKind.OpenWire or FaultKind.OpenJoint ? f.Net
            : f.Kind == FaultKind.NeutralToGround ? "neutral"
            : "hot";
        if (segment.From is null && !circuit.Carried && circuit.Pair is { } pair)
        {
            // The ground is one; the neutral where it is shared. Tied breakers go together.
            if (
                net == "ground"
                || pair.Kind == PairKind.SharedNeutral && (net == "neutral" || f.Kind is not (FaultKind.OpenWire or FaultKind.OpenJoint))
            )
                beyond.UnionWith(a.CircuitByNumber(pair.Second)!.Boxes.Select(b => b.Id));
        }

        return beyond;
    }

    private static IEnumerable<Fault?> Places(JobAnalysis a, Wiring w, string fault)
    {
        if (fault == "none")
            return [null];
        var net = fault.Split(' ')[0];
        return Fault
            .All(w)
            .Where(f => Kinds(fault).Contains(f.Kind))
            .Where(f => f.Kind is not (FaultKind.OpenWire or FaultKind.OpenJoint) || f.Net == net)
            .Where(f => f.Net != "neutral" || !Shared(a, w, f))
            .Where(f => f.Kind != FaultKind.NeutralToGround || w.OutletsIn(f.Box!).Any(i => w.Outlets[i].Volts == 120))
            .Where(f => f.Kind != FaultKind.Nail || Breaker(w, f) is { ArcFault: true })
            .Where(f =>
                f.Kind != FaultKind.NeutralToGround
                || fault.EndsWith("no ground-fault device ahead", StringComparison.Ordinal) == !Ahead(a, w, f)
            );
    }

    // A shared neutral that is lost has its own look.
    private static bool Shared(JobAnalysis a, Wiring w, Fault f) =>
        w.Cables[f.Cable!.Value] is { Cable.From: null } cable
        && a.CircuitByNumber(cable.Circuit) is { Carried: false, Pair.Kind: PairKind.SharedNeutral };

    private static Guard Breaker(Wiring w, Fault f) => w.Guards.First(g => g.Box is null && g.Circuit == w.Cables[f.Cable!.Value].Circuit);

    // A ground-fault breaker is ahead of everything of its circuit, a device of what it covers.
    private static bool Ahead(JobAnalysis a, Wiring w, Fault f) =>
        Breaker(w, f) is { GroundFault: true }
        || a.CircuitByNumber(w.Cables[f.Cable!.Value].Circuit)!
            .Protection.Devices.Any(d => d.GroundFault && d.Box is not null && d.Box != f.Box && d.Covers.Contains(f.Box!));

    private static bool Measured(Wiring w, Outlet o, string where, Fault? fault, HashSet<string> beyond)
    {
        // Of two circuits on one cable only the one with the fault is told by a row about the others.
        var circuit = w.Cables.First(c => c.Cable.To == o.Box).Circuit;
        return where switch
        {
            "beyond" => beyond.Contains(o.Box),
            "place" => o.Box == fault!.Box && o.Kind == OutletKind.Receptacle,
            "covered" => o.Box != fault!.Box && w.Guards.Any(g => g.Box == fault.Box) && Covered(w, fault.Box!, o.Box),
            _ => fault is null || (!beyond.Contains(o.Box) && circuit == (fault.Cable is { } c ? w.Cables[c].Circuit : circuit)),
        };
    }

    // What a device feeds: the cables that leave its box on the far side of its contacts.
    private static bool Covered(Wiring w, string device, string box)
    {
        var guard = Enumerable.Range(0, w.Guards.Length).First(g => w.Guards[g].Box == device);
        var run = Simulator.Run(w, Setting.AllOn(w, 0) with { Off = [guard] });
        return w.OutletsIn(box).Any(i => run.At(i).HotBack < 2);
    }
}
