using System.Text.Json;
using System.Text.Json.Serialization;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Jobs;

/// <summary>How the house is framed.</summary>
public sealed record Frame
{
    /// <summary>Thickness of a partition, stud face to stud face with its lining.</summary>
    public Length Partition { get; init; } = Length.Inches(4.5);

    /// <summary>Thickness of an outside wall.</summary>
    public Length OutsideWall { get; init; } = Length.Inches(6);

    /// <summary>Stud spacing on centre.</summary>
    public Length StudSpacing { get; init; } = Length.Inches(16);

    /// <summary>What lies under the lowest floor; decides whether cable can go underneath.</summary>
    public Under Under { get; init; } = Under.CrawlSpace;

    /// <summary>The space under the lowest floor gets a ceiling later, so nothing may hang under its joists.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public bool FinishedLater { get; init; }

    /// <summary>The side of the plan that faces the street.</summary>
    public Side Front { get; init; } = Side.South;

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}
