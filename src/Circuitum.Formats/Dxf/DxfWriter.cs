using Circuitum.Core.Analysis;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Formats.Drawings;
using NetTopologySuite.Geometries;
using NetTopologySuite.Operation.Buffer;
using NetTopologySuite.Operation.Union;
using Point = Circuitum.Core.Measure.Point;

namespace Circuitum.Formats.Dxf;

/// <summary>
/// Writes a storey as an ASCII drawing exchange file of the twelfth release, in inches or millimetres as the job is told, y up: the
/// shapes of the plan by their roles
/// (<see cref="DxfShapes"/>), the walls as outlines, and what is read back in: ROOM-NAME, ROOM-KIND, ROOM-CEILING, DOOR-*, WINDOW.
/// </summary>
public static class DxfWriter
{
    /// <summary>Writes a storey.</summary>
    public static string Write(JobAnalysis a, string storey)
    {
        var w = new DxfPairs(a.Units);
        var rooms = a.House.Rooms.Where(r => r.Room.Storey == storey).ToList();
        w.Add(0, "SECTION")
            .Add(2, "HEADER")
            .Add(9, "$INSUNITS")
            .Add(70, a.Units == LengthUnits.Metric ? Millimetres : Inches)
            .Add(0, "ENDSEC");
        w.Add(0, "SECTION").Add(2, "ENTITIES");
        foreach (var room in rooms)
        {
            // What is read back in when the file comes home again: the name in its room, its kind, its height, and the openings.
            w.Text("ROOM-NAME", room.Centre, 6, room.Room.Name);
            w.Text(KindLayer, room.Centre, 3, TradeEnumConverter.Word(room.Room.Kind.ToString()));
            var under = new Point(room.Centre.X, room.Centre.Y + Length.Inches(6));
            w.Text(CeilingLayer, under, 3, $"{CeilingNote.Word} {LengthText.Print(room.Room.CeilingHeight, a.Units)}");
            foreach (var o in room.Openings.Where(o => o.Opening.Room == room.Room.Id))
                Opening(w, room, o);
        }

        foreach (var ring in WallRings(w, a, rooms))
            w.Polyline("WALLS", ring);
        DxfShapes.Write(w, PlanComposer.Compose(a, new PlanView(storey, PlanStage.Circuits) { AtScale = PixelsPerInch }));
        return w.Add(0, "ENDSEC").Add(0, "EOF").ToString();
    }

    // As large as letters and symbols stand on a plan of 3/16 in to the foot.
    private const double PixelsPerInch = 1.6;

    // What an $INSUNITS of a drawing says.
    private const string Inches = "1",
        Millimetres = "4";

    internal const string KindLayer = "ROOM-KIND";

    private const string CeilingLayer = "ROOM-CEILING";

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

    // A line from jamb to jamb on the face of the room on whose wall it is given, first the hinge; for a door the swing.
    private static void Opening(DxfPairs w, RoomShape room, RoomOpening o)
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
    private static IEnumerable<List<Point>> WallRings(DxfPairs w, JobAnalysis a, List<RoomShape> rooms)
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
                yield return [.. ring.Coordinates.SkipLast(1).Select(c => w.Place(c.X, -c.Y))];
        }
    }
}
