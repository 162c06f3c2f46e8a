using System.Globalization;
using System.Text;
using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using NetTopologySuite.Geometries;
using NetTopologySuite.Operation.Buffer;
using NetTopologySuite.Operation.Union;
using Point = Circuitum.Core.Measure.Point;

namespace Circuitum.Formats.Dxf;

/// <summary>
/// Writes a storey as an ASCII drawing exchange file of the twelfth release, in inches, y up. Layers: ROOMS (inside
/// outlines), ROOM-KIND (a word in each), WALLS, DOOR-*, WINDOW, FIXTURES, BOXES, TEXT.
/// </summary>
public static class DxfWriter
{
    /// <summary>Writes a storey.</summary>
    public static string Write(JobAnalysis a, string storey)
    {
        var w = new Pairs();
        var rooms = a.House.Rooms.Where(r => r.Room.Storey == storey).ToList();
        w.Add(0, "SECTION").Add(2, "HEADER").Add(9, "$INSUNITS").Add(70, "1").Add(0, "ENDSEC");
        w.Add(0, "SECTION").Add(2, "ENTITIES");
        foreach (var room in rooms)
        {
            w.Polyline("ROOMS", room.Room.Outline);
            w.Text("TEXT", room.Centre, 6, room.Room.Name);
            w.Text(KindLayer, room.Centre, 3, TradeEnumConverter.Word(room.Room.Kind.ToString()));
            foreach (var o in room.Openings.Where(o => o.Opening.Room == room.Room.Id))
                Opening(w, room, o);
        }

        foreach (var ring in WallRings(a, rooms))
            w.Polyline("WALLS", ring);
        var spots = a
            .Job.Counters.Select(c => (c.Room, c.Spot))
            .Concat(a.Job.Fixtures.Select(f => (f.Room, f.Spot)))
            .Concat(a.Job.Appliances.Select(x => (x.Room, x.Spot)));
        foreach (var (room, spot) in spots.Where(s => a.House[s.Room].Room.Storey == storey))
        {
            var (west, north, east, south) = Places.Box(a.House[room], spot);
            w.Polyline("FIXTURES", [P(west, north), P(east, north), P(east, south), P(west, south)]);
        }

        foreach (var box in a.Job.Decisions.Boxes.Where(b => a.House[b.Room].Room.Storey == storey))
        {
            var at = Places.Of(a.House, box);
            w.Circle("BOXES", at, 4);
            w.Text("BOXES", at, 3, $"{box.Id}{(a.CircuitOf(box.Id) is { } c ? $" ckt {c.Number}" : "")}");
        }

        return w.Add(0, "ENDSEC").Add(0, "EOF").ToString();
    }

    internal const string KindLayer = "ROOM-KIND";

    internal static string Layer(OpeningKind kind) =>
        kind switch
        {
            OpeningKind.Window => "WINDOW",
            OpeningKind.Cased => "DOOR-CASED",
            OpeningKind.GarageDoor => "DOOR-GARAGE",
            OpeningKind.Pocket => "DOOR-POCKET",
            OpeningKind.Sliding => "DOOR-SLIDING",
            _ => "DOOR-HINGED",
        };

    private static Point P(double x, double y) => new(Length.Inches(x), Length.Inches(y));

    // A line from jamb to jamb on the face of the room on whose wall it is given, first the hinge; for a door the swing.
    private static void Opening(Pairs w, RoomShape room, RoomOpening o)
    {
        var layer = Layer(o.Opening.Kind);
        var (hinge, latch) = o.Hinge == End.Start ? (o.From, o.To) : (o.To, o.From);
        var (h, l) = (room.On(o.Wall, hinge), room.On(o.Wall, latch));
        w.Line(layer, h, l);
        if (o.Opening.Kind != OpeningKind.Hinged)
            return;
        var leaf = room.On(o.Wall, hinge, o.SwingsIn ? o.Opening.Width.InInches : -o.Opening.Width.InInches);
        double Angle(Point p) => Math.Atan2(-(p.Y - h.Y).InInches, (p.X - h.X).InInches) * 180 / Math.PI;
        var (a, b) = (Angle(l), Angle(leaf));
        if (((b - a + 360) % 360) > 180)
            (a, b) = (b, a);
        w.Arc(layer, h, o.Opening.Width.InInches, a, b);
    }

    // What is left between the floors and inside the outer line, cut at the openings.
    private static IEnumerable<List<Point>> WallRings(JobAnalysis a, List<RoomShape> rooms)
    {
        var grow = new BufferParameters(1, EndCapStyle.Flat, JoinStyle.Mitre, 5);
        var closed = rooms.Where(r => !r.Room.Kind.OpenAir()).ToList();
        if (closed.Count == 0)
            yield break;
        static Polygon Of(IEnumerable<Point> ring)
        {
            var all = ring.Select(p => new Coordinate(p.X.InInches, -p.Y.InInches)).ToList();
            all.Add(all[0].Copy());
            return new(new LinearRing([.. all]));
        }

        var outer = UnaryUnionOp.Union(closed.Select(r => BufferOp.Buffer(Of(r.Room.Outline), a.Job.Frame.OutsideWall.InInches, grow)));
        var cut = UnaryUnionOp.Union(
            closed
                .Select(r => (NetTopologySuite.Geometries.Geometry)Of(r.Room.Outline))
                .Concat(
                    rooms.SelectMany(r =>
                        r.Openings.Where(o => o.Opening.Room == r.Room.Id && o.Opening.Kind != OpeningKind.Window)
                            .Select(o =>
                                (NetTopologySuite.Geometries.Geometry)Of([
                                    r.On(o.Wall, o.From, 0.1),
                                    r.On(o.Wall, o.To, 0.1),
                                    r.On(o.Wall, o.To, -HouseShape.ThickestWallInches),
                                    r.On(o.Wall, o.From, -HouseShape.ThickestWallInches),
                                ])
                            )
                    )
                )
        );
        var mass = outer.Difference(cut);
        for (var i = 0; i < mass.NumGeometries; i++)
        {
            if (mass.GetGeometryN(i) is not Polygon p)
                continue;
            foreach (var ring in p.Holes.Prepend(p.Shell))
                yield return [.. ring.Coordinates.SkipLast(1).Select(c => P(c.X, -c.Y))];
        }
    }

    private sealed class Pairs
    {
        private readonly StringBuilder text = new();

        public Pairs Add(int code, string value)
        {
            text.Append(CultureInfo.InvariantCulture, $"{code, 3}\n{value}\n");
            return this;
        }

        public override string ToString() => text.ToString();

        public void Line(string layer, Point a, Point b) => At(At(Add(0, "LINE").Add(8, layer), 10, a), 11, b);

        public void Circle(string layer, Point at, double radius) => At(Add(0, "CIRCLE").Add(8, layer), 10, at).Add(40, N(radius));

        public void Arc(string layer, Point at, double radius, double from, double to) =>
            At(Add(0, "ARC").Add(8, layer), 10, at).Add(40, N(radius)).Add(50, N(from)).Add(51, N(to));

        // Control characters and line ends would break the pairs; the rest is written as it is.
        public void Text(string layer, Point at, double height, string words) =>
            At(Add(0, "TEXT").Add(8, layer), 10, at).Add(40, N(height)).Add(1, new string([.. words.Where(c => !char.IsControl(c))]));

        public void Polyline(string layer, IEnumerable<Point> corners)
        {
            Add(0, "POLYLINE").Add(8, layer).Add(66, "1").Add(70, "1");
            foreach (var p in corners)
                At(Add(0, "VERTEX").Add(8, layer), 10, p);
            Add(0, "SEQEND");
        }

        private static Pairs At(Pairs w, int code, Point p) => w.Add(code, N(p.X.InInches)).Add(code + 10, N(-p.Y.InInches));

        private static string N(double value) => value.ToString("0.########", CultureInfo.InvariantCulture);
    }
}
