using System.Text.Json;
using System.Text.Json.Serialization;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Jobs;

/// <summary>
/// How one wall of a room is built, where that differs from the job's frame. Stated on one room's wall it holds for
/// the same wall seen from the other side, unless that side says otherwise.
/// </summary>
public sealed record WallFact
{
    /// <summary>The room.</summary>
    public string Room { get; init; } = "";

    /// <summary>The number of its wall.</summary>
    public int Wall { get; init; }

    /// <summary>What it is built of.</summary>
    public WallBuild Build { get; init; }

    /// <summary>Whether it carries load; holes and notches in its studs are limited more strictly.</summary>
    public bool Bearing { get; init; }

    /// <summary>Stud spacing on centre; none takes the frame's.</summary>
    public Length? StudSpacing { get; init; }

    /// <summary>Thickness of an outside wall; a wall between rooms is as thick as the rooms stand apart.</summary>
    public Length? Thickness { get; init; }

    /// <summary>A person wants no cable through its studs; a box on it still takes its cable up or down beside it.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public bool NoCable { get; init; }

    /// <summary>Data or speaker cable runs through its studs: power keeps away from it.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public bool DataCable { get; init; }

    /// <summary>For an insulated panel: height of its level wiring chase over the floor.</summary>
    public Length? ChaseHeight { get; init; }

    /// <summary>For an insulated panel: distance between its upright chases, the first one at the wall's first corner.</summary>
    public Length? ChaseStations { get; init; }

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}

/// <summary>How a wall is built.</summary>
public enum WallBuild
{
    /// <summary>2x4 wood studs.</summary>
    Wood2x4,

    /// <summary>2x6 wood studs.</summary>
    Wood2x6,

    /// <summary>Metal studs: cable needs bushings in the holes.</summary>
    MetalStud,

    /// <summary>Insulated panel with fixed chases.</summary>
    InsulatedPanel,

    /// <summary>Masonry.</summary>
    Masonry,
}

/// <summary>A wish from the walk with the owner, which the box layout honours.</summary>
public sealed record Wish
{
    /// <summary>Unique in the job.</summary>
    public string Id { get; init; } = "";

    /// <summary>What will be here.</summary>
    public WishKind Kind { get; init; }

    /// <summary>The room.</summary>
    public string Room { get; init; } = "";

    /// <summary>Where: the middle of the thing.</summary>
    public Point At { get; init; }

    /// <summary>In the owner's words. May be empty.</summary>
    public string Note { get; init; } = "";

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}

/// <summary>Kinds of wish.</summary>
public enum WishKind
{
    /// <summary>A desk: a receptacle behind it.</summary>
    Desk,

    /// <summary>A television: a receptacle behind it.</summary>
    Television,

    /// <summary>A bed with its head at the nearest wall: a receptacle on either side.</summary>
    Bed,

    /// <summary>Something later: a capped box.</summary>
    Future,

    /// <summary>Something heavy that is plugged in: a space heater, a steamer, a vacuum cleaner on the stairs.</summary>
    Heavy,
}

/// <summary>A picture of a paper plan that lies under a storey, to be traced.</summary>
public sealed record Underlay
{
    /// <summary>The storey that it lies under; at most one each.</summary>
    public string Storey { get; init; } = "";

    /// <summary>The stored picture's name: its SHA-256 in small hexadecimal digits.</summary>
    public string Picture { get; init; } = "";

    /// <summary>Its north-west corner on the plan.</summary>
    public Point At { get; init; }

    /// <summary>Width on the plan. The height follows from the picture's proportions.</summary>
    public Length Width { get; init; }

    /// <summary>Height on the plan.</summary>
    public Length Height { get; init; }

    /// <summary>How strongly it shows, in percent.</summary>
    public int Strength { get; init; } = 50;

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}

/// <summary>How one gets into an attic or a crawl space.</summary>
public enum AccessKind
{
    /// <summary>No way in.</summary>
    None,

    /// <summary>Permanent stairs or a permanent ladder: the rules of a reachable attic hold for all of it.</summary>
    Stairs,

    /// <summary>A folding ladder.</summary>
    FoldingLadder,

    /// <summary>A scuttle hole: cable near it is guarded.</summary>
    Scuttle,
}

/// <summary>Shape of a ceiling.</summary>
public enum CeilingShape
{
    /// <summary>Level.</summary>
    Flat,

    /// <summary>Vaulted: no attic over it to run cable through.</summary>
    Vaulted,
}

/// <summary>Which way joists run.</summary>
public enum JoistRun
{
    /// <summary>North to south, up and down the page.</summary>
    NorthSouth,

    /// <summary>East to west, across the page.</summary>
    EastWest,
}
