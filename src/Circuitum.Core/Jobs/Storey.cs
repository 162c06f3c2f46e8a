using System.Text.Json;
using System.Text.Json.Serialization;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Jobs;

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
