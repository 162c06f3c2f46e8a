using System.Text.Json;
using System.Text.Json.Serialization;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Jobs;

/// <summary>
/// Where a thing stands: against a wall (<see cref="Wall"/> and <see cref="From"/>) or free on the floor (<see cref="At"/>).
/// </summary>
public sealed record Spot
{
    /// <summary>The wall it stands against, or none when it stands free.</summary>
    public int? Wall { get; init; }

    /// <summary>From the wall's first corner to the thing's nearer side.</summary>
    public Length From { get; init; }

    /// <summary>The north-west corner of a thing that stands free.</summary>
    public Point? At { get; init; }

    /// <summary>Along the wall; west to east for a free one.</summary>
    public Length Width { get; init; }

    /// <summary>Away from the wall; north to south for a free one.</summary>
    public Length Depth { get; init; }

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}
