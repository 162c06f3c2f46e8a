using System.Text.Json;
using System.Text.Json.Serialization;

namespace Circuitum.Core.Jobs;

/// <summary>Where practice differs in how a house is divided into circuits. The first value of each is what most do.</summary>
public sealed record DivisionSchools
{
    /// <summary>How lights are grouped.</summary>
    public LightsBy Lights { get; init; }

    /// <summary>How many bedrooms share a receptacle circuit.</summary>
    public BedroomsBy Bedrooms { get; init; }

    /// <summary>Whether full baths share a circuit.</summary>
    public BathsBy Baths { get; init; }

    /// <summary>Where receptacles outside are fed from.</summary>
    public OutdoorCircuit Outdoor { get; init; }

    /// <summary>What a kitchen island hangs with.</summary>
    public IslandWith Island { get; init; }

    /// <summary>Where a garage door operator hangs.</summary>
    public DoorOperator DoorOperator { get; init; }

    /// <summary>Where smoke alarms hang.</summary>
    public AlarmsWith Alarms { get; init; }

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}
