using System.Text.Json;
using System.Text.Json.Serialization;

namespace Circuitum.Core.Jobs;

/// <summary>An appliance with its nameplate.</summary>
public sealed record Appliance
{
    /// <summary>Unique in the job.</summary>
    public string Id { get; init; } = "";

    /// <summary>The entry of the appliance library that it is one of, such as <c>range</c>.</summary>
    public string Type { get; init; } = "";

    /// <summary>What it is called on the schedule; empty takes the library's name.</summary>
    public string Name { get; init; } = "";

    /// <summary>The room it stands in, a porch or deck for outdoor equipment.</summary>
    public string Room { get; init; } = "";

    /// <summary>Where.</summary>
    public Spot Spot { get; init; } = new();

    /// <summary>What its plate says.</summary>
    public Nameplate Nameplate { get; init; } = new();

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}
