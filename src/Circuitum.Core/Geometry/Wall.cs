using Circuitum.Core.Measure;

namespace Circuitum.Core.Geometry;

/// <summary>One wall of a room: a straight piece of its outline.</summary>
/// <param name="Index">Its number in the room.</param>
/// <param name="A">First corner.</param>
/// <param name="B">Second corner.</param>
/// <param name="Length">From corner to corner.</param>
/// <param name="Start">Where it begins on the room's perimeter.</param>
public sealed record Wall(int Index, Point A, Point B, Length Length, Length Start)
{
    /// <summary>Where it ends on the room's perimeter.</summary>
    public Length End => Start + Length;

    /// <summary>East component of its direction, from -1 to 1.</summary>
    public double Dx { get; } = (B.X - A.X).InInches / Length.InInches;

    /// <summary>South component of its direction, from -1 to 1.</summary>
    public double Dy { get; } = (B.Y - A.Y).InInches / Length.InInches;

    /// <summary>
    /// The point at a distance from the first corner, and away from the wall by <paramref name="offset"/> inches along a normal.
    /// </summary>
    public Point At(Length along, double offset = 0, double nx = 0, double ny = 0) =>
        new(A.X + Scale(along, Dx) + Measure.Length.Inches(offset * nx), A.Y + Scale(along, Dy) + Measure.Length.Inches(offset * ny));

    /// <summary>How far along the wall a point lies, seen square on it; exact on walls that run with the page.</summary>
    public Length Along(Point p) =>
        Dx is 1 or -1 ? (Dx > 0 ? p.X - A.X : A.X - p.X)
        : Dy is 1 or -1 ? (Dy > 0 ? p.Y - A.Y : A.Y - p.Y)
        : Measure.Length.Inches(((p.X - A.X).InInches * Dx) + ((p.Y - A.Y).InInches * Dy));

    private static Length Scale(Length length, double factor) =>
        factor switch
        {
            1 => length,
            -1 => -length,
            0 => Measure.Length.Zero,
            _ => new Length((long)Math.Round(length.Units * factor)),
        };
}
