using System.Collections.Immutable;
using System.Text.Json;
using System.Text.Json.Serialization;

namespace Circuitum.Core.Jobs;

/// <summary>One switch of a switch box.</summary>
public sealed record SwitchGang
{
    /// <summary>The lighting outlets it controls.</summary>
    public ImmutableArray<string> Lights { get; init; } = [];

    /// <summary>How many switches control those lights: 1 a single pole, 2 three-way, 3 and more with four-way between.</summary>
    public int Locations { get; init; } = 1;

    /// <summary>What it does besides switching; of several places for one light the others are plain three-ways and four-ways.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public SwitchControl Control { get; init; }

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}
