using System.Collections.Immutable;
using System.Text.Json;
using System.Text.Json.Serialization;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Jobs;

/// <summary>Two circuits in the cable of one home run.</summary>
public sealed record HomeRunPair
{
    /// <summary>The circuit whose first box the cable ends in.</summary>
    public int First { get; init; }

    /// <summary>The other one, which goes on from that box.</summary>
    public int Second { get; init; }

    /// <summary>How.</summary>
    public PairKind Kind { get; init; }

    /// <summary>Who decided it.</summary>
    public Maker By { get; init; }

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }

    /// <summary>Whether a circuit is in it.</summary>
    public bool Has(int circuit) => First == circuit || Second == circuit;

    /// <summary>The mate of a circuit that is in it.</summary>
    public int MateOf(int circuit) => First == circuit ? Second : First;
}

/// <summary>A home run that is in the frame: the planner keeps the box in which it ends first on its circuit.</summary>
public sealed record PulledRun
{
    /// <summary>The circuit.</summary>
    public int Circuit { get; init; }

    /// <summary>The box in which it ends.</summary>
    public string To { get; init; } = "";

    /// <summary>The cable that was pulled, such as <c>12-2</c>.</summary>
    public string Cable { get; init; } = "";

    /// <summary>What it took, measured off the reel; none when nobody measured.</summary>
    public Length? Measured { get; init; }

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}

/// <summary>A cable that a person leads over a place of their own, whatever way is shortest.</summary>
public sealed record RunWay
{
    /// <summary>The box it comes from, or none for the panel.</summary>
    public string? From { get; init; }

    /// <summary>The box in which it ends.</summary>
    public string To { get; init; } = "";

    /// <summary>The place on the plan that it goes over or under.</summary>
    public Point Over { get; init; }

    /// <summary>The storey on whose plan the place was shown.</summary>
    public string Storey { get; init; } = "";

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}

/// <summary>What a person says of a cable that leaves the house on its way to a box.</summary>
public sealed record OutsideRun
{
    /// <summary>The box in which it ends.</summary>
    public string To { get; init; } = "";

    /// <summary>How it is run; none takes the job's preference.</summary>
    public OutsideMethod? Method { get; init; }

    /// <summary>How deep it lies; none takes the least that the code asks of the method.</summary>
    public Length? Depth { get; init; }

    /// <summary>It passes under a driveway.</summary>
    public bool Driveway { get; init; }

    /// <summary>The conduit's bends in degrees in their order, 0 for a pull point; none takes what the planned way has.</summary>
    public ImmutableArray<int>? Bends { get; init; }

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}

/// <summary>How a circuit is run outside the house.</summary>
public enum OutsideMethod
{
    /// <summary>Single wet-rated wires in PVC conduit.</summary>
    PvcConduit,

    /// <summary>Single wet-rated wires in rigid metal conduit.</summary>
    RigidConduit,

    /// <summary>Cable that is made to lie in the ground.</summary>
    DirectBurial,

    /// <summary>The indoor cable itself: somebody did it, and it is a breach (334.12).</summary>
    IndoorCable,
}

/// <summary>A piece of a circuit's cable that a person has locked, because it is in the frame.</summary>
public sealed record LockedCable
{
    /// <summary>The box it comes from, or none for the home run.</summary>
    public string? From { get; init; }

    /// <summary>The box in which it ends.</summary>
    public string To { get; init; } = "";

    /// <summary>What it is for.</summary>
    public CableUse Use { get; init; }

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}

/// <summary>What a piece of cable is for.</summary>
public enum CableUse
{
    /// <summary>Power to a box and on from it.</summary>
    Power,

    /// <summary>A switched conductor and its neutral, from a switch to a light or from light to light.</summary>
    SwitchLeg,

    /// <summary>Two switched conductors and one neutral, as for a fan and its light.</summary>
    TwoSwitchLegs,

    /// <summary>Two travelers and one more conductor between three-way and four-way switches.</summary>
    Travelers,

    /// <summary>
    /// From a light that has power down to its switch: power, the switched return, and the neutral that 404.2(C) wants there.
    /// </summary>
    SwitchLoop,

    /// <summary>From alarm to alarm: power, neutral, and the wire by which all sound when one does (R314.4).</summary>
    Interconnect,
}

/// <summary>How two circuits share a home run.</summary>
public enum PairKind
{
    /// <summary>Three-wire cable with one neutral: breakers that open together, on opposite legs (210.4).</summary>
    SharedNeutral,

    /// <summary>Four-wire cable with a neutral for each.</summary>
    TwoNeutrals,
}

/// <summary>A breaker's space in the panel.</summary>
public sealed record SpaceDecision
{
    /// <summary>The panel.</summary>
    public string Panel { get; init; } = "";

    /// <summary>The circuit's number; 0 for the breaker of a feeder.</summary>
    public int Circuit { get; init; }

    /// <summary>The sub-panel whose feeder this breaker is, or none.</summary>
    public string? Feeds { get; init; }

    /// <summary>The space, for a two-pole breaker its upper one.</summary>
    public int Space { get; init; }

    /// <summary>Which half of the space, when a tandem is in it.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public TandemHalf Half { get; init; }

    /// <summary>The family of the breaker, when it is not the panel's.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public string? Family { get; init; }

    /// <summary>Who placed it.</summary>
    public Maker By { get; init; }

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}

/// <summary>What part of a space a breaker takes.</summary>
public enum TandemHalf
{
    /// <summary>All of it.</summary>
    Whole,

    /// <summary>The upper half, called A.</summary>
    Upper,

    /// <summary>The lower half, called B.</summary>
    Lower,
}
