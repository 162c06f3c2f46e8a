using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Routing;

namespace Circuitum.Core.Simulation;

/// <summary>A circuit, with the one that shares its home run, as a network of conductors.</summary>
/// <param name="Nodes">Names of its nodes, such as <c>hall.r1: hot</c>.</param>
/// <param name="Fixed">Nodes that the supply holds, with their volts to earth.</param>
/// <param name="Links">What conducts.</param>
/// <param name="Guards">Breakers and protective receptacles.</param>
/// <param name="Switches">Switches, one for each gang that works something.</param>
/// <param name="Outlets">Places where something is plugged in, hangs or is connected.</param>
/// <param name="Cables">Its cables, with the circuit of each.</param>
public sealed record Wiring(
    ImmutableArray<string> Nodes,
    ImmutableDictionary<int, double> Fixed,
    ImmutableArray<Link> Links,
    ImmutableArray<Guard> Guards,
    ImmutableArray<SwitchUnit> Switches,
    ImmutableArray<Outlet> Outlets,
    ImmutableArray<(int Circuit, CableSegment Cable)> Cables
)
{
    /// <summary>The supply that feeds it.</summary>
    public required Supply Supply { get; init; }

    /// <summary>The outlets in a box.</summary>
    public IEnumerable<int> OutletsIn(string box) => Enumerable.Range(0, Outlets.Length).Where(i => Outlets[i].Box == box);
}

/// <summary>A breaker or a protective receptacle.</summary>
/// <param name="Circuit">Its circuit.</param>
/// <param name="Box">The box it sits in; none for a breaker.</param>
/// <param name="Amperes">What it carries.</param>
/// <param name="ArcFault">Opens for sparks.</param>
/// <param name="GroundFault">Opens when some of the current comes back another way.</param>
/// <param name="Senses">The links whose currents together are nothing when all comes back the way it went.</param>
public sealed record Guard(int Circuit, string? Box, int Amperes, bool ArcFault, bool GroundFault, ImmutableArray<int> Senses)
{
    /// <summary>The guard that opens with it: breakers of a shared neutral are tied (210.4(B)).</summary>
    public int? Tied { get; init; }

    /// <summary>Cannot be set: a modern device that is fed through its load terminals.</summary>
    public bool Refuses { get; init; }
}

/// <summary>A switch by its box and what it works.</summary>
/// <param name="Box">The switch box.</param>
/// <param name="Group">What it works together with others.</param>
/// <param name="Ways">1 a single pole, 3 a three-way, 4 a four-way.</param>
public sealed record SwitchUnit(string Box, SwitchGroup Group, int Ways);

/// <summary>What is found at an outlet.</summary>
public enum OutletKind
{
    /// <summary>A receptacle.</summary>
    Receptacle,

    /// <summary>A light or a fan.</summary>
    Light,

    /// <summary>An alarm.</summary>
    Alarm,

    /// <summary>An appliance.</summary>
    Appliance,
}

/// <summary>A place where something takes power.</summary>
/// <param name="Box">Its box.</param>
/// <param name="Kind">What it is.</param>
/// <param name="Hot">The node of its hot terminal.</param>
/// <param name="Back">The node of its neutral terminal, or of the second hot of a 240 V appliance.</param>
/// <param name="Ground">The node of its ground terminal.</param>
/// <param name="Volts">What it should have.</param>
public sealed record Outlet(string Box, OutletKind Kind, int Hot, int Back, int Ground, int Volts)
{
    /// <summary>The switches that work it, with what else they work; none for what is always on.</summary>
    public SwitchGroup? Group { get; init; }
}
