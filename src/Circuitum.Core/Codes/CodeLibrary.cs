using System.Collections.Immutable;
using System.Reflection;
using System.Text.Json;
using System.Text.Json.Nodes;
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

    /// <summary>The ids of the shipped editions, newest first.</summary>
    public static ImmutableArray<string> EditionIds { get; } = ["us-2023", "us-2020", "us-2017"];

    private static readonly Lazy<ImmutableDictionary<string, CodeEdition>> AllEditions = new(() =>
        EditionIds.Select(id => ReadEdition(id).Deserialize<CodeEdition>(Options)!).ToImmutableDictionary(e => e.Id)
    );

    private static readonly Lazy<ConductorTables> AllConductors = new(() => Read<ConductorTables>("conductors.json"));

    private static readonly Lazy<ImmutableDictionary<string, ApplianceType>> AllAppliances = new(() =>
        Read<ImmutableArray<ApplianceType>>("appliances.json").ToImmutableDictionary(a => a.Id)
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

    private static readonly Lazy<ImmutableArray<AmendmentLayer>> AllSamples = new(() =>
        Read<ImmutableArray<AmendmentLayer>>("amendments.json")
    );

    /// <summary>The editions that are shipped, by id.</summary>
    public static ImmutableDictionary<string, CodeEdition> Editions => AllEditions.Value;

    /// <summary>Conductor tables of the US family.</summary>
    public static ConductorTables Conductors => AllConductors.Value;

    /// <summary>Typical appliances by id. A job's own nameplate always wins.</summary>
    public static ImmutableDictionary<string, ApplianceType> Appliances => AllAppliances.Value;

    /// <summary>Generic boxes by catalogue key, in the order in which they are tried.</summary>
    public static ImmutableSortedDictionary<string, BoxEntry> Boxes => AllBoxes.Value;

    /// <summary>Tables of further families, of cooking and of electrodes.</summary>
    public static Families Families => AllFamilies.Value;

    /// <summary>What share of a load runs on an ordinary evening.</summary>
    public static ExpectedShares Expected => AllExpected.Value;

    /// <summary>Conduit by kind: <c>pvc40</c>, <c>pvc80</c>, <c>rigid</c>, <c>emt</c>.</summary>
    public static ImmutableDictionary<string, ConduitKind> Conduit => AllConduit.Value;

    /// <summary>The edition with an id.</summary>
    /// <exception cref="KeyNotFoundException">No such edition; a job that names one is refused before it gets here.</exception>
    public static CodeEdition Edition(string id) => Editions[id];

    /// <summary>The edition of a job with its amendment layers laid over it.</summary>
    /// <exception cref="KeyNotFoundException">No such edition, or an amendment of something that is not there; such a job is refused before
    /// it gets here.</exception>
    public static CodeEdition EditionOf(Job job) => Amended.Lay(Edition(job.CodeEdition), job.Amendments);

    /// <summary>What each number of an edition means, by name: its words, its unit, the rule it belongs to, and what it may be.</summary>
    public static ImmutableSortedDictionary<string, NumberMeaning> Numbers => AllNumbers.Value;

    /// <summary>Made-up amendment layers to begin with.</summary>
    public static ImmutableArray<AmendmentLayer> SampleLayers => AllSamples.Value;

    // An edition's file may say only in what it differs from another one, its "from"; null takes an entry away.
    private static JsonObject ReadEdition(string id)
    {
        var own = Read<JsonObject>($"{id}.json");
        if (own["from"]?.GetValue<string>() is not { } from)
            return own;
        own.Remove("from");
        var whole = ReadEdition(from);
        Lay(own, whole);
        return whole;
    }

    private static void Lay(JsonObject over, JsonObject under)
    {
        foreach (var (name, value) in over)
        {
            if (value is null)
                under.Remove(name);
            else if (value is JsonObject more && under[name] is JsonObject there)
                Lay(more, there);
            else
                under[name] = value.DeepClone();
        }
    }

    private static T Read<T>(string name)
    {
        var assembly = Assembly.GetExecutingAssembly();
        using var stream = assembly.GetManifestResourceStream($"Circuitum.Core.Codes.Data.{name}")
            ?? throw new InvalidOperationException($"The rule data {name} is missing from the core.");
        return JsonSerializer.Deserialize<T>(stream, Options) ?? throw new InvalidOperationException($"The rule data {name} is empty.");
    }
}

/// <summary>What cuts equipment off beside its breaker.</summary>
public enum Cutoff
{
    /// <summary>Its plug, or its breaker alone.</summary>
    None,

    /// <summary>A disconnect within sight (422.31, 430.102, 440.14).</summary>
    Sight,

    /// <summary>A service switch at the unit (422.31, 424.19).</summary>
    Service,

    /// <summary>A switch or timer by which people run it.</summary>
    Control,
}

/// <summary>A typical household appliance.</summary>
public sealed record ApplianceType
{
    /// <summary>Key in a job.</summary>
    public required string Id { get; init; }

    /// <summary>What it is called.</summary>
    public required string Name { get; init; }

    /// <summary>Supply voltage.</summary>
    public int Volts { get; init; }

    /// <summary>Typical load in volt-amperes.</summary>
    public double Va { get; init; }

    /// <summary>Needs a neutral.</summary>
    public bool Neutral { get; init; }

    /// <summary>Usually hardwired.</summary>
    public bool Hardwired { get; init; }

    /// <summary>A continuous load: three hours or more, or taken so by rule.</summary>
    public bool Continuous { get; init; }

    /// <summary>Electric space heating.</summary>
    public bool Heating { get; init; }

    /// <summary>Driven by a motor.</summary>
    public bool Motor { get; init; }

    /// <summary>Rating of its motor in horsepower, or none when it has none or it is not known.</summary>
    public double? Hp { get; init; }

    /// <summary>Fastened in place although it may have a plug (220.53, 210.23): built in, hung up or piped.</summary>
    public bool Fastened { get; init; }

    /// <summary>What cuts it off beside its breaker.</summary>
    public Cutoff Cutoff { get; init; }

    /// <summary>
    /// Its receptacle belongs in the space beside it, where a hand gets at it with the appliance in its place (422.16(B)).
    /// </summary>
    public bool OutletBeside { get; init; }

    /// <summary>Burns fuel, so that the house needs alarms for carbon monoxide (R315).</summary>
    public bool Fuel { get; init; }

    /// <summary>Cools and does not heat.</summary>
    public bool Cooling { get; init; }

    /// <summary>Heats and cools with one compressor.</summary>
    public bool HeatPump { get; init; }

    /// <summary>Heating or cooling equipment that calls for a service receptacle.</summary>
    public bool Hvac { get; init; }

    /// <summary>Household cooking; goes by the demand table.</summary>
    public bool Cooking { get; init; }

    /// <summary>Vehicle charging.</summary>
    public bool Charging { get; init; }

    /// <summary>Stands on its feet and can be pulled out: the wall behind it counts as wall space.</summary>
    public bool Movable { get; init; }

    /// <summary>Has a circuit of its own by rule or by common practice.</summary>
    public bool Own { get; init; }

    /// <summary>A rule demands a circuit of its own.</summary>
    public bool Individual { get; init; }

    /// <summary>Belongs to the laundry circuit.</summary>
    public bool Laundry { get; init; }

    /// <summary>Belongs to a garage receptacle circuit.</summary>
    public bool Garage { get; init; }

    /// <summary>Hangs on a lighting circuit.</summary>
    public bool Lighting { get; init; }

    /// <summary>Breaker that is usual for it, in amperes; larger than the least where practice is.</summary>
    public int? Breaker { get; init; }

    /// <summary>Typical minimum circuit ampacity.</summary>
    public double? Mca { get; init; }

    /// <summary>Typical maximum breaker.</summary>
    public int? MaxBreaker { get; init; }

    /// <summary>Usual height of its outlet in inches; -1 is the ceiling.</summary>
    public double OutletHeightIn { get; init; }
}

/// <summary>A generic box.</summary>
/// <param name="Id">Key in a job.</param>
/// <param name="Name">What to ask for at the counter.</param>
/// <param name="Use"><c>device</c>, <c>fixture</c> or <c>fan</c>.</param>
/// <param name="Gangs">Gangs of a device box; 0 for one that carries a fixture.</param>
/// <param name="Volume">Usable volume in cubic inches: the tabulated one of a metal box, a typical marked one else (314.16(A)).</param>
/// <param name="Clamps">Whether clamps inside it take up room (314.16(B)(2)).</param>
/// <param name="Metal">Metal, and then bonded.</param>
/// <param name="Bracket">Made to be screwed or snapped to a steel stud; what is nailed on does not hold there.</param>
public sealed record BoxEntry(
    string Id,
    string Name,
    string Use,
    int Gangs,
    double Volume,
    bool Clamps,
    bool Metal = false,
    bool Bracket = false
);

/// <summary>A kind of conduit.</summary>
/// <param name="Id">Its key.</param>
/// <param name="Name">What to ask for.</param>
/// <param name="Bends">Section that limits its bends.</param>
/// <param name="Sizes">Trade sizes, smallest first, with their inside area (Chapter 9, Table 4).</param>
public sealed record ConduitKind(string Id, string Name, string Bends, ImmutableArray<ConduitSize> Sizes);

/// <summary>A trade size.</summary>
/// <param name="Size">Its name in inches, such as 1-1/4.</param>
/// <param name="AreaIn2">Whole inside area in square inches.</param>
public sealed record ConduitSize(string Size, double AreaIn2);

/// <summary>Ampacity, resistance, factors and service conductors.</summary>
public sealed record ConductorTables
{
    /// <summary>Copper by size, smallest first (Table 310.16; Chapter 9 Table 8).</summary>
    public required ImmutableArray<ConductorRow> Copper { get; init; }

    /// <summary>Aluminum by size, smallest first.</summary>
    public required ImmutableArray<ConductorRow> Aluminum { get; init; }

    /// <summary>Ambient correction from a 30 C table.</summary>
    public required ImmutableArray<AmbientRow> Ambient { get; init; }

    /// <summary>Factor by number of current-carrying conductors.</summary>
    public required ImmutableArray<CountRow> Count { get; init; }

    /// <summary>Conductors of a service that carries the whole dwelling.</summary>
    public required ImmutableArray<ServiceRow> Service { get; init; }

    /// <summary>Copper equipment ground by breaker.</summary>
    public required ImmutableArray<GroundRow> Ground { get; init; }

    /// <summary>Sizes in which nonmetallic-sheathed cable is made, smallest first.</summary>
    public required ImmutableArray<string> Sheathed { get; init; }

    /// <summary>The ground that is in sheathed cable of each size.</summary>
    public required ImmutableDictionary<string, string> SheathedGround { get; init; }
}

/// <summary>One conductor size.</summary>
/// <param name="Size">AWG or kcmil.</param>
/// <param name="Cmil">Circular mils.</param>
/// <param name="C60">Amperes in the 60 C column.</param>
/// <param name="C75">Amperes in the 75 C column.</param>
/// <param name="C90">Amperes in the 90 C column.</param>
/// <param name="OhmPerKft">Direct-current resistance at 75 C in ohm per 1000 ft.</param>
/// <param name="BoxIn3">Room that one takes up in a box, in cubic inches; 0 for sizes that do not go into one (Table 314.16(B)(1)).</param>
/// <param name="AreaIn2">Area of one insulated wire of the thin kinds for conduit, in square inches (Chapter 9, Table 5).</param>
public sealed record ConductorRow(string Size, int Cmil, int C60, int C75, int C90, double OhmPerKft, double BoxIn3 = 0, double AreaIn2 = 0)
{
    /// <summary>Ampacity in a temperature column.</summary>
    /// <exception cref="ArgumentOutOfRangeException">The column is not 60, 75 or 90.</exception>
    public int At(int celsius) =>
        celsius switch
        {
            60 => C60,
            75 => C75,
            90 => C90,
            _ => throw new ArgumentOutOfRangeException(nameof(celsius), celsius, "The columns are 60, 75 and 90 C."),
        };
}

/// <summary>Ambient correction up to and including a temperature.</summary>
/// <param name="UpToC">Degrees Celsius.</param>
/// <param name="F60">Factor for the 60 C column.</param>
/// <param name="F75">Factor for the 75 C column.</param>
/// <param name="F90">Factor for the 90 C column.</param>
public sealed record AmbientRow(int UpToC, double F60, double F75, double F90);

/// <summary>Count adjustment up to and including a number of current-carrying conductors.</summary>
/// <param name="UpTo">Conductors.</param>
/// <param name="Factor">Factor on the ampacity.</param>
public sealed record CountRow(int UpTo, double Factor);

/// <summary>Dwelling service conductor.</summary>
/// <param name="Amperes">Service rating.</param>
/// <param name="Copper">Copper size.</param>
/// <param name="Aluminum">Aluminum size.</param>
public sealed record ServiceRow(int Amperes, string Copper, string Aluminum);

/// <summary>Equipment ground.</summary>
/// <param name="Breaker">Largest breaker.</param>
/// <param name="Copper">Copper size.</param>
public sealed record GroundRow(int Breaker, string Copper);
