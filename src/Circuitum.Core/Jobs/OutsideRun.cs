using System.Collections.Immutable;
using System.Text.Json;
using System.Text.Json.Serialization;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Jobs;

/// <summary>What a person says of a cable that leaves the house on its way to a box.</summary>
public sealed record OutsideRun
{
    /// <summary>The box in which it ends.</summary>
    public string To { get; init; } = "";

    /// <summary>How it is run; none takes the job's preference.</summary>
    public OutsideMethod? Method { get; init; }

    /// <summary>How deep it lies; none takes the least that the code asks of the method.</summary>
    public Length? Depth { get; init; }

    /// <summary>It passes under a driveway.</summary>
    public bool Driveway { get; init; }

    /// <summary>The conduit's bends in degrees in their order, 0 for a pull point; none takes what the planned way has.</summary>
    public ImmutableArray<int>? Bends { get; init; }

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }
}
