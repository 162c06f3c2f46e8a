using System.Collections.Immutable;

namespace Circuitum.Core.Simulation;

/// <summary>Puts a fault into a network.</summary>
internal static class FaultWiring
{
    // Wires that touch, and a nail that hardly does, in ohms.
    private const double Touching = 0.02;
    private const double Hardly = 8;

    internal static Wiring With(Wiring w, Fault f) =>
        f.Kind switch
        {
            FaultKind.OpenWire => Without(w, l => l.Kind == LinkKind.Conductor && l.Cable == f.Cable && l.Net == f.Net),
            FaultKind.OpenJoint => Without(w, l => l.Kind == LinkKind.Joint && l.Cable == f.Cable && l.Net == f.Net && l.Box == f.Box),
            FaultKind.HotToNeutral => Touch(w, f.Cable!.Value, "hot", "neutral", Touching, false),
            FaultKind.HotToGround => Touch(w, f.Cable!.Value, "hot", "ground", Touching, false),
            FaultKind.NeutralToGround => Touch(w, f.Cable!.Value, "neutral", "ground", Touching, false),
            FaultKind.Nail => Touch(w, f.Cable!.Value, "hot", "ground", Hardly, true),
            FaultKind.HotNeutralSwapped => Swapped(w, f.Box!, o => (o.Hot, o.Back)),
            FaultKind.HotGroundSwapped => Swapped(w, f.Box!, o => (o.Hot, o.Ground)),
            FaultKind.GroundOff => GroundOff(w, f.Box!),
            FaultKind.LineLoadOlder => LineLoad(w, f.Box!),
            FaultKind.LineLoadModern => Refusing(w, f.Box!),
            FaultKind.OneLine => OneLine(w),
            _ => throw new ArgumentOutOfRangeException(nameof(f)),
        };

    private static Wiring Without(Wiring w, Func<Link, bool> which) => Mapped(w, l => which(l) ? null : l);

    // Links keep their places, for guards name them: what is parted stays as a link that hardly conducts.
    private static Wiring Mapped(Wiring w, Func<Link, Link?> map) =>
        w with
        {
            Links = [.. w.Links.Select(l => map(l) ?? l with { Ohms = double.PositiveInfinity })],
        };

    private static Wiring Touch(Wiring w, int cable, string one, string other, double ohms, bool arcs)
    {
        var (a, b) = (End(w, cable, one), End(w, cable, other));
        return w with { Links = w.Links.Add(new(a, b, ohms, LinkKind.Touch, one) { Cable = cable, Arcs = arcs }) };
    }

    private static int End(Wiring w, int cable, string net) =>
        w.Links.First(l => l.Kind == LinkKind.Conductor && l.Cable == cable && l.Net == net).To;

    private static Wiring Swapped(Wiring w, string box, Func<Outlet, (int, int)> pair)
    {
        var swap = new Dictionary<int, int>();
        foreach (var o in w.Outlets.Where(o => o.Box == box && o.Kind == OutletKind.Receptacle))
        {
            var (a, b) = pair(o);
            (swap[a], swap[b]) = (b, a);
        }

        return Mapped(w, l => l.Kind == LinkKind.Terminal && swap.TryGetValue(l.To, out var to) ? l with { To = to } : l);
    }

    private static Wiring GroundOff(Wiring w, string box)
    {
        var off = w.Outlets.Where(o => o.Box == box).Select(o => o.Ground).ToHashSet();
        return Without(w, l => l.Kind == LinkKind.Terminal && off.Contains(l.To));
    }

    // The cables change places: what comes from the panel lands on the load terminals, what goes on hangs on the line.
    private static Wiring LineLoad(Wiring w, string box)
    {
        var guard = Enumerable.Range(0, w.Guards.Length).First(g => w.Guards[g].Box == box);
        var swap = new Dictionary<int, int>();
        foreach (var contact in w.Guards[guard].Senses.Select(s => w.Links[s]))
            (swap[contact.From], swap[contact.To]) = (contact.To, contact.From);
        return Mapped(w, l =>
            l.Kind == LinkKind.Joint && l.Box == box
                ? l with
                {
                    From = swap.GetValueOrDefault(l.From, l.From),
                    To = swap.GetValueOrDefault(l.To, l.To),
                }
                : l
        );
    }

    private static Wiring Refusing(Wiring w, string box)
    {
        // Its contacts stay open: neither its face nor what hangs on its line terminals gets anything.
        var swapped = LineLoad(w, box);
        var guard = Enumerable.Range(0, w.Guards.Length).First(g => w.Guards[g].Box == box);
        var face = w.Outlets.Where(o => o.Box == box).SelectMany(o => new[] { o.Hot, o.Back }).ToHashSet();
        return Mapped(swapped, l => l.Kind == LinkKind.Terminal && face.Contains(l.To) ? null : l) with
        {
            Guards = swapped.Guards.SetItem(guard, swapped.Guards[guard] with { Refuses = true }),
        };
    }

    private static Wiring OneLine(Wiring w)
    {
        var lines = w.Links.Where(l => l.Kind == LinkKind.Guarded && l.Box is null).Select(l => l.From).ToList();
        return Mapped(w, l => l.Kind == LinkKind.Guarded && l.Box is null ? l with { From = lines[0] } : l);
    }
}
