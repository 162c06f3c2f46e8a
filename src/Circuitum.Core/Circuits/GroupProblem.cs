using System.Collections.Immutable;

namespace Circuitum.Core.Circuits;

/// <summary>
/// What has to be grouped into circuits: outlets, or lights with their switches, that may share. Hard are the most outlets
/// and the most load of a circuit; everything else is a cost in cents.
/// </summary>
internal sealed record GroupProblem
{
    /// <summary>Number of things.</summary>
    public int Count => Load.Length;

    /// <summary>Cost of cable between two things, make-up at both ends included.</summary>
    public required PairCosts Between { get; init; }

    /// <summary>Cost of cable from the panel to a thing.</summary>
    public required int[] Home { get; init; }

    /// <summary>Load of each in volt-amperes.</summary>
    public required int[] Load { get; init; }

    /// <summary>How many outlets each counts for against the most on a circuit.</summary>
    public required int[] Size { get; init; }

    /// <summary>Room of each; below zero for a room that does not count, such as a hall with one receptacle.</summary>
    public required int[] Room { get; init; }

    /// <summary>Storey of each; below zero for stairs, which belong to two.</summary>
    public required int[] Storey { get; init; }

    /// <summary>The circuit that each must stay on, or -1.</summary>
    public required int[] Fixed { get; init; }

    /// <summary>The circuit that each stands on now, or -1; to leave it costs.</summary>
    public required int[] Standing { get; init; }

    /// <summary>Circuits that are there already; they keep their numbers.</summary>
    public int Existing { get; init; }

    /// <summary>Circuits that take nothing more, because a person locked them.</summary>
    public ImmutableHashSet<int> Closed { get; init; } = [];

    /// <summary>Which of them are heavy users; empty when none is.</summary>
    public bool[] Heavy { get; init; } = [];

    /// <summary>Most outlets on a circuit.</summary>
    public required int MostSize { get; init; }

    /// <summary>Most load on a circuit in volt-amperes.</summary>
    public required int MostLoad { get; init; }

    /// <summary>All rooms in which each has a box; empty where zones do not count.</summary>
    public RoomSet[] Places { get; init; } = [];

    /// <summary>Which rooms may be on one circuit; none where zones do not count.</summary>
    public ZoneRules? Zones { get; init; }

    /// <summary>
    /// How far round its room each lies, so that a large room is cut into stretches of wall; empty where that does not matter.
    /// </summary>
    public int[] Around { get; init; } = [];

    /// <summary>What the cable of some things costs as it will be pulled, in cents; none takes the tree of shortest pieces.</summary>
    public Func<int[], int>? Routed { get; init; }

    /// <summary>The weights.</summary>
    public required Jobs.PlanWeights Weights { get; init; }

    // A box with three cables is full enough, as in the run that is drawn later.
    private const int MostCables = 3;

    /// <summary>All rooms of some things.</summary>
    public RoomSet PlacesOf(IEnumerable<int> things)
    {
        var rooms = new RoomSet();
        foreach (var t in things)
            rooms.Add(Places[t]);
        return rooms;
    }

    /// <summary>What one circuit costs with its cable as it will be pulled, moved outlets apart.</summary>
    public int Priced(int[] things) => things.Length == 0 ? 0 : Weights.Circuit + (Routed?.Invoke(things) ?? Tree(things)) + Mixed(things);

    /// <summary>About what one circuit costs, its moved outlets apart: its cable as a tree of shortest pieces.</summary>
    public int Cost(ReadOnlySpan<int> things)
    {
        if (things.Length == 0)
            return 0;
        return Weights.Circuit + Tree(things) + Mixed(things);
    }

    /// <summary>Whether a circuit keeps the hard limits.</summary>
    public bool Fits(ReadOnlySpan<int> things)
    {
        int size = 0,
            load = 0;
        foreach (var t in things)
        {
            size += Size[t];
            load += Load[t];
        }

        return size <= MostSize && load <= MostLoad;
    }

    /// <summary>The part of a circuit's cost that does not hang on its cable: rooms, storeys, spare capacity.</summary>
    public int Mixed(ReadOnlySpan<int> things)
    {
        if (things.Length == 0)
            return 0;
        ulong rooms = 0,
            storeys = 0;
        int size = 0,
            load = 0;
        Span<int> seen = stackalloc int[Math.Min(things.Length, 64)];
        var distinct = 0;
        var places = new RoomSet();
        foreach (var t in things)
        {
            size += Size[t];
            load += Load[t];
            if (Storey[t] >= 0)
                storeys |= 1UL << (Storey[t] & 63);
            if (Zones is not null)
                places.Add(Places[t]);
            if (Room[t] < 0)
                continue;
            if (Room[t] < 64)
                rooms |= 1UL << Room[t];
            else if (distinct < seen.Length && !seen[..distinct].Contains(Room[t]))
                seen[distinct++] = Room[t];
        }

        var count = System.Numerics.BitOperations.PopCount(rooms) + distinct;
        var cost =
            (Math.Max(0, count - 1) * Weights.Room) + (Math.Max(0, System.Numerics.BitOperations.PopCount(storeys) - 1) * Weights.Storey);
        if (Zones is not null)
            cost += Zones.Price(places, Weights);
        var over = Math.Max(size - (MostSize * 4 / 5), 0) + (Math.Max(0, load - (MostLoad * 4 / 5)) / 180);
        return cost + (over * Weights.Margin) + HeavyCost(things, count);
    }

    // Heavy users apart, and none of them on a circuit that other rooms hang on.
    private int HeavyCost(ReadOnlySpan<int> things, int rooms)
    {
        if (Heavy.Length == 0)
            return 0;
        var heavy = 0;
        foreach (var t in things)
            heavy += Heavy[t] ? 1 : 0;
        return heavy == 0 ? 0 : (heavy - 1 + (rooms > 1 ? 1 : 0)) * Weights.Heavy;
    }

    // The home run to the nearest thing, each further one hung on the nearest that can take another cable.
    private int Tree(ReadOnlySpan<int> things)
    {
        var n = things.Length;
        var head = 0;
        for (var i = 1; i < n; i++)
        {
            if (Home[things[i]] < Home[things[head]])
                head = i;
        }

        var cost = Home[things[head]];
        if (n == 1)
            return cost;
        Span<int> near = stackalloc int[n],
            from = stackalloc int[n],
            cables = stackalloc int[n];
        Span<bool> hung = stackalloc bool[n];
        hung[head] = true;
        cables[head] = 1;
        for (var i = 0; i < n; i++)
            (near[i], from[i]) = (Between[things[head], things[i]], head);
        for (var k = 1; k < n; k++)
        {
            var next = -1;
            for (var i = 0; i < n; i++)
            {
                if (!hung[i] && (next < 0 || near[i] < near[next]))
                    next = i;
            }

            cost += near[next];
            hung[next] = true;
            cables[next] = 1;
            var feeder = from[next];
            cables[feeder]++;
            var full = cables[feeder] >= MostCables;
            for (var i = 0; i < n; i++)
            {
                if (hung[i])
                    continue;
                if (full && from[i] == feeder)
                {
                    near[i] = int.MaxValue;
                    for (var j = 0; j < n; j++)
                    {
                        if (hung[j] && cables[j] < MostCables && Between[things[j], things[i]] < near[i])
                            (near[i], from[i]) = (Between[things[j], things[i]], j);
                    }
                }

                if (Between[things[next], things[i]] is var way && way < near[i])
                    (near[i], from[i]) = (way, next);
            }
        }

        return cost;
    }
}
