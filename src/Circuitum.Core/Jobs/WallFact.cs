using System.Text.Json;
using System.Text.Json.Serialization;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Jobs;

/// <summary>
/// How one wall of a room is built, where that differs from the job's frame. Stated on one room's wall it holds for
/// the same wall seen from the other side, unless that side says otherwise.
/// </summary>
public sealed record WallFact
{
    /// <summary>The room.</summary>
    public string Room { get; init; } = "";

    /// <summary>The number of its wall.</summary>
    public int Wall { get; init; }

    /// <summary>What it is built of.</summary>
    public WallBuild Build { get; init; }

    /// <summary>Whether it carries load; holes and notches in its studs are limited more strictly.</summary>
    public bool Bearing { get; init; }

    /// <summary>Stud spacing on centre; none takes the frame's.</summary>
    public Length? StudSpacing { get; init; }

    /// <summary>Thickness of an outside wall; a wall between rooms is as thick as the rooms stand apart.</summary>
    public Length? Thickness { get; init; }

    /// <summary>A person wants no cable through its studs; a box on it still takes its cable up or down beside it.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public bool NoCable { get; init; }

    /// <summary>Data or speaker cable runs through its studs: power keeps away from it.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public bool DataCable { get; init; }

    /// <summary>For an insulated panel: height of its level wiring chase over the floor.</summary>
    public Length? ChaseHeight { get; init; }

    /// <summary>For an insulated panel: distance between its upright chases, the first one at the wall's first corner.</summary>
    public Length? ChaseStations { get; init; }

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}
