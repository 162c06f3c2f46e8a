using SkiaSharp;

namespace Circuitum.Formats.Pictures;

/// <summary>How a rectangle that was seen at a slant lies flat.</summary>
internal static class Perspective
{
    // Sides that run together less than this over their length tell nothing of how far the rectangle leans away.
    private const double Flat = 0.03;

    /// <summary>What brings the four corners, clockwise from the upper left, onto an upright rectangle.</summary>
    internal static SKMatrix Onto((double X, double Y)[] quad, double left, double top, double wide, double tall)
    {
        var seen = OfUnitSquare(quad);
        if (!seen.TryInvert(out var unit))
            throw new ArgumentException("The corners lie on one line.", nameof(quad));
        return SKMatrix.Concat(new SKMatrix((float)wide, 0, (float)left, 0, (float)tall, (float)top, 0, 0, 1), unit);
    }

    // The unit square seen as four corners: eight equations of which those in the far terms are solved first.
    private static SKMatrix OfUnitSquare((double X, double Y)[] q)
    {
        var (dx1, dy1) = (q[1].X - q[2].X, q[1].Y - q[2].Y);
        var (dx2, dy2) = (q[3].X - q[2].X, q[3].Y - q[2].Y);
        var (sx, sy) = (q[0].X - q[1].X + q[2].X - q[3].X, q[0].Y - q[1].Y + q[2].Y - q[3].Y);
        var all = (dx1 * dy2) - (dx2 * dy1);
        var (g, h) = (((sx * dy2) - (dx2 * sy)) / all, ((dx1 * sy) - (sx * dy1)) / all);
        return new SKMatrix(
            (float)(q[1].X - q[0].X + (g * q[1].X)),
            (float)(q[3].X - q[0].X + (h * q[3].X)),
            (float)q[0].X,
            (float)(q[1].Y - q[0].Y + (g * q[1].Y)),
            (float)(q[3].Y - q[0].Y + (h * q[3].Y)),
            (float)q[0].Y,
            (float)g,
            (float)h,
            1
        );
    }

    /// <summary>
    /// Width by height of a rectangle of which four corners are seen, clockwise from the upper left, through a lens whose axis meets the
    /// picture in its middle: the two directions stand square in the house, so they tell how long the lens is, and that the proportion
    /// (Zhang and He, whiteboard scanning).
    /// </summary>
    internal static double Proportion((double X, double Y)[] quad, double middleX, double middleY)
    {
        var q = quad.Select(c => (X: c.X - middleX, Y: c.Y - middleY)).ToArray();
        var means = (Far(q[0], q[1]) + Far(q[3], q[2])) / (Far(q[1], q[2]) + Far(q[0], q[3]));
        var (m1, m2, m3, m4) = (Up(q[0]), Up(q[1]), Up(q[3]), Up(q[2]));
        var k2 = Dot(Cross(m1, m4), m3) / Dot(Cross(m2, m4), m3);
        var k3 = Dot(Cross(m1, m4), m2) / Dot(Cross(m3, m4), m2);
        var n2 = (X: (k2 * m2.X) - m1.X, Y: (k2 * m2.Y) - m1.Y, Z: k2 - 1);
        var n3 = (X: (k3 * m3.X) - m1.X, Y: (k3 * m3.Y) - m1.Y, Z: k3 - 1);

        // Seen from straight above in one direction at least, the sides themselves tell it well enough.
        if (Math.Abs(n2.Z) < Flat || Math.Abs(n3.Z) < Flat)
            return means;
        var lens = -((n2.X * n3.X) + (n2.Y * n3.Y)) / (n2.Z * n3.Z);
        if (!(lens > 0))
            return means;
        double Long((double X, double Y, double Z) n) => Math.Sqrt((((n.X * n.X) + (n.Y * n.Y)) / lens) + (n.Z * n.Z));
        return Long(n2) / Long(n3);
    }

    private static (double X, double Y, double Z) Up((double X, double Y) p) => (p.X, p.Y, 1);

    private static (double X, double Y, double Z) Cross((double X, double Y, double Z) a, (double X, double Y, double Z) b) =>
        ((a.Y * b.Z) - (a.Z * b.Y), (a.Z * b.X) - (a.X * b.Z), (a.X * b.Y) - (a.Y * b.X));

    private static double Dot((double X, double Y, double Z) a, (double X, double Y, double Z) b) =>
        (a.X * b.X) + (a.Y * b.Y) + (a.Z * b.Z);

    private static double Far((double X, double Y) a, (double X, double Y) b) =>
        Math.Sqrt(((a.X - b.X) * (a.X - b.X)) + ((a.Y - b.Y) * (a.Y - b.Y)));
}
