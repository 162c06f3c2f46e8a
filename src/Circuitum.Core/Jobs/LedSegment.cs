using System.Text.Json;
using System.Text.Json.Serialization;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Jobs;

/// <summary>A cable that a person leads over a place of their own, whatever way is shortest.</summary>
public sealed record LedSegment
{
    /// <summary>The box it comes from, or none for the panel.</summary>
    public string? From { get; init; }

    /// <summary>The box in which it ends.</summary>
    public string To { get; init; } = "";

    /// <summary>The place on the plan that it goes over or under.</summary>
    public Point Over { get; init; }

    /// <summary>The storey on whose plan the place was shown.</summary>
    public string Storey { get; init; } = "";

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}
