using System.Collections.Immutable;
using System.Text.Json;
using System.Text.Json.Serialization;

namespace Circuitum.Core.Jobs;

/// <summary>A branch circuit: which boxes share a breaker.</summary>
public sealed record Circuit
{
    /// <summary>Its number, kept once given. Also the number of its home run.</summary>
    public int Number { get; init; }

    /// <summary>What it is for; decides which boxes may share it.</summary>
    public CircuitPurpose Purpose { get; init; }

    /// <summary>Its boxes, each with who put it there.</summary>
    public ImmutableArray<CircuitBox> Boxes { get; init; } = [];

    /// <summary>A person's text for the schedule; none lets the label writer find one.</summary>
    public string? Label { get; init; }

    /// <summary>Locked by a person: the planner adds nothing to it and takes nothing away.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public bool Locked { get; init; }

    /// <summary>Both ends of its cable on one breaker: a ring circuit.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public bool Ring { get; init; }

    /// <summary>
    /// Its cables as they are in the frame, locked by a person; boxes that come later hang on them. None while nothing is locked.
    /// </summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public ImmutableArray<LockedCable>? Run { get; init; }

    /// <summary>The box in which a person wants the home run to end; none lets the shortest way decide.</summary>
    public string? First { get; init; }

    /// <summary>A person's breaker rating in amperes; none lets the sizing choose.</summary>
    public int? Breaker { get; init; }

    /// <summary>A person's choice of where its protection sits; none follows the job's preference.</summary>
    public ProtectionPlace? Protection { get; init; }

    /// <summary>Preferences that this circuit has of its own, by the key of <see cref="PreferenceFields"/>, as they are typed.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public ImmutableSortedDictionary<string, string>? Preferences { get; init; }

    /// <summary>Who made the circuit.</summary>
    public Origin By { get; init; }

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }

    /// <summary>Whether a box is on the circuit.</summary>
    public bool Holds(string boxId) => Boxes.Any(b => b.Box == boxId);
}
