using System.Text.Json;
using System.Text.Json.Serialization;

namespace Circuitum.Core.Jobs;

/// <summary>What the product does about an added rule.</summary>
public sealed record LocalDemand
{
    /// <summary>The sort of demand.</summary>
    public LocalDemandKind Kind { get; init; }

    /// <summary>The kind of room it is about, for protection and boxes.</summary>
    public RoomKind? Room { get; init; }

    /// <summary>The kind of box, for boxes.</summary>
    public BoxKind? Box { get; init; }

    /// <summary>How many boxes at least.</summary>
    public int Least { get; init; } = 1;

    /// <summary>The appliance type, for a circuit of its own.</summary>
    public string? Appliance { get; init; }

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}
