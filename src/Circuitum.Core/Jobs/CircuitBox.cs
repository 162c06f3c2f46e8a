using System.Text.Json;
using System.Text.Json.Serialization;

namespace Circuitum.Core.Jobs;

/// <summary>A box's place on a circuit.</summary>
public sealed record CircuitBox
{
    /// <summary>The box.</summary>
    public string Box { get; init; } = "";

    /// <summary>Who put it on this circuit.</summary>
    public Origin By { get; init; }

    /// <summary>
    /// Fed from the line side where it would hang on a protective device's load terminals: the device protects neither it
    /// nor what lies beyond.
    /// </summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public bool LineSide { get; init; }

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}
