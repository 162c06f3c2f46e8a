using System.Collections.Immutable;
using System.Text.Json;
using System.Text.Json.Serialization;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Jobs;

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

    /// <summary>For a split board, its sections from the left; none lets the planner lay them out.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public ImmutableArray<BoardSection>? Sections { get; init; }

    /// <summary>For a split board, the earth fault loop at it in ohm, as the supplier tells or as it was measured; none when it is not
    /// known.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public double? LoopOhm { get; init; }

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
