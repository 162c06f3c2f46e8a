using Circuitum.Core.Geometry;
using Circuitum.Core.Measure;
using NetTopologySuite.Geometries;
using Point = Circuitum.Core.Measure.Point;

namespace Circuitum.Core.Drafting;

/// <summary>From outlines that were joined or cut back to rooms.</summary>
internal static class Rings
{
    /// <summary>Where a thing on a wall of the old outline is on a new one: on the wall that lies in its line, or none.</summary>
    /// <param name="after">The new outline.</param>
    /// <param name="was">The old wall.</param>
    /// <param name="thing">The thing on it.</param>
    internal static Anchor? Find(RoomShape after, Wall was, Anchor thing)
    {
        var (from, to) = (was.At(thing.From), was.At(thing.From + thing.Width));
        var hair = Length.Inches(0.0625);
        foreach (var now in after.Walls.Where(w => (w.Dx * was.Dx) + (w.Dy * was.Dy) > 0.999))
        {
            var (s, t) = (now.Along(from), now.Along(to));
            var off = Math.Abs(((from.X - now.A.X).InInches * now.Dy) - ((from.Y - now.A.Y).InInches * now.Dx));
            if (off < 0.2 && s >= -hair && t <= now.Length + hair)
                return new Anchor(after.Room.Id, now.Index, Length.Max(Length.Zero, s), thing.Width);
        }

        return null;
    }

    // Where two lines cross that were there before, a house of metres keeps its millimetres.
    private static Length Known(double inches, IEnumerable<Length> known) =>
        known.Where(k => Math.Abs(k.InInches - inches) < 0.001).Select(k => (Length?)k).FirstOrDefault() ?? Length.Inches(inches);

    /// <summary>A ring without its doubled end and without corners that are none, each corner exactly the one it came from.</summary>
    internal static List<Point> Outline(Polygon whole, IEnumerable<Point> corners)
    {
        var known = corners.ToList();
        var ring = whole
            .ExteriorRing.Coordinates.SkipLast(1)
            .Select(c =>
            {
                var p = new Point(Known(c.X, known.Select(k => k.X)), Known(c.Y, known.Select(k => k.Y)));
                var near = known.Where(k => Math.Abs(k.X.InInches - c.X) < 0.05 && Math.Abs(k.Y.InInches - c.Y) < 0.05).ToList();
                return near.Count > 0 ? near[0] : p;
            })
            .ToList();
        for (var i = ring.Count - 1; i >= 0 && ring.Count > 3; i--)
        {
            var (before, at, after) = (ring[(i + ring.Count - 1) % ring.Count], ring[i], ring[(i + 1) % ring.Count]);
            var (ux, uy, vx, vy) = (
                (at.X - before.X).InInches,
                (at.Y - before.Y).InInches,
                (after.X - at.X).InInches,
                (after.Y - at.Y).InInches
            );
            var sizes = Math.Sqrt((ux * ux) + (uy * uy)) * Math.Sqrt((vx * vx) + (vy * vy));
            if (sizes < 0.01 || Math.Abs((ux * vy) - (uy * vx)) / sizes < 0.001)
                ring.RemoveAt(i);
        }

        // The same sense as rooms that are typed in: clockwise on the page.
        double twice = 0;
        for (var i = 0; i < ring.Count; i++)
        {
            var (p, q) = (ring[i], ring[(i + 1) % ring.Count]);
            twice += (p.X.InInches * q.Y.InInches) - (q.X.InInches * p.Y.InInches);
        }

        if (twice < 0)
            ring.Reverse();
        return ring;
    }
}
