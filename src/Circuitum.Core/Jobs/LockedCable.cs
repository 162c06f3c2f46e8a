using System.Text.Json;
using System.Text.Json.Serialization;

namespace Circuitum.Core.Jobs;

/// <summary>A piece of a circuit's cable that a person has locked, because it is in the frame.</summary>
public sealed record LockedCable
{
    /// <summary>The box it comes from, or none for the home run.</summary>
    public string? From { get; init; }

    /// <summary>The box in which it ends.</summary>
    public string To { get; init; } = "";

    /// <summary>What it is for.</summary>
    public CableUse Use { get; init; }

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}
