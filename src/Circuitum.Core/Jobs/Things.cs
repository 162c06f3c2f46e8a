using System.Collections.Immutable;
using System.Text.Json;
using System.Text.Json.Serialization;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Jobs;

/// <summary>
/// Where a thing stands: against a wall (<see cref="Wall"/> and <see cref="From"/>) or free on the floor (<see cref="At"/>).
/// </summary>
public sealed record Spot
{
    /// <summary>The wall it stands against, or none when it stands free.</summary>
    public int? Wall { get; init; }

    /// <summary>From the wall's first corner to the thing's nearer side.</summary>
    public Length From { get; init; }

    /// <summary>The north-west corner of a thing that stands free.</summary>
    public Point? At { get; init; }

    /// <summary>Along the wall; west to east for a free one.</summary>
    public Length Width { get; init; }

    /// <summary>Away from the wall; north to south for a free one.</summary>
    public Length Depth { get; init; }

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}

/// <summary>A counter along a wall, or an island.</summary>
public sealed record Counter
{
    /// <summary>Unique in the job.</summary>
    public string Id { get; init; } = "";

    /// <summary>The room it stands in.</summary>
    public string Room { get; init; } = "";

    /// <summary>Whether it stands out from its wall into the room: a peninsula, as broad as its width and as long as its depth.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public bool Peninsula { get; init; }

    /// <summary>Against a wall: a wall counter. Free: an island.</summary>
    public Spot Spot { get; init; } = new();

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}

/// <summary>A fixed thing without a load of its own, or an obstruction.</summary>
public sealed record Fixture
{
    /// <summary>Unique in the job.</summary>
    public string Id { get; init; } = "";

    /// <summary>What it is.</summary>
    public FixtureKind Kind { get; init; }

    /// <summary>The room it stands in.</summary>
    public string Room { get; init; } = "";

    /// <summary>Where.</summary>
    public Spot Spot { get; init; } = new();

    /// <summary>For an obstruction, its underside over the floor; none stands on the floor.</summary>
    public Length? Bottom { get; init; }

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}

/// <summary>Kinds of fixed thing.</summary>
public enum FixtureKind
{
    /// <summary>A kitchen or laundry sink.</summary>
    Sink,

    /// <summary>A bathroom basin.</summary>
    Basin,

    /// <summary>A bathtub, with or without a shower over it.</summary>
    Tub,

    /// <summary>A shower stall.</summary>
    Shower,

    /// <summary>A toilet.</summary>
    Toilet,

    /// <summary>A cabinet from the floor up without a counter, which breaks a wall space.</summary>
    Cabinet,

    /// <summary>A fireplace, which breaks a wall space.</summary>
    Fireplace,

    /// <summary>A built-up beam: cable passes under or beside it.</summary>
    Beam,

    /// <summary>A post from floor to ceiling.</summary>
    Post,

    /// <summary>A duct or a plumbing wall that nothing is bored through.</summary>
    Duct,
}

/// <summary>An appliance with its nameplate.</summary>
public sealed record Appliance
{
    /// <summary>Unique in the job.</summary>
    public string Id { get; init; } = "";

    /// <summary>The entry of the appliance library that it is one of, such as <c>range</c>.</summary>
    public string Type { get; init; } = "";

    /// <summary>What it is called on the schedule; empty takes the library's name.</summary>
    public string Name { get; init; } = "";

    /// <summary>The room it stands in, a porch or deck for outdoor equipment.</summary>
    public string Room { get; init; } = "";

    /// <summary>Where.</summary>
    public Spot Spot { get; init; } = new();

    /// <summary>What its plate says.</summary>
    public Nameplate Nameplate { get; init; } = new();

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}

/// <summary>What an appliance's plate says. What is left out comes from the library and counts as assumed.</summary>
public sealed record Nameplate
{
    /// <summary>Supply voltage, 120 or 240.</summary>
    public int? Volts { get; init; }

    /// <summary>Rated load in volt-amperes.</summary>
    public double? VoltAmperes { get; init; }

    /// <summary>Rated current in amperes, where the plate gives that and no load.</summary>
    public double? Amperes { get; init; }

    /// <summary>Whether it runs three hours or more; none takes the library's.</summary>
    public bool? Continuous { get; init; }

    /// <summary>Whether its maker asks for a circuit of its own; none takes the library's.</summary>
    public bool? OwnCircuit { get; init; }

    /// <summary>Minimum circuit ampacity, where the maker gives one.</summary>
    public double? MinimumCircuitAmpacity { get; init; }

    /// <summary>Largest breaker, where the maker gives one.</summary>
    public int? MaximumBreaker { get; init; }

    /// <summary>Hardwired, or by plug and receptacle.</summary>
    public bool? Hardwired { get; init; }

    /// <summary>Whether a person has read this off the plate; until then it is assumed.</summary>
    public bool Confirmed { get; init; }

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}

/// <summary>A panel.</summary>
public sealed record Panel
{
    /// <summary>Unique in the job.</summary>
    public string Id { get; init; } = "";

    /// <summary>What the schedule calls it.</summary>
    public string Name { get; init; } = "";

    /// <summary>The room it hangs in.</summary>
    public string Room { get; init; } = "";

    /// <summary>The wall it hangs on.</summary>
    public int Wall { get; init; }

    /// <summary>From the wall's first corner to the panel's centre.</summary>
    public Length Along { get; init; }

    /// <summary>Its top edge over the floor.</summary>
    public Length Top { get; init; } = Length.Feet(6);

    /// <summary>Main breaker in amperes.</summary>
    public int MainBreaker { get; init; } = 200;

    /// <summary>Full-size spaces, odd ones on the left, even ones on the right.</summary>
    public int Spaces { get; init; } = 40;

    /// <summary>The one family of breakers that goes into it, as the person names it.</summary>
    public string BreakerFamily { get; init; } = "";

    /// <summary>Other families whose breakers its listing, or theirs, allows in it.</summary>
    public ImmutableArray<string> AlsoTakes { get; init; } = [];

    /// <summary>Spaces that take a tandem, two one-pole breakers of half the height, by the panel's listing.</summary>
    public ImmutableArray<int> TandemSpaces { get; init; } = [];

    /// <summary>For a sub-panel, the panel that feeds it; none for the one at the service.</summary>
    public string? FedFrom { get; init; }

    /// <summary>For a sub-panel, the breaker of its feeder in amperes; none takes the one that its load asks for.</summary>
    public int? FeederBreaker { get; init; }

    /// <summary>For a sub-panel, how its feeder is run.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public FeederMethod FeederMethod { get; init; }

    /// <summary>For a sub-panel, a feeder of aluminum.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public bool AluminumFeeder { get; init; }

    /// <summary>For a sub-panel, lugs instead of a main breaker of its own.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public bool MainLugs { get; init; }

    /// <summary>How wide the card for the directory in its door is.</summary>
    public Length CardWide { get; init; } = Length.Inches(5);

    /// <summary>How tall that card is.</summary>
    public Length CardTall { get; init; } = Length.Inches(9);

    /// <summary>Most branch breakers, two for each tandem space.</summary>
    [JsonIgnore]
    public int MostCircuits => Spaces + TandemSpaces.Count(s => s <= Spaces);

    /// <summary>Whether a space takes a tandem.</summary>
    /// <param name="space">The space.</param>
    public bool TakesTandem(int space) => TandemSpaces.Contains(space);

    /// <summary>Whether a family's breakers go into it.</summary>
    /// <param name="family">The family's name; empty is the panel's own.</param>
    public bool Takes(string? family) =>
        string.IsNullOrWhiteSpace(family)
        || string.Equals(family.Trim(), BreakerFamily.Trim(), StringComparison.OrdinalIgnoreCase)
        || AlsoTakes.Any(f => string.Equals(f.Trim(), family.Trim(), StringComparison.OrdinalIgnoreCase));

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}

/// <summary>How a feeder is run.</summary>
public enum FeederMethod
{
    /// <summary>Cable: sheathed copper cable to 2 AWG by its 60 C column, or aluminum service cable by its 75 C column.</summary>
    Cable,

    /// <summary>Single wires in conduit.</summary>
    Conduit,
}
