using System.Collections.Immutable;
using System.Text.Json;
using System.Text.Json.Serialization;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Jobs;

/// <summary>What is at hand for a job: open reels and what lies on the shelf.</summary>
public sealed record Stock
{
    /// <summary>Nothing.</summary>
    public static Stock None { get; } = new();

    /// <summary>Reels that are begun or bought.</summary>
    public ImmutableArray<Reel> Reels { get; init; } = [];

    /// <summary>What lies on the shelf, by its key of the takeoff.</summary>
    public ImmutableArray<ShelfItem> Shelf { get; init; } = [];

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}

/// <summary>A reel of cable.</summary>
public sealed record Reel
{
    /// <summary>Unique in the job.</summary>
    public string Id { get; init; } = "";

    /// <summary>Its cable, such as <c>12-2</c>.</summary>
    public string Cable { get; init; } = "";

    /// <summary>What was on it when somebody last looked, before what this job has pulled from it.</summary>
    public Length Held { get; init; }

    /// <summary>Where it is, such as <c>van</c>. May be empty.</summary>
    public string Place { get; init; } = "";

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}

/// <summary>Something on the shelf.</summary>
public sealed record ShelfItem
{
    /// <summary>Its key of the takeoff.</summary>
    public string Key { get; init; } = "";

    /// <summary>How many, or how many feet.</summary>
    public int Quantity { get; init; }

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}
