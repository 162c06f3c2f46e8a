using System.Text.Json;
using System.Text.Json.Serialization;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Jobs;

/// <summary>What a box waits for.</summary>
public sealed record HeldFor
{
    /// <summary>What has to be known first: a mirror's height, a cabinet drawing, a fixture.</summary>
    public string WaitsFor { get; init; } = "";

    /// <summary>Who knows it. May be empty.</summary>
    public string Ask { get; init; } = "";

    /// <summary>Cable to leave so that the box can still move.</summary>
    public Length Slack { get; init; } = Length.Inches(24);

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}
