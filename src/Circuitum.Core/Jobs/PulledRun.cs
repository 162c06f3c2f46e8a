using System.Text.Json;
using System.Text.Json.Serialization;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Jobs;

/// <summary>A home run that is in the frame: the planner keeps the box in which it ends first on its circuit.</summary>
public sealed record PulledRun
{
    /// <summary>The circuit.</summary>
    public int Circuit { get; init; }

    /// <summary>The box in which it ends.</summary>
    public string To { get; init; } = "";

    /// <summary>The cable that was pulled, such as <c>12-2</c>.</summary>
    public string Cable { get; init; } = "";

    /// <summary>What it took, measured off the reel; none when nobody measured.</summary>
    public Length? Measured { get; init; }

    /// <summary>The reel that it was pulled from; none when nobody said.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public string? Reel { get; init; }

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}
