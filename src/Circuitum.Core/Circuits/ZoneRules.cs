using System.Collections.Immutable;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Circuits;

/// <summary>Why rooms may not hang on one circuit, the weightiest first; what breaker and cable cost comes after all of them.</summary>
internal enum ZoneReason
{
    Pin,
    Dark,
    Zone,
    Habit,
}

/// <summary>Rooms of which some may not hang on one circuit with others.</summary>
/// <param name="One">Some rooms.</param>
/// <param name="Other">Others, none of which joins any of the first.</param>
/// <param name="Why">The reason, as a sentence.</param>
/// <param name="Reason">How weighty it is.</param>
internal sealed record ZoneBan(RoomSet One, RoomSet Other, string Why, ZoneReason Reason);

/// <summary>Rooms that may not all hang on one circuit.</summary>
/// <param name="All">The rooms.</param>
/// <param name="Why">The reason, as a sentence.</param>
/// <param name="Reason">How weighty it is.</param>
internal sealed record ZoneSplit(RoomSet All, string Why, ZoneReason Reason);

/// <summary>Two rooms that a person wants on one circuit.</summary>
/// <param name="All">The rooms.</param>
/// <param name="Why">The reason, as a sentence.</param>
internal sealed record ZoneJoin(RoomSet All, string Why);

/// <summary>
/// Which rooms may hang on one general circuit, as practice has it: rooms that touch, a storey by itself, no more than a few, and
/// none together that should never go dead together. A breach is priced, not forbidden, because a person's hand or the house itself
/// may leave no other way; the planner's own circuits are made without one.
/// </summary>
internal sealed class ZoneRules
{
    private readonly RoomSet[] touches;
    private readonly int[] storey;
    private readonly string[] storeyNames;
    private readonly RoomSet riders;
    private readonly RoomSet stairs;
    private readonly double[] area;
    private readonly int[] part;
    private readonly int mostRooms;
    private readonly ImmutableArray<ZoneJoin> joins = [];

    // A search asks for the same rooms again and again, from several threads. What was asked last keeps a place, whoever wrote it; all of
    // them would be some hundred thousand in a huge house.
    private readonly Worth?[] known = new Worth?[1 << 14];

    private sealed record Worth(RoomSet Of, int Broken, double SqFt, int Uses);

    /// <summary>Makes the rules of a house.</summary>
    /// <param name="house">The house.</param>
    /// <param name="mostRooms">How many rooms a circuit may take in, those that ride along apart.</param>
    /// <param name="riders">Rooms that ride along with a neighbour and count for nothing.</param>
    /// <param name="acrossHalls">Whether rooms that open on one hall count as touching.</param>
    internal ZoneRules(HouseShape house, int mostRooms, RoomSet riders, bool acrossHalls)
    {
        var job = house.Job;
        this.mostRooms = mostRooms;
        this.riders = riders;
        storey = [.. job.Rooms.Select(r => job.Storeys.IndexOf(job.StoreyById(r.Storey)!))];
        storeyNames = [.. job.Storeys.Select(s => s.Name)];
        stairs = RoomSet.Of(Numbers(job, r => r.Kind == RoomKind.Stairs));
        area = [.. house.Rooms.Select(r => r.Room.Kind.OpenAir() ? 0 : r.AreaSqFt)];
        part = [.. job.Rooms.Select(r => (int)PartOf(job, r))];
        touches = RoomTouch.Of(house, acrossHalls);
    }

    /// <summary>Rooms that may not hang together.</summary>
    internal ImmutableArray<ZoneBan> Bans { get; init; } = [];

    /// <summary>Rooms of which one at least hangs elsewhere.</summary>
    internal ImmutableArray<ZoneSplit> Splits { get; init; } = [];

    /// <summary>Rooms that a person wants on one circuit; they count as touching.</summary>
    internal ImmutableArray<ZoneJoin> Joins
    {
        get => joins;
        init
        {
            joins = value;
            foreach (var (one, other) in value.Select(j => (j.All.First, j.All.Without(RoomSet.Of([j.All.First])).First)))
            {
                touches[one].Add(other);
                touches[other].Add(one);
            }
        }
    }

    /// <summary>Whether the floor area of a circuit and the mixing of its rooms' uses count.</summary>
    internal bool WeighsZones { get; init; }

    /// <summary>The numbers of the rooms for which something holds.</summary>
    internal static IEnumerable<int> Numbers(Job job, Func<Room, bool> holds) =>
        Enumerable.Range(0, job.Rooms.Length).Where(i => holds(job.Rooms[i]));

    /// <summary>Whether some rooms touch some others, or share one with them.</summary>
    internal bool Touch(RoomSet one, RoomSet other)
    {
        if (one.Meets(other))
            return true;
        foreach (var room in one)
        {
            if (touches[room].Meets(other))
                return true;
        }

        return false;
    }

    /// <summary>How many of the rules a circuit of these rooms breaks.</summary>
    internal int Broken(RoomSet rooms)
    {
        if (rooms.Count < 2)
            return 0;
        var broken = Pieces(rooms) - 1 + Math.Max(0, Storeys(rooms) - 1);
        broken += Math.Max(0, rooms.Without(riders).Count - mostRooms);
        foreach (var ban in Bans)
            broken += rooms.Meets(ban.One) && rooms.Meets(ban.Other) ? 1 : 0;
        foreach (var split in Splits)
            broken += rooms.HasAll(split.All) ? 1 : 0;
        return broken;
    }

    /// <summary>
    /// What rooms on one circuit cost, in cents: rules broken, floor area beyond what one light circuit serves, uses mixed.
    /// </summary>
    internal int Price(RoomSet rooms, PlanWeights weights)
    {
        ref var place = ref known[rooms.GetHashCode() & (known.Length - 1)];
        var worth = place is { } last && last.Of == rooms ? last : place = WorthOf(rooms);
        var price = worth.Broken * weights.Zone;
        if (!WeighsZones)
            return price;
        var over = (int)Math.Max(0, worth.SqFt - weights.ZoneSqFt);
        return price + (over * weights.SqFtOver) + (Math.Max(0, worth.Uses - 1) * weights.Use);
    }

    private Worth WorthOf(RoomSet rooms)
    {
        double feet = 0;
        var parts = 0;
        foreach (var room in rooms)
        {
            feet += area[room];
            if (part[room] > 0)
                parts |= 1 << part[room];
        }

        return new(rooms, Broken(rooms) + Parted(rooms).Count(), feet, int.PopCount(parts));
    }

    /// <summary>Why rooms may not hang on one circuit, sentence by sentence, the weightiest first; none when they may.</summary>
    internal IEnumerable<string> WhyNot(RoomSet rooms) => Reasons(rooms).OrderBy(r => r.Reason).Select(r => r.Why);

    /// <summary>The same in one line, with the rank of each reason; empty when they may.</summary>
    internal string Ranked(RoomSet rooms) =>
        string.Join("; ", Reasons(rooms).OrderBy(r => r.Reason).Select(r => $"{r.Why} ({RankOf(r.Reason)})"));

    private static string RankOf(ZoneReason reason) =>
        reason switch
        {
            ZoneReason.Pin => "pinned, before all others",
            ZoneReason.Dark => "reason 1 of 4, never dark together",
            ZoneReason.Zone => "reason 2 of 4, one zone that touches",
            _ => "reason 3 of 4, habit",
        };

    private IEnumerable<(ZoneReason Reason, string Why)> Reasons(RoomSet rooms)
    {
        if (Pieces(rooms) is var pieces && pieces > 1)
            yield return (ZoneReason.Zone, $"its rooms lie in {pieces} places that do not touch");
        if (Storeys(rooms) > 1)
        {
            var names = rooms.Without(stairs).Rooms().Select(r => storeyNames[storey[r]]).Distinct();
            yield return (ZoneReason.Zone, $"it would change storey: {string.Join(" and ", names)}");
        }

        var count = rooms.Without(riders).Count;
        if (count > mostRooms)
            yield return (ZoneReason.Zone, $"it would take in {count} rooms, {mostRooms} is the most");
        foreach (var ban in Bans.Where(b => rooms.Meets(b.One) && rooms.Meets(b.Other)))
            yield return (ban.Reason, ban.Why);
        foreach (var split in Splits.Where(s => rooms.HasAll(s.All)))
            yield return (split.Reason, split.Why);
        foreach (var join in Parted(rooms))
            yield return (ZoneReason.Pin, join.Why);
    }

    // Not among the rules broken, because more rooms may mend it.
    private IEnumerable<ZoneJoin> Parted(RoomSet rooms) => joins.Where(j => rooms.Meets(j.All) && !rooms.HasAll(j.All));

    // Stairs belong to both storeys that they join.
    private int Storeys(RoomSet rooms)
    {
        var mask = 0UL;
        foreach (var room in rooms.Without(stairs))
            mask |= 1UL << (storey[room] & 63);
        return System.Numerics.BitOperations.PopCount(mask);
    }

    private int Pieces(RoomSet rooms)
    {
        var pieces = 0;
        for (var left = rooms; !left.IsEmpty; pieces++)
        {
            var reached = RoomSet.Of([left.First]);
            var edge = reached;
            while (!edge.IsEmpty)
            {
                var next = new RoomSet();
                foreach (var room in edge)
                    next.Add(touches[room]);
                edge = next.And(left).Without(reached);
                reached.Add(edge);
            }

            left = left.Without(reached);
        }

        return pieces;
    }

    private enum Part
    {
        Any,
        Living,
        Sleeping,
        Service,
    }

    // Halls, stairs, closets and what is outside go along with anything; a den that one only reaches through a bedroom is part of it.
    private static Part PartOf(Job job, Room room) =>
        room.Kind switch
        {
            RoomKind.Den
            or RoomKind.Office
                when RoomTouch.Beyond(job, room.Id) is { Count: > 0 } doors && doors.All(d => job.RoomById(d)?.Kind == RoomKind.Bedroom) =>
                Part.Sleeping,
            RoomKind.Kitchen or RoomKind.Dining or RoomKind.Living or RoomKind.Family => Part.Living,
            RoomKind.Den or RoomKind.Office or RoomKind.Sunroom or RoomKind.Recreation => Part.Living,
            RoomKind.Bedroom => Part.Sleeping,
            RoomKind.Garage or RoomKind.Laundry or RoomKind.Utility => Part.Service,
            RoomKind.AccessoryBuilding => Part.Service,
            _ => Part.Any,
        };
}
