using System.Collections.Immutable;
using System.Text.Json;
using System.Text.Json.Serialization;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Jobs;

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
    public Origin By { get; init; }

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}
