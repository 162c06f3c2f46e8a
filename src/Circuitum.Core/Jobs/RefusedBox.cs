using System.Text.Json;
using System.Text.Json.Serialization;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Jobs;

/// <summary>A proposal that a person refused.</summary>
public sealed record RefusedBox
{
    /// <summary>What it was.</summary>
    public BoxKind Kind { get; init; }

    /// <summary>Where it was.</summary>
    public string Room { get; init; } = "";

    /// <summary>The wall it was on, or none.</summary>
    public int? Wall { get; init; }

    /// <summary>Its place along the wall.</summary>
    public Length Along { get; init; }

    /// <summary>Its place, when it was not on a wall.</summary>
    public Point? At { get; init; }

    /// <summary>The appliance it was for, or none.</summary>
    public string? Appliance { get; init; }

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}
