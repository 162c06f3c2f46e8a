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

    /// <summary>Where arc-fault protection sits.</summary>
    public ArcFaultPlace ArcFault { get; init; }

    /// <summary>What protects a circuit that needs both kinds.</summary>
    public BothKinds BothKinds { get; init; }

    /// <summary>What home runs of general circuits are made of; decides whether arc-fault protection may sit in the first outlet.</summary>
    public HomeRunMethod HomeRunMethod { get; init; }

    /// <summary>How receptacles are connected, where nothing else decides it.</summary>
    public Connections Connections { get; init; }

    /// <summary>Whether two circuits may share the cable of their home run.</summary>
    public TwoCircuitHomeRuns TwoCircuitHomeRuns { get; init; }

    /// <summary>What sharing a home run must save before it is suggested or done.</summary>
    public Length TwoCircuitSaving { get; init; } = Length.Feet(25);

    /// <summary>How a home run is labelled at both ends.</summary>
    public HomeRunLabel HomeRunLabel { get; init; }

    /// <summary>Temperature around the cable in degrees Celsius; over 30 it takes from the ampacity.</summary>
    public int AmbientC { get; init; } = 30;

    /// <summary>
    /// Two-wire cables that lie together over more than 24 in, or through one sealed hole; two and more take from the ampacity by their
    /// count.
    /// </summary>
    public int CablesTogether { get; init; } = 1;

    /// <summary>How circuits are run outside the house; never as indoor cable.</summary>
    public OutsideMethod OutsideMethod { get; init; }

    /// <summary>What is tested before the walls close.</summary>
    public RoughTesting RoughTesting { get; init; }

    /// <summary>Where large appliances go when there is a sub-panel.</summary>
    public LargeAppliances LargeAppliances { get; init; }

    /// <summary>Most cables in one drilled hole.</summary>
    public int CablesPerHole { get; init; } = 3;

    /// <summary>From a box to its first staple.</summary>
    public Length StapleFromBox { get; init; } = Length.Inches(8);

    /// <summary>Between staples.</summary>
    public Length StapleEvery { get; init; } = Length.Feet(4);

    /// <summary>What is marked on the box or stud of a 15 A circuit, such as a colour; empty marks nothing.</summary>
    public string Mark15 { get; init; } = "";

    /// <summary>What is marked on the box or stud of a larger circuit; empty marks nothing.</summary>
    public string MarkLarger { get; init; } = "";

    /// <summary>Height of a panel's top when it is hung.</summary>
    public Length PanelTop { get; init; } = Length.Feet(6);

    /// <summary>When a home run is pulled one size larger than its circuit.</summary>
    public HomeRunUpsize HomeRunUpsize { get; init; }

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

    /// <summary>What of a box's volume stays free where a box of the same sort allows it, in percent.</summary>
    public int BoxReservePercent { get; init; } = 5;

    /// <summary>Cable left at each entry into a box.</summary>
    public Length BoxMakeUp { get; init; } = Length.Inches(12);

    /// <summary>Cable left in the panel.</summary>
    public Length PanelMakeUp { get; init; } = Length.Feet(6);

    /// <summary>Added to the cable to buy, in percent.</summary>
    public int WastePercent { get; init; } = 10;

    /// <summary>Which way home runs go when several are open.</summary>
    public RunBy RunBy { get; init; }

    /// <summary>How cable goes on from box to box.</summary>
    public ChainBy ChainBy { get; init; }

    /// <summary>Whether power comes to the switch or to the light first.</summary>
    public SwitchLoops SwitchLoops { get; init; }

    /// <summary>How smoke alarms are joined, so that all sound when one does.</summary>
    public AlarmJoin AlarmJoin { get; init; }

    /// <summary>Spaces to keep free in the panel, in percent.</summary>
    public int SparePercent { get; init; } = 20;

    /// <summary>Spaces to keep free as a count; none goes by the percentage.</summary>
    public int? SpareSpaces { get; init; }

    /// <summary>Schools of dividing a house into circuits.</summary>
    public DivisionSchools Division { get; init; } = new();

    /// <summary>What the numbers of circuits are.</summary>
    public NumberBy CircuitNumbers { get; init; }

    /// <summary>How breakers are ordered down the panel.</summary>
    public PanelOrder PanelOrder { get; init; }

    /// <summary>By which load circuits are divided over the legs.</summary>
    public LegBalanceBy LegBalance { get; init; }

    /// <summary>Which calculation of the service load is used; both are always shown.</summary>
    public ServiceMethod ServiceMethod { get; init; }

    /// <summary>Whether dishwasher and disposer share a circuit when their sum fits.</summary>
    public bool DishwasherSharesWithDisposer { get; init; }

    /// <summary>Whether the dishwasher's long programmes count as a continuous load.</summary>
    public bool DishwasherContinuous { get; init; }

    /// <summary>Whether the refrigerator has a circuit of its own rather than a place on a small-appliance circuit.</summary>
    public bool RefrigeratorAlone { get; init; } = true;

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
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

/// <summary>Where the power of a switched light comes first.</summary>
public enum SwitchLoops
{
    /// <summary>To the switch, so that the neutral is there; a leg goes on to the light.</summary>
    SwitchFirst,

    /// <summary>To the light; a loop of three wires goes down to the switch.</summary>
    LightFirst,
}

/// <summary>How cable goes on from box to box. Boxes back to back or in one stud bay are joined there in any case.</summary>
public enum ChainBy
{
    /// <summary>Whichever is shorter.</summary>
    Cheapest,

    /// <summary>Through the studs at the height of the boxes, where a wall leads there without a doorway.</summary>
    ThroughStuds,

    /// <summary>Up, over the ceiling and down.</summary>
    UpAndOver,
}

/// <summary>How smoke alarms are joined (R314.4).</summary>
public enum AlarmJoin
{
    /// <summary>By a third wire from alarm to alarm.</summary>
    Wired,

    /// <summary>By radio, as their listing says.</summary>
    Wireless,
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

/// <summary>By which load circuits are divided over the legs.</summary>
public enum LegBalanceBy
{
    /// <summary>All that is connected; what runs on an ordinary evening breaks ties.</summary>
    Connected,

    /// <summary>What runs on an ordinary evening.</summary>
    Expected,
}

/// <summary>What the number of a circuit is.</summary>
public enum NumberBy
{
    /// <summary>A space that its breaker fills when it is first laid out.</summary>
    Space,

    /// <summary>Counted up in the order of the panel, as the home runs are pulled.</summary>
    Order,
}

/// <summary>Order of breakers down the panel.</summary>
public enum PanelOrder
{
    /// <summary>Two-pole first, then falling by rating.</summary>
    LargestFirst,

    /// <summary>By circuit number, as the home runs are numbered.</summary>
    ByNumber,

    /// <summary>The circuits of a room together, room by room.</summary>
    ByRoom,

    /// <summary>Breakers with arc-fault or ground-fault protection together, above the plain ones.</summary>
    ProtectionTogether,
}

/// <summary>What is tested before the walls close.</summary>
public enum RoughTesting
{
    /// <summary>Nothing is connected in the panel until the rough inspection; the cables are tested dead.</summary>
    Dead,

    /// <summary>Temporary power and a live test of every box, where that is allowed.</summary>
    Live,
}

/// <summary>Where large appliances go when there is a sub-panel.</summary>
public enum LargeAppliances
{
    /// <summary>Into the main panel, past the sub-panel, so that the feeder stays small.</summary>
    MainPanel,

    /// <summary>Into the nearest panel.</summary>
    NearestPanel,
}

/// <summary>Methods of working out the service load.</summary>
public enum ServiceMethod
{
    /// <summary>The optional method for dwellings.</summary>
    Optional,

    /// <summary>The standard method.</summary>
    Standard,
}

/// <summary>Where arc-fault protection sits.</summary>
public enum ArcFaultPlace
{
    /// <summary>In a combination breaker.</summary>
    Breaker,

    /// <summary>In the first outlet, where the home run qualifies for it.</summary>
    FirstOutlet,
}

/// <summary>What protects a circuit that needs arc-fault and ground-fault protection.</summary>
public enum BothKinds
{
    /// <summary>One breaker with both functions.</summary>
    DualFunction,

    /// <summary>An arc-fault breaker and a ground-fault receptacle.</summary>
    BreakerAndReceptacle,
}

/// <summary>What a home run is made of.</summary>
public enum HomeRunMethod
{
    /// <summary>Nonmetallic-sheathed cable.</summary>
    Sheathed,

    /// <summary>Metal-clad or armored cable, or steel raceway, with a metal box at the first outlet.</summary>
    Metal,
}

/// <summary>How receptacles are connected.</summary>
public enum Connections
{
    /// <summary>Cables joined in the box, the device on a pigtail: its failing leaves the rest on.</summary>
    Pigtail,

    /// <summary>Through the device's terminals: what lies beyond hangs on it.</summary>
    FeedThrough,
}

/// <summary>Whether two circuits share the cable of their home run.</summary>
public enum TwoCircuitHomeRuns
{
    /// <summary>Never; a saving over the stated length is suggested.</summary>
    Never,

    /// <summary>Three-wire cable, one neutral, breakers that open together.</summary>
    SharedNeutral,

    /// <summary>Four-wire cable, a neutral for each.</summary>
    TwoNeutrals,
}

/// <summary>How a home run is labelled.</summary>
public enum HomeRunLabel
{
    /// <summary>Number, cable, area and purpose.</summary>
    Plain,

    /// <summary>The same with the breaker's size.</summary>
    WithBreaker,
}
