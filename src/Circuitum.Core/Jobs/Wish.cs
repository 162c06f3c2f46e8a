using System.Text.Json;
using System.Text.Json.Serialization;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Jobs;

/// <summary>A wish from the walk with the owner, which the box layout honours.</summary>
public sealed record Wish
{
    /// <summary>Unique in the job.</summary>
    public string Id { get; init; } = "";

    /// <summary>What will be here.</summary>
    public WishKind Kind { get; init; }

    /// <summary>The room.</summary>
    public string Room { get; init; } = "";

    /// <summary>Where: the middle of the thing.</summary>
    public Point At { get; init; }

    /// <summary>In the owner's words. May be empty.</summary>
    public string Note { get; init; } = "";

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}
