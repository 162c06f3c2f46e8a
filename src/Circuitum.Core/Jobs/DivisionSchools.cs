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

/// <summary>How lights are grouped.</summary>
public enum LightsBy
{
    /// <summary>By zones: a few rooms that touch.</summary>
    Zone,

    /// <summary>By storeys: as many of a storey's rooms as one circuit holds.</summary>
    Storey,
}

/// <summary>How many bedrooms share a receptacle circuit.</summary>
public enum BedroomsBy
{
    /// <summary>Two at most.</summary>
    Two,

    /// <summary>Each has its own.</summary>
    One,

    /// <summary>The main bedroom has its own, the others two at most.</summary>
    MainAlone,
}

/// <summary>Whether full baths share a circuit.</summary>
public enum BathsBy
{
    /// <summary>No: two hair dryers trip it. A half bath may join one.</summary>
    Apart,

    /// <summary>Two of a storey share one circuit.</summary>
    Together,
}

/// <summary>Where receptacles outside are fed from.</summary>
public enum OutdoorCircuit
{
    /// <summary>Those near each other from one circuit, one far away from the nearest suitable circuit inside.</summary>
    Nearest,

    /// <summary>All from one circuit.</summary>
    One,
}

/// <summary>What a kitchen island hangs with.</summary>
public enum IslandWith
{
    /// <summary>A counter.</summary>
    Counter,

    /// <summary>The dining walls.</summary>
    Dining,
}

/// <summary>Where a garage door operator hangs.</summary>
public enum DoorOperator
{
    /// <summary>With the garage's receptacles.</summary>
    WithGarage,

    /// <summary>By itself.</summary>
    Alone,
}

/// <summary>Where smoke alarms hang.</summary>
public enum AlarmsWith
{
    /// <summary>With lights that people use every day, so that a dead circuit is noticed.</summary>
    Lights,

    /// <summary>On a circuit of their own.</summary>
    Alone,
}
