using System.Collections.Immutable;
using System.Text.Json;
using System.Text.Json.Serialization;

namespace Circuitum.Core.Jobs;

/// <summary>What a local authority changes in an edition: a named set that is laid over it, the last one on top.</summary>
public sealed record AmendmentLayer
{
    /// <summary>What people call it, and what the papers state.</summary>
    public string Name { get; init; } = "";

    /// <summary>Who adopted it. May be empty.</summary>
    public string Authority { get; init; } = "";

    /// <summary>Whether it counts; a layer that is off is kept but changes nothing.</summary>
    public bool On { get; init; } = true;

    /// <summary>Its changes, in order.</summary>
    public ImmutableArray<Amendment> Changes { get; init; } = [];

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}
