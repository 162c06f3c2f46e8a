using System.Collections.Immutable;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Geometry;

/// <summary>
/// Which rooms stand in one building: those that touch wall to wall, or lie over each other, roofed porches among them. What is
/// in the open air belongs to the building that it touches and joins none to another.
/// </summary>
internal static class Buildings
{
    private static readonly RoomsMemo<ImmutableDictionary<string, ImmutableHashSet<string>>> Memo = new();

    /// <summary>The rooms of the building in which a room stands, itself among them.</summary>
    internal static ImmutableHashSet<string> Of(HouseShape house, string room) => Memo.Of(house.Job.Rooms, "", () => Find(house))[room];

    private static ImmutableDictionary<string, ImmutableHashSet<string>> Find(HouseShape house)
    {
        var root = house.Job.Rooms.ToDictionary(r => r.Id, r => r.Id);
        string Root(string id) => root[id] == id ? id : root[id] = Root(root[id]);
        var inside = house.Rooms.Where(r => !r.Room.Kind.OpenAir() || r.Room.Kind == RoomKind.Porch).ToList();
        for (var i = 0; i < inside.Count; i++)
        {
            for (var j = i + 1; j < inside.Count; j++)
            {
                if (Root(inside[i].Room.Id) != Root(inside[j].Room.Id) && Joined(inside[i], inside[j]))
                    root[Root(inside[i].Room.Id)] = Root(inside[j].Room.Id);
            }
        }

        foreach (var open in house.Rooms.Where(r => r.Room.Kind is RoomKind.Deck or RoomKind.Outdoors))
        {
            if (inside.Where(r => Joined(open, r)).OrderBy(r => r.Room.Id, StringComparer.Ordinal).FirstOrDefault() is { } by)
                root[open.Room.Id] = Root(by.Room.Id);
        }

        var sets = house.Job.Rooms.GroupBy(r => Root(r.Id)).ToDictionary(g => g.Key, g => g.Select(r => r.Id).ToImmutableHashSet());
        return house.Job.Rooms.ToImmutableDictionary(r => r.Id, r => sets[Root(r.Id)]);
    }

    // Beside each other by no more than a thick wall, or one over the other.
    private static bool Joined(RoomShape a, RoomShape b)
    {
        var near = a.Room.Storey == b.Room.Storey ? HouseShape.ThickestWallInches : 0;
        if (
            b.MinX.InInches - a.MaxX.InInches > near
            || a.MinX.InInches - b.MaxX.InInches > near
            || b.MinY.InInches - a.MaxY.InInches > near
            || a.MinY.InInches - b.MaxY.InInches > near
        )
            return false;
        return HouseShape.Polygon(a.Room.Outline).IsWithinDistance(HouseShape.Polygon(b.Room.Outline), near);
    }
}
