using System.Collections.Immutable;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Takeoff;

/// <summary>What of one potential meets in a box: wires of cables, terminals of devices, leads of fixtures.</summary>
/// <param name="what">What it is, in a word.</param>
/// <param name="ground">Whether it is the equipment ground.</param>
internal sealed class WireNet(string what, bool ground)
{
    private readonly List<WireSize> wires = [];
    private readonly List<WireSize> terminals = [];
    private readonly List<WireSize> leads = [];

    /// <summary>Terminals take two wires: the device itself is the splice.</summary>
    internal bool Through { get; set; }

    internal void Wire(WireSize size) => wires.Add(size);

    internal void Terminal(WireSize size) => terminals.Add(size);

    internal void Lead(WireSize size) => leads.Add(size);

    /// <summary>All of it.</summary>
    internal BoxJoint Joint() => new(what, ground, wires.Count, terminals.Count, leads.Count, Splice());

    /// <summary>The splice that is needed, or none where wires land on terminals.</summary>
    internal Splice? Splice()
    {
        if (wires.Count == 0)
            return null;
        var lands =
            (leads.Count == 0 && wires.Count == 1 && terminals.Count == 1)
            || (leads.Count == 0 && Through && wires.Count <= 2 && terminals.Count == 1)
            || (ground && wires.Count == 1 && terminals.Count + leads.Count == 0);
        ImmutableArray<WireSize> tails = [.. terminals, .. leads];
        return lands ? null : new Splice(what, ground, [.. wires], tails);
    }
}
