using System.Text.Json;
using System.Text.Json.Serialization;

namespace Circuitum.Core.Jobs;

/// <summary>A breaker's space in the panel.</summary>
public sealed record SpaceDecision
{
    /// <summary>The panel.</summary>
    public string Panel { get; init; } = "";

    /// <summary>The circuit's number; 0 for the breaker of a feeder.</summary>
    public int Circuit { get; init; }

    /// <summary>The sub-panel whose feeder this breaker is, or none.</summary>
    public string? Feeds { get; init; }

    /// <summary>What it feeds.</summary>
    [JsonIgnore]
    public BreakerKey Breaker => new(Circuit, Feeds);

    /// <summary>The space, for a two-pole breaker its upper one.</summary>
    public int Space { get; init; }

    /// <summary>Which half of the space, when a tandem is in it.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public TandemHalf Half { get; init; }

    /// <summary>The family of the breaker, when it is not the panel's.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public string? Family { get; init; }

    /// <summary>Who placed it.</summary>
    public Origin By { get; init; }

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}
