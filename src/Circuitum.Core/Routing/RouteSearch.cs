using System.Collections.Concurrent;
using System.Collections.Immutable;
using System.Runtime.CompilerServices;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Routing;

/// <summary>
/// The shortest ways between the ends of cables: from wall to field, across, around what is in the way, and back into a wall.
/// </summary>
internal sealed partial class RouteSearch
{
    // What lies farther from the house than this has its own way, underground.
    private const double NearHouse = 60 * 12;

    // A hand's breadth to the wall that the box stands on is no way outside.
    private const double OutsideFrom = 12;

    private readonly HouseShape house;
    private readonly CableFrame frame;
    private readonly ConcurrentDictionary<EndPlace, End> attached;
    private readonly Dictionary<string, End> ends = [];

    internal RouteSearch(HouseShape house)
    {
        this.house = house;
        frame = CableFrame.Of(house);
        attached = Attached.GetOrCreateValue(frame);
        if (attached.Count > MostAttached)
            attached.Clear();
    }

    // Most edits leave nearly all boxes where they are, and to weigh the ways to one is the dearest part of them all: what was
    // attached to a frame stays as long as the frame does.
    private static readonly ConditionalWeakTable<CableFrame, ConcurrentDictionary<EndPlace, End>> Attached = [];

    // A box that is dragged about leaves a trace of places.
    private const int MostAttached = 20_000;

    /// <summary>All that says how an end comes into the fields of a frame.</summary>
    private readonly record struct EndPlace(
        string Room,
        int? Wall,
        Length Along,
        Point At,
        Length Height,
        Length? Buried,
        bool Inside,
        Length? Chases
    );

    /// <summary>One end of a cable: where it is, and where it comes into each field.</summary>
    private sealed class End(Point at, Length z)
    {
        internal Point At { get; } = at;

        internal Length Z { get; } = z;

        internal List<Entry> Entries { get; } = [];

        /// <summary>The shortest way into any field, leaving out what it goes aside, which may be on the way.</summary>
        internal double Least { get; set; } = double.PositiveInfinity;

        /// <summary>
        /// Inches to every node of the frame, by all fields and by the overhead ones alone, worked out when first asked for.
        /// </summary>
        internal double[]?[] Reach { get; } = new double[2][];
    }

    /// <summary>Where an end comes into a field.</summary>
    /// <param name="Field">The field.</param>
    /// <param name="Cell">The cell.</param>
    /// <param name="At">The place on the plan, beside a window that stands over the box.</param>
    /// <param name="Inches">From the end to there.</param>
    /// <param name="Outside">How much of that is outside the house.</param>
    private sealed record Entry(int Field, (int I, int J) Cell, Point At, double Inches, double Outside)
    {
        /// <summary>How high what is outside lies, when it goes into the ground on the way.</summary>
        internal Length? Buried { get; init; }

        internal List<(int Node, double Inches)> Visible { get; } = [];
    }

    /// <summary>Makes an end known under a name.</summary>
    /// <param name="name">Its name: a box's id, or the panel's.</param>
    /// <param name="room">Its room.</param>
    /// <param name="wall">Its wall, or none in a ceiling or floor.</param>
    /// <param name="along">Along that wall.</param>
    /// <param name="at">Its place.</param>
    /// <param name="height">Over the floor.</param>
    /// <param name="buried">How deep under the floor a cable to it lies outside, or none when it does not go into the ground.</param>
    /// <param name="inside">It stands in a room and not in the open air or on an outer face.</param>
    internal void Add(
        string name,
        RoomShape room,
        int? wall,
        Length along,
        Point at,
        Length height,
        Length? buried = null,
        bool inside = false
    )
    {
        var chases = wall is { } w ? Chases(room, w) : null;
        ends[name] = attached.GetOrAdd(
            new(room.Room.Id, wall, along, at, height, buried, inside, chases),
            (_, r) => Attach(r, wall, along, at, height, buried, inside),
            room
        );
    }

    private End Attach(RoomShape room, int? wall, Length along, Point at, Length height, Length? buried, bool inside)
    {
        var storey = room.Room.Storey;
        var z = house.Job.StoreyById(storey)!.Floor + height;
        var end = new End(at, z);
        foreach (var (field, up) in FieldsOf(storey))
        {
            var (beside, aside) = wall is { } w ? Clear(room, w, along, height, up) : (at, Length.Zero);
            var f = frame.Fields[field];
            var cell = f.CellOf(beside.X.InInches, beside.Y.InInches);
            if (f.IsFree(cell))
                Enter(cell, beside, 0);
            else
            {
                // What stands inside does not go around the house: only over the thickness of its own wall, or where nothing else leads.
                foreach (var near in f.NearestOfEach(beside.X.InInches, beside.Y.InInches, inside ? OutsideFrom : NearHouse))
                {
                    var middle = f.Middle(near);
                    var there = new Point(Length.Inches(middle.X), Length.Inches(middle.Y));
                    Enter(near, there, beside.RectilinearTo(there).InInches);
                }
            }

            end.Least = Math.Min(end.Least, (f.Z - z).Abs().InInches);

            void Enter((int I, int J) into, Point place, double outside)
            {
                // Down into the ground, across, and up again, from a place that is farther off than a hand's breadth.
                var ground = buried is { } depth && outside > OutsideFrom ? z - height - depth : (Length?)null;
                var upright = ground is { } g ? (z - g).Abs() + (f.Z - g).Abs() : (f.Z - z).Abs();
                end.Entries.Add(
                    Visible(new Entry(field, into, place, aside.InInches + outside + upright.InInches, outside) { Buried = ground })
                );
            }
        }

        return end;
    }

    /// <summary>Makes a place known over or under which a cable is led; false when no field of its storey has room there.</summary>
    /// <param name="name">Its name.</param>
    /// <param name="storey">Its storey.</param>
    /// <param name="at">The place.</param>
    internal bool AddOver(string name, string storey, Point at)
    {
        var any = false;
        foreach (var (field, up) in FieldsOf(storey))
        {
            var (f, suffix) = (frame.Fields[field], up ? Up : Down);
            if (ends.ContainsKey(name + suffix) && any)
                continue;
            if (f.NearestFree(at.X.InInches, at.Y.InInches, NearPlace) is not { } cell)
                continue;
            var m = f.Middle(cell);
            var place = f.IsFree(f.CellOf(at.X.InInches, at.Y.InInches)) ? at : new Point(Length.Inches(m.X), Length.Inches(m.Y));
            var end = new End(place, f.Z) { Least = 0 };
            end.Entries.Add(Visible(new Entry(field, f.CellOf(place.X.InInches, place.Y.InInches), place, 0, 0)));
            ends[name + suffix] = end;
            any = true;
        }

        return any;
    }

    private const string Up = "^",
        Down = "_";

    // The fields over a storey, then those under its floor.
    private IEnumerable<(int Field, bool Up)> FieldsOf(string storey) =>
        frame
            .Above.GetValueOrDefault(storey, [])
            .Select(f => (f, true))
            .Concat(frame.Below.GetValueOrDefault(storey, []).Select(f => (f, false)));

    private bool IsUnder(int field) => field < frame.UnderFloor;

    // A place that somebody points to may be a little off what is open.
    private const double NearPlace = 5 * 12;

    private Entry Visible(Entry entry)
    {
        var f = frame.Fields[entry.Field];
        for (var n = 0; n < frame.Nodes.Count; n++)
        {
            if (frame.Nodes[n].Field != entry.Field || f.Turn(entry.Cell, frame.Nodes[n].At) < 0)
                continue;
            var m = f.Middle(frame.Nodes[n].At);
            entry.Visible.Add((n, Math.Abs(m.X - entry.At.X.InInches) + Math.Abs(m.Y - entry.At.Y.InInches)));
        }

        return entry;
    }

    /// <summary>The shortest way between two ends that goes over or under a place; none when no field leads there.</summary>
    /// <param name="from">One end.</param>
    /// <param name="over">The place's name.</param>
    /// <param name="to">The other end.</param>
    internal CableRoute? RouteOver(string from, string over, string to)
    {
        if (!ends.ContainsKey(from))
            return null;
        var best = new[] { Up, Down }
            .Where(s => ends.ContainsKey(over + s))
            .Select(s => (Name: over + s, Inches: Inches(from, over + s) + Inches(over + s, to)))
            .OrderBy(x => x.Inches)
            .FirstOrDefault();
        if (best.Name is null || double.IsPositiveInfinity(best.Inches))
            return null;
        return Route(from, best.Name) is { } there && Route(best.Name, to) is { } on ? new([.. there.Pieces, .. on.Pieces]) : null;
    }

    // Straight up or down from a box, or beside the window or the door that is in the way; in a panel wall at its next upright chase.
    private (Point At, Length Aside) Clear(RoomShape room, int wall, Length along, Length height, bool up)
    {
        var edge = Length.Inches(3);
        var to = along;
        if (Chases(room, wall) is { } apart && Chase(room, wall, along, apart) is { } chase)
            return (room.On(wall, chase), (chase - along).Abs());

        foreach (var o in room.Openings.Where(o => o.Wall == wall && to > o.From - edge && to < o.To + edge))
        {
            if (up ? height >= o.Opening.Top : height <= o.Opening.Foot)
                continue;
            var (left, right) = (o.From - edge, o.To + edge);
            to = (left >= Length.Zero && to - left <= right - to) || right > room.Walls[wall].Length ? left : right;
        }

        to = Length.Min(room.Walls[wall].Length, Length.Max(Length.Zero, to));
        return (room.On(wall, to), (to - along).Abs());
    }

    // How far apart the upright chases of a panel wall are; none where it is built of studs.
    private Length? Chases(RoomShape room, int wall) =>
        house.Job.Walls.FirstOrDefault(w => w.Room == room.Room.Id && w.Wall == wall) is { Build: WallBuild.InsulatedPanel } panel
            ? panel.ChaseStations ?? Length.Feet(4)
            : null;

    // The nearest upright chase of a panel wall that is in no opening and not beyond one.
    private static Length? Chase(RoomShape room, int wall, Length along, Length station)
    {
        var stations = Enumerable
            .Range(0, (int)(room.Walls[wall].Length.Units / station.Units) + 1)
            .Select(n => new Length(n * station.Units));
        List<RoomOpening> openings = [.. room.Openings.Where(o => o.Wall == wall)];
        return stations
            .Where(s => !openings.Any(o => o.From < Length.Max(s, along) && o.To > Length.Min(s, along)))
            .Select(s => (Length?)s)
            .MinBy(s => (s!.Value - along).Abs());
    }
}
