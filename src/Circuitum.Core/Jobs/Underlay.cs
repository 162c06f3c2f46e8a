using System.Text.Json;
using System.Text.Json.Serialization;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Jobs;

/// <summary>A picture of a paper plan that lies under a storey, to be traced.</summary>
public sealed record Underlay
{
    /// <summary>The storey that it lies under; at most one each.</summary>
    public string Storey { get; init; } = "";

    /// <summary>The stored picture's name: its SHA-256 in small hexadecimal digits.</summary>
    public string Picture { get; init; } = "";

    /// <summary>Its north-west corner on the plan.</summary>
    public Point At { get; init; }

    /// <summary>Width on the plan. The height follows from the picture's proportions.</summary>
    public Length Width { get; init; }

    /// <summary>Height on the plan.</summary>
    public Length Height { get; init; }

    /// <summary>How strongly it shows, in percent.</summary>
    public int Strength { get; init; } = 50;

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}
