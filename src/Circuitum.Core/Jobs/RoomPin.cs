using System.Text.Json;
using System.Text.Json.Serialization;

namespace Circuitum.Core.Jobs;

/// <summary>What a person wants of rooms in the division into general circuits; the planner keeps it and says what it costs.</summary>
public sealed record RoomPin
{
    /// <summary>Whether it is said of lights, of receptacles, or of both.</summary>
    public CircuitPurpose Of { get; init; }

    /// <summary>What is wanted.</summary>
    public PinKind Kind { get; init; }

    /// <summary>The room.</summary>
    public string Room { get; init; } = "";

    /// <summary>The other room; none for a room that is kept alone.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public string? Other { get; init; }

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }

    /// <summary>Whether it is about a room.</summary>
    public bool Names(string room) => Room == room || Other == room;

    /// <summary>Whether it counts where circuits of a purpose are divided; one said of both does everywhere.</summary>
    public bool Counts(CircuitPurpose purpose) => Of == purpose || Of == CircuitPurpose.Mixed || purpose == CircuitPurpose.Mixed;

    /// <summary>Whether both say something of the same rooms and circuits, so that the later one replaces the earlier.</summary>
    public bool Replaces(RoomPin other) =>
        Counts(other.Of)
        && (
            (Kind == PinKind.Alone && other.Kind == PinKind.Alone && Room == other.Room)
            || (Other is { } mine && other.Other is not null && other.Names(Room) && other.Names(mine))
            || (Kind == PinKind.Alone && other.Kind == PinKind.Together && other.Names(Room))
            || (Kind == PinKind.Together && other.Kind == PinKind.Alone && Names(other.Room))
        );
}
