using Circuitum.Core.Analysis;
using Circuitum.Core.Commands;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using NetTopologySuite.Geometries;

namespace Circuitum.Core.Checks;

/// <summary>Doors that swing into each other.</summary>
internal sealed class PlanSwingRule : CheckedRule
{
    internal override string Id => "plan.swing";

    private const double Hair = 0.25;

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        var swings = a
            .House.Rooms.SelectMany(r =>
                r.Openings.Where(o => o.Opening.Kind == OpeningKind.Hinged && o.Opening.Room == r.Room.Id)
                    .Select(o => (Room: r, Door: o, Area: Swing(r, o)))
            )
            .ToList();
        for (var i = 0; i < swings.Count; i++)
        {
            for (var j = i + 1; j < swings.Count; j++)
            {
                var (one, two) = (swings[i], swings[j]);
                if (one.Room.Room.Storey != two.Room.Room.Storey || !one.Area.EnvelopeInternal.Intersects(two.Area.EnvelopeInternal))
                    continue;
                if (one.Area.Intersection(two.Area).Area / 144 < Hair)
                    continue;
                var (o, room) = (two.Door.Opening, two.Room);
                yield return Breach(
                    a,
                    $"The door to {Where(a, one.Door)} and the door to {Where(a, two.Door)} swing through the same place.",
                    Subject.Opening(one.Door.Opening.Id),
                    Subject.Opening(o.Id)
                ) with
                {
                    Fix = new(
                        $"Let the door of {room.Room.Name} swing the other way",
                        new EditOpening(o.Id, OpeningKind.Hinged, o.From, o.Width, o.Hinge, !o.SwingsIn, o.Sill, o.Head)
                    ),
                };
            }
        }
    }

    private static string Where(JobAnalysis a, RoomOpening o) => o.Beyond is { } beyond ? a.House[beyond].Room.Name : "outside";

    // The quarter that the leaf sweeps, as a fan of a few corners.
    private static Polygon Swing(RoomShape room, RoomOpening o)
    {
        var (hinge, latch) = o.Hinge == End.Start ? (o.From, o.To) : (o.To, o.From);
        var width = o.Opening.Width.InInches;
        var (h, l) = (room.On(o.Wall, hinge), room.On(o.Wall, latch));
        var leaf = room.On(o.Wall, hinge, o.SwingsIn ? width : -width);
        var (ux, uy) = ((l.X - h.X).InInches / width, (l.Y - h.Y).InInches / width);
        var (vx, vy) = ((leaf.X - h.X).InInches / width, (leaf.Y - h.Y).InInches / width);
        var ring = new List<Coordinate> { new(h.X.InInches, h.Y.InInches) };
        for (var step = 0; step <= 6; step++)
        {
            var (c, s) = (Math.Cos(step * Math.PI / 12) * width, Math.Sin(step * Math.PI / 12) * width);
            ring.Add(new(h.X.InInches + (ux * c) + (vx * s), h.Y.InInches + (uy * c) + (vy * s)));
        }

        ring.Add(ring[0].Copy());
        return new(new LinearRing([.. ring]));
    }
}
