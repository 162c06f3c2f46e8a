namespace Circuitum.Core.Measure;

/// <summary>A place on a storey's plan: east of and south of the storey's origin (the page's x to the right, y down).</summary>
/// <param name="X">To the east.</param>
/// <param name="Y">To the south.</param>
public readonly record struct Point(Length X, Length Y)
{
    /// <summary>The straight distance to another point, in inches.</summary>
    public double InchesTo(Point other)
    {
        var dx = X.InInches - other.X.InInches;
        var dy = Y.InInches - other.Y.InInches;
        return Math.Sqrt((dx * dx) + (dy * dy));
    }

    /// <summary>The distance along the two axes, as cable runs through a frame.</summary>
    public Length RectilinearTo(Point other) => (X - other.X).Abs() + (Y - other.Y).Abs();
}
