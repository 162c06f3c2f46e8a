using System.Text.Json;
using System.Text.Json.Serialization;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Jobs;

/// <summary>A fixed thing without a load of its own, or an obstruction.</summary>
public sealed record Fixture
{
    /// <summary>Unique in the job.</summary>
    public string Id { get; init; } = "";

    /// <summary>What it is.</summary>
    public FixtureKind Kind { get; init; }

    /// <summary>The room it stands in.</summary>
    public string Room { get; init; } = "";

    /// <summary>Where.</summary>
    public Spot Spot { get; init; } = new();

    /// <summary>For an obstruction, its underside over the floor; none stands on the floor.</summary>
    public Length? Bottom { get; init; }

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}
