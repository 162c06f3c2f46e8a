using System.Collections.Immutable;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Formats.Drawings;

namespace Circuitum.Formats.Pictures;

/// <summary>
/// Reads rooms and openings out of a picture of a plan whose scale is known: broad dark strokes are walls, gaps in them doors and windows,
/// rooms what they enclose. What leans a little is straightened first. A proposal: a person takes it, room by room.
/// </summary>
/// <param name="Rooms">The rooms found, their outlines from the picture's corner.</param>
/// <param name="Openings">What is in their walls.</param>
/// <param name="LeansDegrees">By how much the plan leaned.</param>
/// <param name="Problem">Why nothing was found; empty when something was.</param>
public sealed record PicturePlan(ImmutableArray<Room> Rooms, ImmutableArray<Opening> Openings, double LeansDegrees, string Problem)
{
    // To an inch of the house, so that a partition is several pixels thick and a whole house not too many.
    private const double PixelsPerInch = 2;
    private const int MostPixels = 6_000_000;
    private const double ThinnestWallInches = 3;
    private const double ThickestWallInches = 20;
    private const double LeastWallInches = 30;
    private const double EvenInches = 16;
    private const int FewRooms = 3;
    private const double LeastSqFt = 5;
    private const double MostOverlapSqFt = 0.1;
    private const double MuchOfIt = 0.25;
    private const int Uneven = 2;
    private const double LeastJogInches = 5;

    /// <summary>For each room where its name is written, in inches from the picture's corner; none where no letters are.</summary>
    public ImmutableArray<Area?> Names { get; private init; } = [];

    /// <summary>Reads a picture.</summary>
    /// <param name="bytes">The file.</param>
    /// <param name="width">How wide the picture is on the plan.</param>
    /// <param name="height">How tall.</param>
    /// <param name="storey">The storey of the rooms.</param>
    /// <param name="ceiling">Their height.</param>
    /// <param name="frame">How thick walls usually are.</param>
    public static PicturePlan Read(byte[] bytes, Length width, Length height, string storey, Length ceiling, Frame frame)
    {
        var area = width.InInches * height.InInches;
        var perInch = Math.Min(PixelsPerInch, Math.Sqrt(MostPixels / Math.Max(1, area)));
        if (perInch < 0.8)
            return None("The picture shows more than a house: set its scale, or lay one storey under alone.");
        var (picture, problem) = GrayPicture.Read(bytes, (int)Math.Round(width.InInches * perInch));
        if (picture is null)
            return None(problem);
        picture = picture.Even((int)Math.Ceiling(EvenInches * perInch));

        // Walls are filled, or else paper between two lines: what encloses more rooms is the plan. Where neither encloses any, the first
        // says more of why.
        var filled = Read(picture, hollow: false, perInch, storey, ceiling, frame);
        if (filled.Rooms.Length > FewRooms)
            return filled;
        var hollow = Read(picture, hollow: true, perInch, storey, ceiling, frame);
        return hollow.Rooms.Length > filled.Rooms.Length ? hollow : filled;
    }

    private static PicturePlan Read(GrayPicture picture, bool hollow, double perInch, string storey, Length ceiling, Frame frame)
    {
        var lean = Skew.Of(WallsOf(Mask.Ink(picture, picture.Threshold()), hollow, perInch));
        if (Math.Abs(lean) > 0.0005)
            picture = picture.Turned(lean);
        var ink = Mask.Ink(picture, picture.Threshold());
        var walls = WallsOf(ink, hollow, perInch).Smooth();
        walls.Drop(LeastWallInches * perInch);
        if (hollow)
            HollowWalls.Close(walls, perInch);

        var share = walls.Share;
        if (share is < 0.003 or > 0.5)
            return None("No walls are told from paper in it: it wants walls drawn dark or between two lines, on light paper, evenly lit.");

        var gaps = new GapFinder(walls, perInch).Find();
        if (hollow)
            gaps.AddRange(HollowWalls.Windows(walls, ink, perInch));
        foreach (var gap in gaps)
        {
            // A little into both jambs, whose edges are even only to a pixel.
            var (dx, dy) = gap.Across ? (Uneven, 0) : (0, Uneven);
            for (var y = Math.Max(0, gap.Y0 - dy); y < Math.Min(walls.Tall, gap.Y1 + dy); y++)
            {
                for (var x = Math.Max(0, gap.X0 - dx); x < Math.Min(walls.Wide, gap.X1 + dx); x++)
                    walls[x, y] = true;
            }
        }

        var rooms = Enclosed(walls, perInch, storey, ceiling);
        if (rooms.Length == 0)
            return None("No room is enclosed by its walls. Is the scale set, and is it one storey?");
        var shapes = rooms.Select(r => new RoomShape(r)).ToList();
        return new(rooms, InGaps(shapes, gaps, ink, perInch, frame), lean * 180 / Math.PI, "")
        {
            Names = [.. NamePlaces.Of(ink, walls, shapes, perInch)],
        };
    }

    private static Mask WallsOf(Mask ink, bool hollow, double perInch)
    {
        var side = Math.Max(2, (int)Math.Round(ThinnestWallInches * perInch));
        var broad = (hollow ? HollowWalls.Filled(ink, perInch) : ink).Broad(side);

        // What is dark farther than any wall is thick is the table under the sheet, or a shadow.
        broad.Remove(broad.Broad((int)Math.Round(ThickestWallInches * perInch)));
        return broad;
    }

    private static PicturePlan None(string problem) => new([], [], 0, problem);

    private static ImmutableArray<Room> Enclosed(Mask walls, double perInch, string storey, Length ceiling)
    {
        var rooms = ImmutableArray.CreateBuilder<Room>();
        foreach (var piece in walls.Pieces(false))
        {
            if (piece.Count < LeastSqFt * 144 * perInch * perInch || rooms.Count >= Core.Intake.JobRules.MostRooms)
                continue;
            if (piece.Exists(p => p.X == 0 || p.Y == 0 || p.X == walls.Wide - 1 || p.Y == walls.Tall - 1))
                continue;
            var edge = Outlines.Edge(piece);
            var outline = SlantedOutline.Of(edge, perInch)
                ?? [.. Outlines.Straight(edge, LeastJogInches * perInch).Select(p => ((double)p.X, (double)p.Y))];
            if (outline.Count is < 4 or > Core.Intake.JobRules.MostCorners)
                continue;
            var corners = outline.Select(p => new Point(Inches(p.X / perInch), Inches(p.Y / perInch))).ToImmutableArray();
            if (!HouseShape.IsSimple(corners))
                continue;
            rooms.Add(
                new()
                {
                    Id = $"room-{rooms.Count}",
                    Kind = RoomKind.Living,
                    Storey = storey,
                    CeilingHeight = ceiling,
                    Outline = corners,
                }
            );
        }

        // What holds several rooms is the sheet around the house, or the house. A corner that a door's leaf and a stray line cut off lies
        // in the room of which it is part.
        var sized = rooms.Select(r => (Room: r, SqFt: new RoomShape(r).AreaSqFt)).ToList();
        bool Holds((Room Room, double SqFt) large, (Room Room, double SqFt) small) =>
            large.SqFt > small.SqFt && HouseShape.OverlapSqFt(large.Room, small.Room) > MostOverlapSqFt;
        bool IsSheet((Room Room, double SqFt) large)
        {
            var held = sized.Where(small => Holds(large, small)).ToList();
            return held.Count > 1 && held.Sum(h => h.SqFt) > large.SqFt * MuchOfIt;
        }

        var sheets = sized.Where(IsSheet).ToList();
        sized.RemoveAll(sheets.Contains);
        return
        [
            .. sized
                .Where(small => !sized.Exists(large => Holds(large, small)))
                .Select((r, i) => r.Room with { Id = $"room-{i + 1}", Name = $"Room {i + 1}" }),
        ];
    }

    private static Length Inches(double inches) => Length.Inches(inches).RoundTo(Length.Inches(0.5));

    private static ImmutableArray<Opening> InGaps(List<RoomShape> shapes, List<WallGap> gaps, Mask ink, double perInch, Frame frame)
    {
        var reader = new GapReader(ink, perInch);
        var openings = ImmutableArray.CreateBuilder<Opening>();
        var farthest = frame.OutsideWall.InInches + 6;
        foreach (var gap in gaps.Take(Core.Intake.JobRules.MostOpenings))
        {
            var middle = new Point(Length.Inches((gap.X0 + gap.X1) / 2.0 / perInch), Length.Inches((gap.Y0 + gap.Y1) / 2.0 / perInch));
            var beside = shapes
                .Select(s => (Shape: s, Near: s.Nearest(middle)))
                .Where(n => Off(n.Shape, middle) <= farthest && Runs(n.Shape.Walls[n.Near.Wall], gap.Across))
                .OrderBy(n => Off(n.Shape, middle))
                .Take(2)
                .ToList();
            if (beside.Count == 0)
                continue;
            var (kind, atEnd, toHigh) = reader.Read(gap, beside.Count == 1);

            // Of two rooms the one into which the leaf swings says where it is.
            var high = beside.MaxBy(n => gap.Across ? n.Shape.Centre.Y : n.Shape.Centre.X);
            var own = beside.Count == 2 && kind == OpeningKind.Hinged ? (toHigh ? high : beside.First(n => n != high)) : beside[0];
            var wall = own.Shape.Walls[own.Near.Wall];
            var width = Length.Min(Inches(gap.Length / perInch), wall.Length);
            var from = Length.Max(Length.Zero, Length.Min(own.Near.Along - (width / 2), wall.Length - width));
            var inHigh = gap.Across ? own.Shape.Centre.Y > middle.Y : own.Shape.Centre.X > middle.X;
            var forward = gap.Across ? wall.Dx > 0 : wall.Dy > 0;
            var other = beside.Find(n => n.Shape != own.Shape).Shape;
            openings.Add(
                new()
                {
                    Id = $"opening-{openings.Count + 1}",
                    Kind = kind,
                    Room = own.Shape.Room.Id,
                    Wall = wall.Index,
                    From = from,
                    Width = width,
                    To = other?.Room.Id ?? Opening.Outside,
                    Hinge = atEnd == forward ? End.Finish : End.Start,
                    SwingsIn = kind != OpeningKind.Hinged || toHigh == inHigh,
                }
            );
        }

        return openings.ToImmutable();

        static double Off(RoomShape shape, Point at) => shape.InchesToWall(at);
        static bool Runs(Wall wall, bool across) => across ? Math.Abs(wall.Dx) > 0.5 : Math.Abs(wall.Dy) > 0.5;
    }
}
