using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.BoxLayout;

/// <summary>The proposal while it grows: what is there, and where the next box may go.</summary>
internal sealed class Draft(Job job, HouseShape house, CodeEdition edition, List<Box> kept, string? only)
{
    // Farther aside a box would be another one.
    private const int SettleInches = 10;

    private readonly List<Box> added = [];

    // Where each of the added ones stands in their list. Two boxes may be alike, so each is known by itself.
    private readonly Dictionary<Box, int> places = new(ReferenceEqualityComparer.Instance);

    private readonly Dictionary<string, List<Box>> rooms = kept.GroupBy(b => b.Room).ToDictionary(g => g.Key, g => g.ToList());

    private readonly Dictionary<string, List<string>> near = [];

    // What hangs on a switch.
    private readonly HashSet<string> switched = [.. kept.SelectMany(b => b.Gangs).SelectMany(g => g.Lights)];

    internal Job Job => job;

    internal HouseShape House => house;

    internal CodeEdition Edition => edition;

    internal IEnumerable<Box> All => kept.Concat(added);

    /// <summary>The boxes of a room, the kept ones first.</summary>
    internal IReadOnlyList<Box> In(RoomShape shape) => rooms.GetValueOrDefault(shape.Room.Id) ?? [];

    /// <summary>The boxes of a room and of those around it: all that a box in it could stand in the way of.</summary>
    internal IReadOnlyCollection<Box> Near(string room)
    {
        if (!near.TryGetValue(room, out var around))
            near[room] = around = [.. house.Rooms.Where(r => Meet(house[room], r)).Select(r => r.Room.Id)];
        return [.. around.SelectMany(r => rooms.GetValueOrDefault(r) ?? [])];
    }

    /// <summary>Whether one of these boxes is on a switch.</summary>
    internal bool IsSwitched(IEnumerable<Box> boxes) => boxes.Any(b => switched.Contains(b.Id));

    internal IEnumerable<RoomShape> Rooms => house.Rooms.Where(r => only is null || r.Room.Id == only);

    internal RoomTraits Traits(RoomShape shape) => edition.Traits(shape.Room.Kind);

    internal Length InchNumber(string name) => edition.Number(name).Length;

    /// <summary>Adds a box with a temporary id; refused ones are passed over.</summary>
    internal Box? Add(Box box)
    {
        if (Refused(box))
            return null;

        // A box never takes the place of another one or of a corner: the nearest place where it can stand is meant.
        if (
            box.Kind is BoxKind.Receptacle or BoxKind.Switch or BoxKind.Provision or BoxKind.Appliance
            || box is { Kind: BoxKind.Light, Outside: false }
        )
            box = BoxBody.Settle(house, box, Near(box.Room), SettleInches);
        var named = box with { Id = $"new-{added.Count}", By = Origin.Planner };
        places[named] = added.Count;
        added.Add(named);
        if (!rooms.TryGetValue(named.Room, out var there))
            rooms[named.Room] = there = [];
        there.Add(named);
        switched.UnionWith(named.Gangs.SelectMany(g => g.Lights));
        return named;
    }

    internal void Replace(Box before, Box after)
    {
        places.Remove(before, out var place);
        (added[place], places[after]) = (after, place);
        var there = rooms[before.Room];
        there[there.FindIndex(b => ReferenceEquals(b, before))] = after;
        switched.UnionWith(after.Gangs.SelectMany(g => g.Lights));
    }

    internal bool IsOwn(Box box) => places.ContainsKey(box);

    /// <summary>Gives the new boxes their lasting ids, those of the proposals they repeat where there are any.</summary>
    internal List<Box> Named(List<Box> old)
    {
        var free = new List<Box>(old);
        var ids = new Dictionary<string, string>();
        var rest = new List<Box>();
        foreach (var box in added)
        {
            var same = free.FirstOrDefault(o =>
                o.Kind == box.Kind
                && o.Room == box.Room
                && o.Appliance == box.Appliance
                && o.Serves == box.Serves
                && o.Wall == box.Wall
                && o.Along == box.Along
                && o.At == box.At
                && o.Outside == box.Outside
            );
            if (same is null)
                rest.Add(box);
            else
            {
                ids[box.Id] = same.Id;
                free.Remove(same);
            }
        }

        foreach (var box in rest.ToList())
        {
            var near = free.Where(o =>
                    o.Kind == box.Kind
                    && o.Room == box.Room
                    && o.Appliance == box.Appliance
                    && o.Serves == box.Serves
                    && o.Outside == box.Outside
                )
                .OrderBy(o => Places.Of(house, o).InchesTo(Places.Of(house, box)))
                .ThenBy(o => o.Id, StringComparer.Ordinal)
                .FirstOrDefault();
            if (near is null)
                continue;
            ids[box.Id] = near.Id;
            free.Remove(near);
            rest.Remove(box);
        }

        var taken = kept.Select(b => b.Id).Concat(ids.Values).ToHashSet();
        foreach (var box in rest)
        {
            var stem = $"{Cut(box.Room)}.{Letter(box)}";
            var n = 1;
            while (!taken.Add($"{stem}{n}"))
                n++;
            ids[box.Id] = $"{stem}{n}";
        }

        return
        [
            .. added.Select(b =>
                b with
                {
                    Id = ids[b.Id],
                    Gangs = [.. b.Gangs.Select(g => g with { Lights = [.. g.Lights.Select(l => ids.GetValueOrDefault(l, l))] })],
                }
            ),
        ];
    }

    // Farther apart than this no two boxes on either side of a wall meet.
    private static readonly Length Apart = Length.Feet(2);

    private static bool Meet(RoomShape one, RoomShape other) =>
        one.Room.Storey == other.Room.Storey
        && one.MinX - Apart <= other.MaxX
        && other.MinX - Apart <= one.MaxX
        && one.MinY - Apart <= other.MaxY
        && other.MinY - Apart <= one.MaxY;

    private static string Cut(string room) => room.Length > 48 ? room[..48] : room;

    private static string Letter(Box box) =>
        box.Kind switch
        {
            BoxKind.Receptacle => "r",
            BoxKind.Light => "l",
            BoxKind.Switch => "s",
            BoxKind.SmokeAlarm => "a",
            BoxKind.Appliance => "e",
            BoxKind.Disconnect => "d",
            _ => "p",
        };

    private bool Refused(Box box) =>
        job.Decisions.Refused.Any(r =>
            r.Kind == box.Kind
            && r.Room == box.Room
            && r.Appliance == (box.Serves ?? box.Appliance)
            && r.Wall == box.Wall
            && (
                box.Wall is null
                    ? r.At is { } at && box.At is { } here && at.InchesTo(here) < 12
                    : (r.Along - box.Along).Abs() < Length.Inches(12)
            )
        );
}
