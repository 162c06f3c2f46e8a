using System.Collections.Immutable;

namespace Circuitum.Core.Simulation;

/// <summary>What can be wrong at one place.</summary>
public enum FaultKind
{
    /// <summary>A wire that is parted in a cable.</summary>
    OpenWire,

    /// <summary>The end of a wire that came out of its joint in a box.</summary>
    OpenJoint,

    /// <summary>Hot and neutral are exchanged on a device.</summary>
    HotNeutralSwapped,

    /// <summary>Hot and ground are exchanged on a device.</summary>
    HotGroundSwapped,

    /// <summary>The ground came off a device.</summary>
    GroundOff,

    /// <summary>Hot touches neutral.</summary>
    HotToNeutral,

    /// <summary>Hot touches ground.</summary>
    HotToGround,

    /// <summary>Neutral touches ground.</summary>
    NeutralToGround,

    /// <summary>A nail through a cable, from hot to ground with little contact: it sparks.</summary>
    Nail,

    /// <summary>Line and load exchanged on a protective receptacle of the older sort.</summary>
    LineLoadOlder,

    /// <summary>Line and load exchanged on one that will not reset so.</summary>
    LineLoadModern,

    /// <summary>The breakers of a shared neutral on one line.</summary>
    OneLine,
}

/// <summary>One thing that is wrong, at one place.</summary>
/// <param name="Kind">What.</param>
/// <param name="Box">The box, for what is in one; of a cable the box it goes to.</param>
/// <param name="Cable">The cable by its place in the network, for what is in one.</param>
/// <param name="Net">Which wire; empty where the kind says it.</param>
public sealed record Fault(FaultKind Kind, string? Box, int? Cable, string Net)
{
    /// <summary>Everything that can be wrong alone in a network, each at each place.</summary>
    /// <param name="w">The network.</param>
    public static ImmutableArray<Fault> All(Wiring w)
    {
        var faults = ImmutableArray.CreateBuilder<Fault>();
        foreach (var link in w.Links)
        {
            if (link.Kind == LinkKind.Conductor)
                faults.Add(new(FaultKind.OpenWire, w.Cables[link.Cable!.Value].Cable.To, link.Cable, link.Net));
            else if (link is { Kind: LinkKind.Joint, Cable: { } cable, Box: { } box })
                faults.Add(new(FaultKind.OpenJoint, box, cable, link.Net));
        }

        for (var c = 0; c < w.Cables.Length; c++)
        {
            var nets = w.Links.Where(l => l.Kind == LinkKind.Conductor && l.Cable == c).Select(l => l.Net).ToHashSet();
            var to = w.Cables[c].Cable.To;
            if (nets.Contains("hot") && nets.Contains("neutral"))
                faults.Add(new(FaultKind.HotToNeutral, to, c, ""));
            if (nets.Contains("hot"))
            {
                faults.Add(new(FaultKind.HotToGround, to, c, ""));
                faults.Add(new(FaultKind.Nail, to, c, ""));
            }

            if (nets.Contains("neutral"))
                faults.Add(new(FaultKind.NeutralToGround, to, c, ""));
        }

        foreach (var box in w.Outlets.Where(o => o.Kind == OutletKind.Receptacle).Select(o => o.Box).Distinct())
        {
            faults.Add(new(FaultKind.HotNeutralSwapped, box, null, ""));
            faults.Add(new(FaultKind.HotGroundSwapped, box, null, ""));
            faults.Add(new(FaultKind.GroundOff, box, null, ""));
        }

        foreach (var guard in w.Guards.Where(g => g.Box is not null))
        {
            faults.Add(new(FaultKind.LineLoadOlder, guard.Box, null, ""));
            faults.Add(new(FaultKind.LineLoadModern, guard.Box, null, ""));
        }

        if (w.Guards.Any(g => g.Tied is not null))
            faults.Add(new(FaultKind.OneLine, null, null, ""));
        return faults.ToImmutable();
    }

    /// <summary>The network with this wrong.</summary>
    public Wiring In(Wiring w) => FaultWiring.With(w, this);
}
