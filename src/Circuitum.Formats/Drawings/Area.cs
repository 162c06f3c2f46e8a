namespace Circuitum.Formats.Drawings;

/// <summary>A rectangle in pixels of the view that is composed.</summary>
/// <param name="X0">Its left edge.</param>
/// <param name="Y0">Its upper edge.</param>
/// <param name="X1">Its right edge.</param>
/// <param name="Y1">Its lower edge.</param>
public readonly record struct Area(double X0, double Y0, double X1, double Y1)
{
    // Edges that only touch lie beside each other.
    private const double Touch = 0.01;

    /// <summary>How wide it is.</summary>
    public double Wide => X1 - X0;

    /// <summary>How tall it is.</summary>
    public double Tall => Y1 - Y0;

    /// <summary>One of a width and height around a middle.</summary>
    public static Area Around(double x, double y, double wide, double tall) =>
        new(x - (wide / 2), y - (tall / 2), x + (wide / 2), y + (tall / 2));

    /// <summary>Whether it has room in common with another.</summary>
    public bool Overlaps(Area other) => X0 < other.X1 - Touch && other.X0 < X1 - Touch && Y0 < other.Y1 - Touch && other.Y0 < Y1 - Touch;

    /// <summary>Whether all of it is in another.</summary>
    public bool Within(Area other) => X0 >= other.X0 && X1 <= other.X1 && Y0 >= other.Y0 && Y1 <= other.Y1;

    /// <summary>It with a margin all around; a negative one makes it smaller.</summary>
    public Area Grow(double by) => new(X0 - by, Y0 - by, X1 + by, Y1 + by);

    /// <summary>It at another place.</summary>
    public Area Move(double dx, double dy) => new(X0 + dx, Y0 + dy, X1 + dx, Y1 + dy);

    /// <summary>It moved by a place.</summary>
    public Area Move((double X, double Y) by) => Move(by.X, by.Y);

    /// <summary>It in another unit.</summary>
    public Area Scaled(double by) => new(X0 * by, Y0 * by, X1 * by, Y1 * by);

    /// <summary>Pixels from it to another, 0 where they touch or overlap.</summary>
    public double To(Area other)
    {
        var dx = Math.Max(0, Math.Max(other.X0 - X1, X0 - other.X1));
        var dy = Math.Max(0, Math.Max(other.Y0 - Y1, Y0 - other.Y1));
        return Math.Sqrt((dx * dx) + (dy * dy));
    }
}
