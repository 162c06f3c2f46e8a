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

    /// <summary>In what its lengths are told, and what a bare number means where one is typed.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public LengthUnits Units { get; init; }

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

    /// <summary>Reels and what lies on the shelf; none while nobody has said.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public Stock? Stock { get; init; }

    /// <summary>How long work takes here; none for the figures to begin with.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public WorkFigures? Work { get; init; }

    /// <summary>The mark of the sheet that the panel maker and the framer were given; none while nobody was told.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public string? BuildersTold { get; init; }

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
