using System.Collections.Immutable;
using System.Text.Json;
using System.Text.Json.Serialization;

namespace Circuitum.Core.Jobs;

/// <summary>How long work takes, as this crew knows it.</summary>
public sealed record WorkFigures
{
    /// <summary>The figures to begin with.</summary>
    public static WorkFigures None { get; } = new();

    /// <summary>Minutes of single tasks that are others than the figures to begin with, by the task's key.</summary>
    public ImmutableSortedDictionary<string, double> Minutes { get; init; } = ImmutableSortedDictionary<string, double>.Empty;

    /// <summary>What stages took, in hours of one person, by <see cref="KeyOf"/>.</summary>
    public ImmutableSortedDictionary<string, double> Took { get; init; } = ImmutableSortedDictionary<string, double>.Empty;

    /// <summary>How a stage is named in a document.</summary>
    public static string KeyOf(BuyStage stage) => JsonNamingPolicy.KebabCaseLower.ConvertName(stage.ToString());

    /// <summary>What a stage took in hours of one person; none while nobody has said.</summary>
    public double? TookOf(BuyStage stage) => Took.TryGetValue(KeyOf(stage), out var hours) ? hours : null;

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}
