using System.Text.Json;
using System.Text.Json.Serialization;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Jobs;

/// <summary>Where practitioners differ, the job says which school it follows. Each default is the one most often defended.</summary>
public sealed record Preferences
{
    /// <summary>Whether lights and receptacles have circuits of their own, so that a tripped receptacle leaves light to work by.</summary>
    public LightsAndReceptacles LightsAndReceptacles { get; init; }

    /// <summary>Wire and breaker for general use.</summary>
    public GeneralWire GeneralWire { get; init; }

    /// <summary>Most general receptacles on a 15 A circuit; a planning figure, not a rule.</summary>
    public int ReceptaclesPer15 { get; init; } = 10;

    /// <summary>Most general receptacles on a 20 A circuit; a planning figure, not a rule.</summary>
    public int ReceptaclesPer20 { get; init; } = 13;

    /// <summary>How many rooms a general receptacle circuit may take in; closets, halls and stairs with one or two do not count.</summary>
    public int RoomsPerCircuit { get; init; } = 2;

    /// <summary>What the circuit planner weighs.</summary>
    public PlanWeights Weights { get; init; } = new();

    /// <summary>Where ground-fault protection sits when the circuit needs no arc-fault protection.</summary>
    public ProtectionPlace GroundFault { get; init; } = ProtectionPlace.FirstReceptacle;

    /// <summary>When a home run is pulled one size larger than its circuit.</summary>
    public HomeRunUpsize HomeRunUpsize { get; init; } = HomeRunUpsize.WhenDropAsks;

    /// <summary>Temperature rating of the terminals, 60 or 75 degrees Celsius.</summary>
    public int TerminationC { get; init; } = 75;

    /// <summary>Farthest that any place along a wall may be from a receptacle; none takes the code's. A room may ask for less.</summary>
    public Length? ReceptacleReach { get; init; }

    /// <summary>Farthest that a person walks from a doorway to a switch of the room's light.</summary>
    public Length SwitchReach { get; init; } = Length.Feet(6);

    /// <summary>How ceilings are lit.</summary>
    public CeilingLights CeilingLights { get; init; }

    /// <summary>Farthest between recessed lights of a row.</summary>
    public Length RecessedSpacing { get; init; } = Length.Feet(6);

    /// <summary>Bottom of a receptacle box over the floor.</summary>
    public Length ReceptacleBottom { get; init; } = Length.Inches(14);

    /// <summary>Centre of a switch over the floor.</summary>
    public Length SwitchCentre { get; init; } = Length.Inches(46);

    /// <summary>Centre of a receptacle over a counter, from the floor.</summary>
    public Length CounterCentre { get; init; } = Length.Inches(44);

    /// <summary>Cable left at each entry into a box.</summary>
    public Length BoxMakeUp { get; init; } = Length.Inches(12);

    /// <summary>Cable left in the panel.</summary>
    public Length PanelMakeUp { get; init; } = Length.Feet(6);

    /// <summary>Added to the cable to buy, in percent.</summary>
    public int WastePercent { get; init; } = 10;

    /// <summary>Which way cable goes when both are open.</summary>
    public RunBy RunBy { get; init; }

    /// <summary>Spaces to keep free in the panel, in percent.</summary>
    public int SparePercent { get; init; } = 20;

    /// <summary>How breakers are ordered down the panel.</summary>
    public PanelOrder PanelOrder { get; init; }

    /// <summary>Which calculation of the service load is used; both are always shown.</summary>
    public ServiceMethod ServiceMethod { get; init; }

    /// <summary>Whether dishwasher and disposer share a circuit when their sum fits.</summary>
    public bool DishwasherSharesWithDisposer { get; init; }

    /// <summary>Whether the dishwasher's long programmes count as a continuous load.</summary>
    public bool DishwasherContinuous { get; init; }

    /// <summary>Whether the refrigerator has a circuit of its own rather than a place on a small-appliance circuit.</summary>
    public bool RefrigeratorAlone { get; init; } = true;

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData] public Dictionary<string, JsonElement>? Extra { get; init; }
}

/// <summary>How ceilings are lit.</summary>
public enum CeilingLights
{
    /// <summary>Rows of recessed lights in kitchens, laundries and halls, one fixture elsewhere.</summary>
    RecessedWhereOneWorks,

    /// <summary>Rows of recessed lights in all living spaces.</summary>
    RecessedThroughout,

    /// <summary>Fixtures on the surface throughout.</summary>
    Surface,
}

/// <summary>Separate circuits, or lights and receptacles of a room together.</summary>
public enum LightsAndReceptacles
{
    /// <summary>Circuits of their own.</summary>
    Separate,

    /// <summary>Together, by room.</summary>
    Mixed,
}

/// <summary>Wire and breaker for general lights and receptacles.</summary>
public enum GeneralWire
{
    /// <summary>12 AWG on 20 A for receptacles, 14 AWG on 15 A for lights.</summary>
    TwelveForReceptacles,

    /// <summary>14 AWG on 15 A throughout.</summary>
    FourteenThroughout,

    /// <summary>12 AWG on 20 A throughout.</summary>
    TwelveThroughout,
}

/// <summary>When a home run is pulled one size up.</summary>
public enum HomeRunUpsize
{
    /// <summary>Never.</summary>
    Off,

    /// <summary>When the circuit's voltage drop would pass the recommended limit.</summary>
    WhenDropAsks,

    /// <summary>Always, for general circuits.</summary>
    Always,
}

/// <summary>Which way cable goes.</summary>
public enum RunBy
{
    /// <summary>Whichever is shorter.</summary>
    Shorter,

    /// <summary>Over the ceilings.</summary>
    Overhead,

    /// <summary>Under the floor where there is room.</summary>
    Underfloor,
}

/// <summary>Order of breakers down the panel.</summary>
public enum PanelOrder
{
    /// <summary>Two-pole first, then falling by rating.</summary>
    LargestFirst,

    /// <summary>By circuit number, as the home runs are numbered.</summary>
    ByNumber,
}

/// <summary>Methods of working out the service load.</summary>
public enum ServiceMethod
{
    /// <summary>The optional method for dwellings.</summary>
    Optional,

    /// <summary>The standard method.</summary>
    Standard,
}
