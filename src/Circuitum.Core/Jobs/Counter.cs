using System.Text.Json;
using System.Text.Json.Serialization;

namespace Circuitum.Core.Jobs;

/// <summary>A counter along a wall, or an island.</summary>
public sealed record Counter
{
    /// <summary>Unique in the job.</summary>
    public string Id { get; init; } = "";

    /// <summary>The room it stands in.</summary>
    public string Room { get; init; } = "";

    /// <summary>Whether it stands out from its wall into the room: a peninsula, as broad as its width and as long as its depth.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public bool Peninsula { get; init; }

    /// <summary>Against a wall: a wall counter. Free: an island.</summary>
    public Spot Spot { get; init; } = new();

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}
