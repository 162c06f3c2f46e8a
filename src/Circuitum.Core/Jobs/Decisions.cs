using System.Collections.Immutable;
using System.Text.Json;
using System.Text.Json.Serialization;

namespace Circuitum.Core.Jobs;

/// <summary>All decisions of a job.</summary>
public sealed record Decisions
{
    /// <summary>The boxes on the studs and in the ceilings.</summary>
    public ImmutableArray<Box> Boxes { get; init; } = [];

    /// <summary>Proposals that a person took away and that are not to be made again.</summary>
    public ImmutableArray<RefusedBox> Refused { get; init; } = [];

    /// <summary>The branch circuits.</summary>
    public ImmutableArray<Circuit> Circuits { get; init; } = [];

    /// <summary>Circuits that share the cable of their home run.</summary>
    public ImmutableArray<HomeRunPair> Pairs { get; init; } = [];

    /// <summary>What a person wants of rooms in the division into circuits.</summary>
    public ImmutableArray<RoomPin> Pins { get; init; } = [];

    /// <summary>Home runs that are pulled.</summary>
    public ImmutableArray<PulledRun> Pulled { get; init; } = [];

    /// <summary>Cables that a person leads their own way.</summary>
    public ImmutableArray<LedSegment> Ways { get; init; } = [];

    /// <summary>What a person says of cables that leave the house.</summary>
    public ImmutableArray<OutsideRun> Outside { get; init; } = [];

    /// <summary>Which breaker sits in which space.</summary>
    public ImmutableArray<SpaceDecision> Spaces { get; init; } = [];

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }

    /// <summary>The pair that a circuit is in, or none.</summary>
    public HomeRunPair? PairOf(int circuit) => Pairs.FirstOrDefault(p => p.Has(circuit));

    /// <summary>The decisions without pairs and pulled runs of circuits that are gone.</summary>
    public Decisions WithoutLostPairs()
    {
        if (Pairs.Length == 0 && Pulled.Length == 0)
            return this;
        var there = Circuits.Where(c => c.Boxes.Length > 0).Select(c => c.Number).ToHashSet();
        var lost = Pairs.Any(p => !there.Contains(p.First) || !there.Contains(p.Second)) || Pulled.Any(p => !there.Contains(p.Circuit));
        return lost
            ? this with
            {
                Pairs = [.. Pairs.Where(p => there.Contains(p.First) && there.Contains(p.Second))],
                Pulled = [.. Pulled.Where(p => there.Contains(p.Circuit))],
            }
            : this;
    }
}
