using System.Collections.Immutable;
using System.Text.Json;
using System.Text.Json.Serialization;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Jobs;

/// <summary>A room, or an outdoor place such as a porch, by its inside outline.</summary>
public sealed record Room
{
    /// <summary>Unique in the job.</summary>
    public string Id { get; init; } = "";

    /// <summary>What people call it, and what goes on the panel schedule.</summary>
    public string Name { get; init; } = "";

    /// <summary>The storey it stands on.</summary>
    public string Storey { get; init; } = "";

    /// <summary>What it is used for; decides which rules apply.</summary>
    public RoomKind Kind { get; init; }

    /// <summary>Floor to ceiling.</summary>
    public Length CeilingHeight { get; init; } = Length.Feet(8);

    /// <summary>Shape of its ceiling; none is flat.</summary>
    public CeilingShape? Ceiling { get; init; }

    /// <summary>Which way the joists over it run, or none while that is not known.</summary>
    public JoistRun? Joists { get; init; }

    /// <summary>Depth of the joists over it.</summary>
    public Length? JoistDepth { get; init; }

    /// <summary>For a closet, the depth of its shelf: lights keep clear of the space over it.</summary>
    public Length? ShelfDepth { get; init; }

    /// <summary>
    /// Farthest that any place along a wall may be from a receptacle, where this room wants them closer; none takes the job's.
    /// </summary>
    public Length? ReceptacleReach { get; init; }

    /// <summary>For stairs, their risers; six and more want a switch at each level.</summary>
    public int? Risers { get; init; }

    /// <summary>For an attic or a crawl space, how one gets in.</summary>
    public AccessKind? Access { get; init; }

    /// <summary>What lies under its floor, where that differs from the rest of the house; none goes by <see cref="UnderOf"/>.</summary>
    public Under? Under { get; init; }

    /// <summary>
    /// For an unfinished basement or an attic, whether it can be finished later and so counts as floor area; none goes by its height or its
    /// stairs.
    /// </summary>
    public bool? Adaptable { get; init; }

    /// <summary>
    /// Corners of the inside faces of its walls, in order. Wall <c>n</c> goes from corner <c>n</c> to the next one,
    /// the first wall being number 0. Rooms beside each other leave a partition's thickness between their outlines.
    /// </summary>
    public ImmutableArray<Point> Outline { get; init; } = [];

    /// <summary>Fields not known to this version.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Extra { get; init; }

    /// <summary>
    /// What lies under its floor on the lowest storey: as stated, else a slab under garages and buildings apart, else the frame's.
    /// </summary>
    /// <param name="frame">The job's frame.</param>
    public Under UnderOf(Frame frame) => Under ?? (Kind is RoomKind.Garage or RoomKind.AccessoryBuilding ? Jobs.Under.Slab : frame.Under);
}
