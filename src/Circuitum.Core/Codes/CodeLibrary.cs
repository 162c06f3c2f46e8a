using System.Collections.Immutable;
using System.Reflection;
using System.Text.Json;
using System.Text.Json.Serialization;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Codes;

/// <summary>The door to the rule data: editions, conductor tables and the appliance library, read once from the assembly.</summary>
public static class CodeLibrary
{
    private static readonly JsonSerializerOptions Options = new(JsonSerializerDefaults.Web)
    {
        Converters = { new JsonStringEnumConverter(JsonNamingPolicy.CamelCase) },
    };

    private const string Data = "Circuitum.Core.Codes.Data.";
    private const string EditionData = Data + "Editions.";

    /// <summary>The ids of the editions, newest first: each file among the editions is one.</summary>
    public static ImmutableArray<string> EditionIds { get; } =
    [
        .. Assembly
            .GetExecutingAssembly()
            .GetManifestResourceNames()
            .Where(n => n.StartsWith(EditionData, StringComparison.Ordinal))
            .Select(n => Path.GetFileNameWithoutExtension(n[EditionData.Length..]))
            .OrderDescending(StringComparer.Ordinal),
    ];

    private static readonly Lazy<ImmutableDictionary<string, CodeEdition>> AllEditions = new(() =>
        EditionIds.Select(id => EditionReader.Read(id, EditionText)).ToImmutableDictionary(e => e.Id)
    );

    private static readonly Lazy<ConductorTables> AllConductors = new(() => Read<ConductorTables>("conductors.json"));

    private static readonly Lazy<ImmutableDictionary<string, ApplianceType>> AllAppliances = new(() =>
        Read<ImmutableArray<ApplianceType>>("appliances.json").ToImmutableDictionary(a => a.Id)
    );

    private static readonly Lazy<ImmutableArray<WayOfWorking>> AllWays = new(() => Read<ImmutableArray<WayOfWorking>>("ways.json"));

    private static readonly Lazy<ImmutableArray<FurniturePiece>> AllFurniture = new(() =>
        Read<ImmutableArray<FurniturePiece>>("furniture.json")
    );

    private static readonly Lazy<ImmutableSortedDictionary<string, BoxEntry>> AllBoxes = new(() =>
        Read<ImmutableArray<BoxEntry>>("boxes.json").ToImmutableSortedDictionary(b => b.Id, b => b, StringComparer.Ordinal)
    );

    private static readonly Lazy<ImmutableDictionary<string, ConduitKind>> AllConduit = new(() =>
        Read<ImmutableArray<ConduitKind>>("conduit.json").ToImmutableDictionary(c => c.Id)
    );

    private static readonly Lazy<ExpectedShares> AllExpected = new(() => Read<ExpectedShares>("expected.json"));

    private static readonly Lazy<Families> AllFamilies = new(() => Read<Families>("families.json"));

    private static readonly Lazy<ImmutableSortedDictionary<string, NumberMeaning>> AllNumbers = new(() =>
        Read<ImmutableArray<NumberMeaning>>("numbers.json").ToImmutableSortedDictionary(n => n.Name, n => n, StringComparer.Ordinal)
    );

    private static readonly Lazy<TakeoffTables> AllTakeoff = new(() => Read<TakeoffTables>("takeoff.json"));

    private static readonly Lazy<ImmutableArray<AmendmentLayer>> AllSamples = new(() =>
        Read<ImmutableArray<AmendmentLayer>>("amendments.json")
    );

    /// <summary>The editions that are shipped, by id.</summary>
    public static ImmutableDictionary<string, CodeEdition> Editions => AllEditions.Value;

    /// <summary>Conductor tables of the US family.</summary>
    public static ConductorTables Conductors => AllConductors.Value;

    /// <summary>Typical appliances by id. A job's own nameplate always wins.</summary>
    public static ImmutableDictionary<string, ApplianceType> Appliances => AllAppliances.Value;

    /// <summary>Ways of working to begin with.</summary>
    public static ImmutableArray<WayOfWorking> Ways => AllWays.Value;

    /// <summary>What rooms usually have.</summary>
    public static ImmutableArray<FurniturePiece> Furniture => AllFurniture.Value;

    /// <summary>Generic boxes by catalogue key, in the order in which they are tried.</summary>
    public static ImmutableSortedDictionary<string, BoxEntry> Boxes => AllBoxes.Value;

    /// <summary>Tables of further families, of cooking and of electrodes.</summary>
    public static Families Families => AllFamilies.Value;

    /// <summary>The supply of a job's house, which no amendment changes.</summary>
    public static Supply SupplyOf(Job job) => Edition(job.CodeEdition).Supply;

    /// <summary>What share of a load runs on an ordinary evening.</summary>
    public static ExpectedShares Expected => AllExpected.Value;

    /// <summary>Conduit by kind: <c>pvc40</c>, <c>pvc80</c>, <c>rigid</c>, <c>emt</c>.</summary>
    public static ImmutableDictionary<string, ConduitKind> Conduit => AllConduit.Value;

    /// <summary>The newest edition, for questions that no job asks.</summary>
    public static CodeEdition Newest => Editions[EditionIds[0]];

    /// <summary>The ids of the editions of a family, newest first.</summary>
    public static IEnumerable<string> IdsOf(string family) => EditionIds.Where(id => Editions[id].Family == family);

    /// <summary>The edition with an id.</summary>
    /// <exception cref="KeyNotFoundException">No such edition; a job that names one is refused before it gets here.</exception>
    public static CodeEdition Edition(string id) => Editions[id];

    /// <summary>The edition of a job with its amendment layers laid over it.</summary>
    /// <exception cref="KeyNotFoundException">No such edition, or an amendment of something that is not there; such a job is refused before
    /// it gets here.</exception>
    public static CodeEdition EditionOf(Job job) => Amended.Lay(Edition(job.CodeEdition), job.Amendments);

    /// <summary>What each number of an edition means, by name: its words, its unit, the rule it belongs to, and what it may be.</summary>
    public static ImmutableSortedDictionary<string, NumberMeaning> Numbers => AllNumbers.Value;

    /// <summary>What is counted for a house, and how.</summary>
    public static TakeoffTables Takeoff => AllTakeoff.Value;

    /// <summary>Made-up amendment layers to begin with.</summary>
    public static ImmutableArray<AmendmentLayer> SampleLayers => AllSamples.Value;

    /// <summary>The text of an edition's file.</summary>
    internal static string EditionText(string id)
    {
        using var reader = new StreamReader(Open($"{EditionData}{id}.json"));
        return reader.ReadToEnd();
    }

    private static Stream Open(string resource) =>
        Assembly.GetExecutingAssembly().GetManifestResourceStream(resource)
        ?? throw new InvalidOperationException($"The rule data {resource} is missing from the core.");

    private static T Read<T>(string name)
    {
        using var stream = Open(Data + name);
        return JsonSerializer.Deserialize<T>(stream, Options) ?? throw new InvalidOperationException($"The rule data {name} is empty.");
    }
}
