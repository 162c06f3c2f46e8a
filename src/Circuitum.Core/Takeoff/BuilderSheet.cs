using System.Collections.Immutable;
using System.Security.Cryptography;
using System.Text.Json;
using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Takeoff;

/// <summary>
/// What others have to know before they build: the maker of insulated panels where chases, holes and boxes are, the framer where something
/// is to be fastened and where no stud or joist may stand.
/// </summary>
/// <param name="Panels">For the maker of insulated panels, wall by wall.</param>
/// <param name="Frame">For the framer, room by room.</param>
public sealed record BuilderSheet(ImmutableArray<PanelWall> Panels, ImmutableArray<FramerLine> Frame)
{
    private const string Backing = "Backing of plywood";

    private static readonly JsonSerializerOptions Fields = new() { IncludeFields = true };

    // A chase and a hole leave room for what comes later.
    private const double ChaseIn = 1.5;

    // A cabinet between two studs, half its width; from a recessed light's middle to the nearest joist.
    private static readonly Length HalfCabinet = Length.Inches(7.25),
        CanClear = Length.Inches(4);

    /// <summary>Whether something is built in a factory or of steel, so that it cannot be cut or nailed to afterwards.</summary>
    public bool Matters => Panels.Any(p => p.Boxes.Length > 0 || p.Upright.Length > 0) || Frame.Any(l => l.What == Backing);

    /// <summary>A few letters that change with whatever is on the sheet.</summary>
    public string Mark => Convert.ToHexString(SHA256.HashData(JsonSerializer.SerializeToUtf8Bytes((Panels, Frame), Fields)))[..16];

    /// <summary>The sheet of a house.</summary>
    public static BuilderSheet Of(JobAnalysis a) => new([.. Walls(a)], [.. Lines(a)]);

    // A wall is told from one of its sides, the other only where it is longer; a box once. Whoever faces the open air is told from within.
    private static IEnumerable<PanelWall> Walls(JobAnalysis a)
    {
        var (told, boxes) = (new HashSet<(string, int)>(), new HashSet<string>());
        foreach (var room in a.House.Rooms.Where(r => !r.Room.Kind.OpenAir()))
        {
            for (var w = 0; w < room.Walls.Length; w++)
            {
                var body = WallBody.Of(a.House, room, w);
                if (body.Build != WallBuild.InsulatedPanel || !told.Add((room.Room.Id, w)))
                    continue;
                foreach (var other in body.Facing.Where(f => f.To - f.From > f.Room.Walls[f.Wall].Length - Length.Inches(2)))
                    told.Add((other.Room.Room.Id, other.Wall));
                var wall = Wall(a, room, w, body);
                yield return wall with
                {
                    Boxes = [.. wall.Boxes.Where(b => boxes.Add(b.Box))],
                };
            }
        }
    }

    private static PanelWall Wall(JobAnalysis a, RoomShape room, int wall, WallBody body)
    {
        var cables = WallCables.Of(a, room, wall);
        var ceiling = room.Room.CeilingHeight;
        var (upright, level) = (new SortedSet<long>(), new SortedSet<long>());
        foreach (var (from, to) in cables.Cables.SelectMany(c => c.Path.Zip(c.Path.Skip(1))))
        {
            if ((from.Along - to.Along).Abs() < Length.Inches(1))
                Add(upright, Station(room, wall, from.Along));
            else
                Add(level, from.Height.RoundTo(Length.Inches(1)));
        }

        // What lies nearer to each other than a chase is wide is one chase.
        static void Add(SortedSet<long> chases, Length at)
        {
            if (!chases.Any(c => (new Length(c) - at).Abs() <= Length.Inches(ChaseIn)))
                chases.Add(at.Units);
        }

        ImmutableArray<PanelHole> holes =
        [
            .. cables
                .Holes.Where(h => h.At.Height <= Length.Zero || h.At.Height >= ceiling - Length.Inches(2))
                .Select(h => new PanelHole(Station(room, wall, h.At.Along), h.At.Height <= Length.Zero, h.BitSixteenths, h.Cables))
                .OrderBy(h => h.Station),
        ];
        ImmutableArray<PanelBox> boxes =
        [
            .. a
                .Job.Decisions.Boxes.Where(b => b.Room == room.Room.Id && b.Wall == wall)
                .Concat(body.Facing.SelectMany(f => a.Job.Decisions.Boxes.Where(b => b.Room == f.Room.Room.Id && b.Wall == f.Wall)))
                .Select(b => new PanelBox(
                    b.Id,
                    b.Room == room.Room.Id
                        ? Station(room, wall, b.Along)
                        : Station(room, wall, room.Walls[wall].Along(Places.Of(a.House, b))),
                    b.Height,
                    BoxBody.Wide(a.Job, b),
                    a.Specs[b.Id].Entry?.Name ?? a.Specs[b.Id].Device
                ))
                .Where(b => b.Station >= Length.Zero && b.Station <= room.Walls[wall].Length)
                .OrderBy(b => b.Station),
        ];
        return new(
            $"{room.Room.Name}, {LabelWriter.Facing(room, wall)} wall",
            room.Walls[wall].Length,
            ceiling,
            [.. upright.Select(u => new Length(u))],
            [.. level.Select(l => new Length(l))],
            ChaseIn,
            body.Fact?.ChaseHeight,
            body.Fact?.ChaseStations,
            holes,
            boxes
        );
    }

    private static Length Station(RoomShape room, int wall, Length along) =>
        Length.Min(
            (room.RightIsAlong(wall) ? along : room.Walls[wall].Length - along).RoundTo(Length.Inches(0.5)),
            room.Walls[wall].Length
        );

    private static IEnumerable<FramerLine> Lines(JobAnalysis a)
    {
        foreach (var p in a.Job.Panels)
        {
            var room = a.House[p.Room];
            var body = WallBody.Of(a.House, room, p.Wall);
            var at =
                $"{LabelWriter.Facing(room, p.Wall)} wall, {LengthText.Show(Station(room, p.Wall, p.Along), a.Units)} from the left corner";
            if (body.Build == WallBuild.MetalStud)
                yield return new(room.Room.Id, Backing, at, $"top at {LengthText.Show(p.Top, a.Units)}", $"{p.Name} on steel studs");
            else
                yield return new(
                    room.Room.Id,
                    "No stud",
                    at,
                    $"within {LengthText.Show(HalfCabinet, a.Units)} to either side",
                    $"{p.Name} stands between two studs"
                );
        }

        foreach (var box in a.Job.Decisions.Boxes)
        {
            var spec = a.Specs[box.Id];
            var at = BoxSchedule.Place(a.House, box);
            if (spec.FanRated)
                yield return new(box.Room, "Block or brace", at, "between joists, for a fan", $"{box.Id}, box listed for a fan");
            else if (box.Fixture == LightStyle.Pendant)
                yield return new(box.Room, "Block or brace", at, "between joists, for a heavy light", box.Id);
            else if (box.Fixture == LightStyle.Recessed)
                yield return new(
                    box.Room,
                    "No joist",
                    at,
                    $"within {LengthText.Show(CanClear, a.Units)} of it",
                    $"{box.Id}, recessed light"
                );
            if (spec.Stud is { Needs: "bar or block" } far)
                yield return new(
                    box.Room,
                    "Block",
                    at,
                    $"middle at {LengthText.Show(box.Height, a.Units)}, stud {LengthText.Show(far.Off, a.Units)} away",
                    box.Id
                );
            else if (spec.Stud is { Needs: "moves beside the stud" } near)
                yield return new(
                    box.Room,
                    "No stud",
                    at,
                    $"within {LengthText.Show(Length.Inches(BoxBody.Wide(a.Job, box) / 2), a.Units)} of it; "
                        + $"the layout has one {LengthText.Show(near.Off, a.Units)} away",
                    box.Id
                );
        }
    }
}

/// <summary>A wall of insulated panels. Stations are from the left corner as one faces it from the named room.</summary>
/// <param name="Where">Which.</param>
/// <param name="Long">Its length.</param>
/// <param name="Tall">Its height.</param>
/// <param name="Upright">Stations of upright chases that cables use.</param>
/// <param name="Level">Heights of level chases that cables use.</param>
/// <param name="ChaseIn">Diameter of a chase, in inches.</param>
/// <param name="StatedHeight">The height of the level chase as the job states it; none where it does not.</param>
/// <param name="StatedStations">The distance of upright chases as the job states it; none where it does not.</param>
/// <param name="Holes">Holes through its foot and its head.</param>
/// <param name="Boxes">Boxes to cut out.</param>
public sealed record PanelWall(
    string Where,
    Length Long,
    Length Tall,
    ImmutableArray<Length> Upright,
    ImmutableArray<Length> Level,
    double ChaseIn,
    Length? StatedHeight,
    Length? StatedStations,
    ImmutableArray<PanelHole> Holes,
    ImmutableArray<PanelBox> Boxes
);

/// <summary>A hole through the foot or the head of a wall.</summary>
/// <param name="Station">From the left corner.</param>
/// <param name="Floor">Through the floor below it; else through the head.</param>
/// <param name="BitSixteenths">Its diameter in sixteenths of an inch.</param>
/// <param name="Cables">Cables through it.</param>
public sealed record PanelHole(Length Station, bool Floor, int BitSixteenths, int Cables);

/// <summary>A box in a wall of insulated panels.</summary>
/// <param name="Box">Its id.</param>
/// <param name="Station">Its middle from the left corner.</param>
/// <param name="Height">Its middle over the floor.</param>
/// <param name="WideIn">How wide, in inches.</param>
/// <param name="What">The box.</param>
public sealed record PanelBox(string Box, Length Station, Length Height, double WideIn, string What);

/// <summary>Something for the framer.</summary>
/// <param name="Room">The room's id.</param>
/// <param name="What">What to put there or leave out.</param>
/// <param name="Where">Where a tape finds it.</param>
/// <param name="How">How large, how near.</param>
/// <param name="For">What it is for.</param>
public sealed record FramerLine(string Room, string What, string Where, string How, string For);
