using System.Collections.Immutable;
using System.Text.Json;
using System.Text.Json.Serialization;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Jobs;

/// <summary>
/// One house: its facts (rooms, openings, appliances, panel, edition, preferences) and the decisions made about it.
/// Everything else is derived from this document and never stored. Immutable; commands make a new one.
/// Fields that this version does not know are kept in <c>Extra</c> and written back unchanged.
/// </summary>
public sealed record Job
{
    /// <summary>What the format's name must be.</summary>
    public const string FormatName = "circuitum-job";

    /// <summary>The version of the document that this code writes and reads.</summary>
    public const int FormatVersion = 1;

    /// <summary>Always <see cref="FormatName"/>.</summary>
    public string Format { get; init; } = FormatName;

    /// <summary>The document version.</summary>
    public int Version { get; init; } = FormatVersion;

    /// <summary>The job's name, as it stands at the head of each paper.</summary>
    public string Name { get; init; } = "";

    /// <summary>Where the house stands. Free text, may be empty.</summary>
    public string Place { get; init; } = "";

    /// <summary>The code edition in force, such as <c>us-2023</c>.</summary>
    public string CodeEdition { get; init; } = "us-2023";

    /// <summary>What the local authority changes in the edition, the last layer on top.</summary>
    public ImmutableArray<AmendmentLayer> Amendments { get; init; } = [];

    /// <summary>
    /// The day of the permit, which decides rules that end on a date. Without one, such a rule is taken as ended,
    /// because that is the safer reading.
    /// </summary>
    public DateOnly? PermitDate { get; init; }

    /// <summary>How the house is framed and which way it faces.</summary>
    public Frame Frame { get; init; } = new();

    /// <summary>The practice preferences that the planner follows.</summary>
    public Preferences Preferences { get; init; } = new();

    /// <summary>The storeys, lowest first.</summary>
    public ImmutableArray<Storey> Storeys { get; init; } = [];

    /// <summary>The rooms of all storeys, porches and decks among them.</summary>
    public ImmutableArray<Room> Rooms { get; init; } = [];

    /// <summary>Doors, windows and other openings.</summary>
    public ImmutableArray<Opening> Openings { get; init; } = [];

    /// <summary>How single walls are built, where that differs from the frame.</summary>
    public ImmutableArray<WallFact> Walls { get; init; } = [];

    /// <summary>Counters and islands.</summary>
    public ImmutableArray<Counter> Counters { get; init; } = [];

    /// <summary>Sinks, basins, tubs and other fixed things that carry no electrical load.</summary>
    public ImmutableArray<Fixture> Fixtures { get; init; } = [];

    /// <summary>Appliances with their nameplates.</summary>
    public ImmutableArray<Appliance> Appliances { get; init; } = [];

    /// <summary>The panels; this version plans for one, the service panel.</summary>
    public ImmutableArray<Panel> Panels { get; init; } = [];

    /// <summary>Wishes from the walk with the owner.</summary>
    public ImmutableArray<Wish> Wishes { get; init; } = [];

    /// <summary>Pictures to trace, at most one a storey.</summary>
    public ImmutableArray<Underlay> Underlays { get; init; } = [];

    /// <summary>What the planner or a person decided.</summary>
    public Decisions Decisions { get; init; } = new();

    /// <summary>Fields of a later version or of another program, kept as they came.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }

    /// <summary>The room with an id, or none.</summary>
    public Room? RoomById(string? id) => Rooms.FirstOrDefault(r => r.Id == id);

    /// <summary>The appliance with an id, or none.</summary>
    public Appliance? ApplianceById(string? id) => Appliances.FirstOrDefault(a => a.Id == id);

    /// <summary>The storey with an id, or none.</summary>
    public Storey? StoreyById(string? id) => Storeys.FirstOrDefault(s => s.Id == id);

    /// <summary>The kind of place that a box stands in: its room's, or the open air for one on an outer face.</summary>
    public RoomKind KindAt(Box box) => box.Outside ? RoomKind.Outdoors : RoomById(box.Room)!.Kind;
}

/// <summary>How the house is framed.</summary>
public sealed record Frame
{
    /// <summary>Thickness of a partition, stud face to stud face with its lining.</summary>
    public Length Partition { get; init; } = Length.Inches(4.5);

    /// <summary>Thickness of an outside wall.</summary>
    public Length OutsideWall { get; init; } = Length.Inches(6);

    /// <summary>Stud spacing on centre.</summary>
    public Length StudSpacing { get; init; } = Length.Inches(16);

    /// <summary>What lies under the lowest floor; decides whether cable can go underneath.</summary>
    public Under Under { get; init; } = Under.CrawlSpace;

    /// <summary>The space under the lowest floor gets a ceiling later, so nothing may hang under its joists.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public bool FinishedLater { get; init; }

    /// <summary>The side of the plan that faces the street.</summary>
    public Side Front { get; init; } = Side.South;

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}

/// <summary>What lies under the lowest floor.</summary>
public enum Under
{
    /// <summary>A crawl space that cable may be run through.</summary>
    CrawlSpace,

    /// <summary>A basement ceiling.</summary>
    Basement,

    /// <summary>A slab: nothing can be run underneath.</summary>
    Slab,
}

/// <summary>A side of the plan; north is up.</summary>
public enum Side
{
    /// <summary>Up the page.</summary>
    North,

    /// <summary>To the right.</summary>
    East,

    /// <summary>Down the page.</summary>
    South,

    /// <summary>To the left.</summary>
    West,
}

/// <summary>One floor of the house.</summary>
public sealed record Storey
{
    /// <summary>Unique in the job.</summary>
    public string Id { get; init; } = "";

    /// <summary>What people call it: "First floor".</summary>
    public string Name { get; init; } = "";

    /// <summary>Height of its floor over the first floor; negative for a basement.</summary>
    public Length Floor { get; init; }

    /// <summary>Ceiling height of rooms drawn on it; none takes 8 ft.</summary>
    public Length? Ceiling { get; init; }

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}

/// <summary>A room, or an outdoor place such as a porch, by its inside outline.</summary>
public sealed record Room
{
    /// <summary>Unique in the job.</summary>
    public string Id { get; init; } = "";

    /// <summary>What people call it, and what goes on the panel schedule.</summary>
    public string Name { get; init; } = "";

    /// <summary>The storey it stands on.</summary>
    public string Storey { get; init; } = "";

    /// <summary>What it is used for; decides which rules apply.</summary>
    public RoomKind Kind { get; init; }

    /// <summary>Floor to ceiling.</summary>
    public Length CeilingHeight { get; init; } = Length.Feet(8);

    /// <summary>Shape of its ceiling; none is flat.</summary>
    public CeilingShape? Ceiling { get; init; }

    /// <summary>Which way the joists over it run, or none while that is not known.</summary>
    public JoistRun? Joists { get; init; }

    /// <summary>Depth of the joists over it.</summary>
    public Length? JoistDepth { get; init; }

    /// <summary>For a closet, the depth of its shelf: lights keep clear of the space over it.</summary>
    public Length? ShelfDepth { get; init; }

    /// <summary>
    /// Farthest that any place along a wall may be from a receptacle, where this room wants them closer; none takes the job's.
    /// </summary>
    public Length? ReceptacleReach { get; init; }

    /// <summary>For stairs, their risers; six and more want a switch at each level.</summary>
    public int? Risers { get; init; }

    /// <summary>For an attic or a crawl space, how one gets in.</summary>
    public AccessKind? Access { get; init; }

    /// <summary>What lies under its floor, where that differs from the rest of the house; none goes by <see cref="UnderOf"/>.</summary>
    public Under? Under { get; init; }

    /// <summary>
    /// For an unfinished basement or an attic, whether it can be finished later and so counts as floor area; none goes by its height or its
    /// stairs.
    /// </summary>
    public bool? Adaptable { get; init; }

    /// <summary>
    /// Corners of the inside faces of its walls, in order. Wall <c>n</c> goes from corner <c>n</c> to the next one,
    /// the first wall being number 0. Rooms beside each other leave a partition's thickness between their outlines.
    /// </summary>
    public ImmutableArray<Point> Outline { get; init; } = [];

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }

    /// <summary>
    /// What lies under its floor on the lowest storey: as stated, else a slab under garages and buildings apart, else the frame's.
    /// </summary>
    /// <param name="frame">The job's frame.</param>
    public Under UnderOf(Frame frame) => Under ?? (Kind is RoomKind.Garage or RoomKind.AccessoryBuilding ? Jobs.Under.Slab : frame.Under);
}

/// <summary>What a room is used for.</summary>
public enum RoomKind
{
    /// <summary>Kitchen.</summary>
    Kitchen,

    /// <summary>Dining room or breakfast room.</summary>
    Dining,

    /// <summary>Pantry.</summary>
    Pantry,

    /// <summary>Living room or parlour.</summary>
    Living,

    /// <summary>Family room.</summary>
    Family,

    /// <summary>Den, study or library.</summary>
    Den,

    /// <summary>Office or desk nook.</summary>
    Office,

    /// <summary>Bedroom.</summary>
    Bedroom,

    /// <summary>Sunroom.</summary>
    Sunroom,

    /// <summary>Recreation room.</summary>
    Recreation,

    /// <summary>Bathroom or powder room.</summary>
    Bathroom,

    /// <summary>Laundry.</summary>
    Laundry,

    /// <summary>Hallway.</summary>
    Hallway,

    /// <summary>Foyer or entry.</summary>
    Foyer,

    /// <summary>Stairs; drawn on each storey that they join.</summary>
    Stairs,

    /// <summary>Closet.</summary>
    Closet,

    /// <summary>Utility or mechanical room.</summary>
    Utility,

    /// <summary>Garage.</summary>
    Garage,

    /// <summary>Roofed porch.</summary>
    Porch,

    /// <summary>Open deck, patio or balcony.</summary>
    Deck,

    /// <summary>Unfinished basement.</summary>
    UnfinishedBasement,

    /// <summary>Finished basement room.</summary>
    FinishedBasement,

    /// <summary>A shed, workshop or other building of its own.</summary>
    AccessoryBuilding,

    /// <summary>Attic.</summary>
    Attic,

    /// <summary>Crawl space.</summary>
    CrawlSpace,

    /// <summary>The open air beside the house, drawn where something stands in it.</summary>
    Outdoors,
}

/// <summary>What follows from a room's kind whatever the edition.</summary>
public static class RoomKinds
{
    /// <summary>Whether a kind of room is in the open air: the wall between it and the house is an outside wall.</summary>
    public static bool OpenAir(this RoomKind kind) => kind is RoomKind.Porch or RoomKind.Deck or RoomKind.Outdoors;

    /// <summary>Whether people do not walk in and out by a door: attics and crawl spaces have a hatch.</summary>
    public static bool Doorless(this RoomKind kind) => kind.OpenAir() || kind is RoomKind.Attic or RoomKind.CrawlSpace;
}

/// <summary>A door, window or other opening, given on one room's wall.</summary>
public sealed record Opening
{
    /// <summary>The value of <see cref="To"/> for an opening to the open air.</summary>
    public const string Outside = "outside";

    /// <summary>Unique in the job.</summary>
    public string Id { get; init; } = "";

    /// <summary>What it is.</summary>
    public OpeningKind Kind { get; init; }

    /// <summary>The room on whose wall it is given.</summary>
    public string Room { get; init; } = "";

    /// <summary>The number of that room's wall.</summary>
    public int Wall { get; init; }

    /// <summary>From the wall's first corner to the nearer jamb.</summary>
    public Length From { get; init; }

    /// <summary>Clear width.</summary>
    public Length Width { get; init; }

    /// <summary>The room on the other side, or <see cref="Outside"/>.</summary>
    public string To { get; init; } = Outside;

    /// <summary>For a hinged door the hinge jamb, for a sliding one the jamb of its moving panel, seen along the wall.</summary>
    public End Hinge { get; init; }

    /// <summary>Height of a window's sill over the floor; none takes 3 ft.</summary>
    public Length? Sill { get; init; }

    /// <summary>Whether a hinged door swings into the room on whose wall it is given.</summary>
    public bool SwingsIn { get; init; } = true;

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}

/// <summary>Kinds of opening.</summary>
public enum OpeningKind
{
    /// <summary>A hinged door.</summary>
    Hinged,

    /// <summary>A door that slides into the wall.</summary>
    Pocket,

    /// <summary>A glass door of which one half slides and the other is fixed; the fixed half counts as wall.</summary>
    Sliding,

    /// <summary>An opening without a door, as wide as an open plan wants.</summary>
    Cased,

    /// <summary>A vehicle door.</summary>
    GarageDoor,

    /// <summary>A window.</summary>
    Window,
}

/// <summary>One end of a wall, seen along its direction.</summary>
public enum End
{
    /// <summary>Nearer the wall's first corner.</summary>
    Start,

    /// <summary>Nearer its second corner.</summary>
    Finish,
}
