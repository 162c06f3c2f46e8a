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

    /// <summary>What the receptacles over kitchen counters are, where the rules leave the choice.</summary>
    public CounterReceptacles CounterReceptacles { get; init; }

    /// <summary>Where arc-fault protection sits.</summary>
    public ArcFaultPlace ArcFault { get; init; }

    /// <summary>What protects a circuit that needs both kinds.</summary>
    public BothKinds BothKinds { get; init; }

    /// <summary>What home runs of general circuits are made of; decides whether arc-fault protection may sit in the first outlet.</summary>
    public HomeRunMethod HomeRunMethod { get; init; }

    /// <summary>Where conduit runs in walls of masonry.</summary>
    public ConduitPlace ConduitPlace { get; init; }

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

    /// <summary>How wires are joined in boxes.</summary>
    public WireJoins WireJoins { get; init; }

    /// <summary>How grounds are joined in boxes.</summary>
    public GroundJoins GroundJoins { get; init; }

    /// <summary>What devices look like.</summary>
    public DeviceFaces DeviceFaces { get; init; }

    /// <summary>What is left on a reel is of no use when it is shorter.</summary>
    public Length UselessLeftover { get; init; } = Length.Feet(15);

    /// <summary>What an hour of one person is charged, in dollars.</summary>
    public decimal HourRate { get; init; } = 85;

    /// <summary>Added to what material costs, in percent.</summary>
    public decimal MarkUpPercent { get; init; } = 20;

    /// <summary>Sales tax on material, in percent; none where the place has none.</summary>
    public decimal TaxPercent { get; init; }

    /// <summary>Permits and inspections, in dollars.</summary>
    public decimal PermitFee { get; init; }

    /// <summary>Kept for what nobody foresees, in percent.</summary>
    public decimal ContingencyPercent { get; init; } = 5;

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}
