using System.Collections.Immutable;
using System.Text.Json;
using System.Text.Json.Serialization;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Jobs;

/// <summary>Who made a decision. The planner may revise its own; it never touches a person's.</summary>
public enum Maker
{
    /// <summary>Proposed by the planner.</summary>
    Planner,

    /// <summary>Made or taken over by a person.</summary>
    Person,
}

/// <summary>All decisions of a job.</summary>
public sealed record Decisions
{
    /// <summary>The boxes on the studs and in the ceilings.</summary>
    public ImmutableArray<Box> Boxes { get; init; } = [];

    /// <summary>Proposals that a person took away and that are not to be made again.</summary>
    public ImmutableArray<RefusedBox> Refused { get; init; } = [];

    /// <summary>The branch circuits.</summary>
    public ImmutableArray<Circuit> Circuits { get; init; } = [];

    /// <summary>Circuits that share the cable of their home run.</summary>
    public ImmutableArray<HomeRunPair> Pairs { get; init; } = [];

    /// <summary>What a person wants of rooms in the division into circuits.</summary>
    public ImmutableArray<RoomPin> Pins { get; init; } = [];

    /// <summary>Home runs that are pulled.</summary>
    public ImmutableArray<PulledRun> Pulled { get; init; } = [];

    /// <summary>Cables that a person leads their own way.</summary>
    public ImmutableArray<RunWay> Ways { get; init; } = [];

    /// <summary>What a person says of cables that leave the house.</summary>
    public ImmutableArray<OutsideRun> Outside { get; init; } = [];

    /// <summary>Which breaker sits in which space.</summary>
    public ImmutableArray<SpaceDecision> Spaces { get; init; } = [];

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }

    /// <summary>The pair that a circuit is in, or none.</summary>
    public HomeRunPair? PairOf(int circuit) => Pairs.FirstOrDefault(p => p.Has(circuit));

    /// <summary>The decisions without pairs and pulled runs of circuits that are gone.</summary>
    public Decisions WithoutLostPairs()
    {
        if (Pairs.Length == 0 && Pulled.Length == 0)
            return this;
        var there = Circuits.Where(c => c.Boxes.Length > 0).Select(c => c.Number).ToHashSet();
        var lost = Pairs.Any(p => !there.Contains(p.First) || !there.Contains(p.Second)) || Pulled.Any(p => !there.Contains(p.Circuit));
        return lost
            ? this with
            {
                Pairs = [.. Pairs.Where(p => there.Contains(p.First) && there.Contains(p.Second))],
                Pulled = [.. Pulled.Where(p => there.Contains(p.Circuit))],
            }
            : this;
    }
}

/// <summary>A box: a receptacle, light, switch, alarm or the connection of an appliance.</summary>
public sealed record Box
{
    /// <summary>Unique in the job and stable: a proposal made again keeps it.</summary>
    public string Id { get; init; } = "";

    /// <summary>What it holds.</summary>
    public BoxKind Kind { get; init; }

    /// <summary>The room it serves.</summary>
    public string Room { get; init; } = "";

    /// <summary>The room's wall it stands on, or none for one in the ceiling or the floor.</summary>
    public int? Wall { get; init; }

    /// <summary>From the wall's first corner to the box's centre.</summary>
    public Length Along { get; init; }

    /// <summary>The place of a box that is not on a wall.</summary>
    public Point? At { get; init; }

    /// <summary>Centre of the box over the floor.</summary>
    public Length Height { get; init; }

    /// <summary>The appliance it feeds, or none.</summary>
    public string? Appliance { get; init; }

    /// <summary>For a disconnect or a switch of equipment, the appliance that it cuts off; it is on that appliance's circuit.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public string? Serves { get; init; }

    /// <summary>For a switch box, its gangs from left to right.</summary>
    public ImmutableArray<SwitchGang> Gangs { get; init; } = [];

    /// <summary>For a receptacle, how many devices it is; none is one duplex.</summary>
    public ReceptacleStyle? Style { get; init; }

    /// <summary>For a light, what hangs there; none is an ordinary fixture on the surface.</summary>
    public LightStyle? Fixture { get; init; }

    /// <summary>On the outer face of the room's outside wall.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public bool Outside { get; init; }

    /// <summary>A person's choice of box by its catalogue key; none takes the smallest that serves.</summary>
    public string? Size { get; init; }

    /// <summary>A person's choice of a receptacle's rating in amperes; none takes the one that fits its circuit.</summary>
    public int? Rating { get; init; }

    /// <summary>A person's choice of the side of the stud that it is nailed to; none takes the nearer one.</summary>
    public StudSide? Side { get; init; }

    /// <summary>What it waits for, when it cannot be finished yet.</summary>
    public HeldFor? Held { get; init; }

    /// <summary>How far the work on it is.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public BoxState State { get; init; }

    /// <summary>For an alarm: senses carbon monoxide too.</summary>
    public bool CarbonMonoxide { get; init; }

    /// <summary>Planned load of a light, in volt-amperes; none takes the practice figure.</summary>
    public double? VoltAmperes { get; init; }

    /// <summary>Who placed it.</summary>
    public Maker By { get; init; }

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}

/// <summary>How many devices a receptacle box holds.</summary>
public enum ReceptacleStyle
{
    /// <summary>One single receptacle.</summary>
    Single,

    /// <summary>One duplex.</summary>
    Duplex,

    /// <summary>Two duplexes side by side.</summary>
    Quad,
}

/// <summary>What hangs at a lighting outlet.</summary>
public enum LightStyle
{
    /// <summary>A fixture on the ceiling.</summary>
    Surface,

    /// <summary>A recessed light.</summary>
    Recessed,

    /// <summary>A pendant or another light that hangs down.</summary>
    Pendant,

    /// <summary>A light over a basin or a mirror.</summary>
    Vanity,

    /// <summary>A light on a wall.</summary>
    Wall,

    /// <summary>A fan with or without a light.</summary>
    Fan,
}

/// <summary>Which side of a stud a box is nailed to, seen from the room.</summary>
public enum StudSide
{
    /// <summary>To the left of its stud.</summary>
    Left,

    /// <summary>To the right of its stud.</summary>
    Right,
}

/// <summary>How far the work on a box is.</summary>
public enum BoxState
{
    /// <summary>On the plan.</summary>
    Planned,

    /// <summary>Set and wired, walls open.</summary>
    RoughedIn,

    /// <summary>Device and cover on.</summary>
    Final,
}

/// <summary>What a box waits for.</summary>
public sealed record HeldFor
{
    /// <summary>What has to be known first: a mirror's height, a cabinet drawing, a fixture.</summary>
    public string WaitsFor { get; init; } = "";

    /// <summary>Who knows it. May be empty.</summary>
    public string Ask { get; init; } = "";

    /// <summary>Cable to leave so that the box can still move.</summary>
    public Length Slack { get; init; } = Length.Inches(24);

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}

/// <summary>Kinds of box.</summary>
public enum BoxKind
{
    /// <summary>A duplex receptacle for general use.</summary>
    Receptacle,

    /// <summary>A lighting outlet.</summary>
    Light,

    /// <summary>A switch box of one or more gangs.</summary>
    Switch,

    /// <summary>A smoke alarm, combined with carbon monoxide where needed.</summary>
    SmokeAlarm,

    /// <summary>The outlet of one appliance, plug or hardwired by its nameplate.</summary>
    Appliance,

    /// <summary>A capped box left for a later receptacle, as for an island counter.</summary>
    Provision,

    /// <summary>A disconnect, a service switch or a control of equipment.</summary>
    Disconnect,
}

/// <summary>One switch of a switch box.</summary>
public sealed record SwitchGang
{
    /// <summary>The lighting outlets it controls.</summary>
    public ImmutableArray<string> Lights { get; init; } = [];

    /// <summary>How many switches control those lights: 1 a single pole, 2 three-way, 3 and more with four-way between.</summary>
    public int Locations { get; init; } = 1;

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}

/// <summary>A proposal that a person refused.</summary>
public sealed record RefusedBox
{
    /// <summary>What it was.</summary>
    public BoxKind Kind { get; init; }

    /// <summary>Where it was.</summary>
    public string Room { get; init; } = "";

    /// <summary>The wall it was on, or none.</summary>
    public int? Wall { get; init; }

    /// <summary>Its place along the wall.</summary>
    public Length Along { get; init; }

    /// <summary>Its place, when it was not on a wall.</summary>
    public Point? At { get; init; }

    /// <summary>The appliance it was for, or none.</summary>
    public string? Appliance { get; init; }

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}

/// <summary>A branch circuit: which boxes share a breaker.</summary>
public sealed record Circuit
{
    /// <summary>Its number, kept once given. Also the number of its home run.</summary>
    public int Number { get; init; }

    /// <summary>What it is for; decides which boxes may share it.</summary>
    public CircuitPurpose Purpose { get; init; }

    /// <summary>Its boxes, each with who put it there.</summary>
    public ImmutableArray<CircuitBox> Boxes { get; init; } = [];

    /// <summary>A person's text for the schedule; none lets the label writer find one.</summary>
    public string? Label { get; init; }

    /// <summary>Locked by a person: the planner adds nothing to it and takes nothing away.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public bool Locked { get; init; }

    /// <summary>
    /// Its cables as they are in the frame, locked by a person; boxes that come later hang on them. None while nothing is locked.
    /// </summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public ImmutableArray<LockedCable>? Run { get; init; }

    /// <summary>The box in which a person wants the home run to end; none lets the shortest way decide.</summary>
    public string? First { get; init; }

    /// <summary>A person's breaker rating in amperes; none lets the sizing choose.</summary>
    public int? Breaker { get; init; }

    /// <summary>A person's choice of where its protection sits; none follows the job's preference.</summary>
    public ProtectionPlace? Protection { get; init; }

    /// <summary>Preferences that this circuit has of its own, by the key of <see cref="PreferenceFields"/>, as they are typed.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public ImmutableSortedDictionary<string, string>? Preferences { get; init; }

    /// <summary>Who made the circuit.</summary>
    public Maker By { get; init; }

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }

    /// <summary>Whether a box is on the circuit.</summary>
    public bool Holds(string boxId) => Boxes.Any(b => b.Box == boxId);
}

/// <summary>A box's place on a circuit.</summary>
public sealed record CircuitBox
{
    /// <summary>The box.</summary>
    public string Box { get; init; } = "";

    /// <summary>Who put it on this circuit.</summary>
    public Maker By { get; init; }

    /// <summary>
    /// Fed from the line side where it would hang on a protective device's load terminals: the device protects neither it
    /// nor what lies beyond.
    /// </summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public bool LineSide { get; init; }

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}

/// <summary>What a circuit is for.</summary>
public enum CircuitPurpose
{
    /// <summary>Receptacles of kitchen, pantry, breakfast and dining room.</summary>
    SmallAppliance,

    /// <summary>Laundry receptacles.</summary>
    Laundry,

    /// <summary>Bathroom receptacles.</summary>
    Bathroom,

    /// <summary>Garage receptacles.</summary>
    Garage,

    /// <summary>Outdoor receptacles.</summary>
    Outdoor,

    /// <summary>General lighting with switches, fans and alarms.</summary>
    Lighting,

    /// <summary>General receptacles.</summary>
    Receptacles,

    /// <summary>Lights and receptacles together, where the job mixes them.</summary>
    Mixed,

    /// <summary>One appliance, or a few that may share.</summary>
    Appliance,
}

/// <summary>Where a circuit's ground-fault protection sits.</summary>
public enum ProtectionPlace
{
    /// <summary>In the breaker.</summary>
    Breaker,

    /// <summary>In the first receptacle of the chain.</summary>
    FirstReceptacle,
}
