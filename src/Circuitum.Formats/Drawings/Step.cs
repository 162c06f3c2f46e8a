using Circuitum.Core.Measure;

namespace Circuitum.Formats.Drawings;

/// <summary>A piece of a line.</summary>
/// <param name="Kind">How it goes on.</param>
/// <param name="X">Where it ends.</param>
/// <param name="Y">Where it ends.</param>
/// <param name="Cx">Of a bow where it bends to; of an arc its radius.</param>
/// <param name="Cy">Of a bow where it bends to; of an arc 1 when it goes clockwise on the screen.</param>
public readonly record struct Step(StepKind Kind, double X, double Y, double Cx = 0, double Cy = 0)
{
    /// <summary>Begins at a place.</summary>
    public static Step From(double x, double y) => new(StepKind.From, x, y);

    /// <summary>Goes straight on to a place.</summary>
    public static Step To(double x, double y) => new(StepKind.To, x, y);

    /// <summary>Goes back to where it began.</summary>
    public static Step Close() => new(StepKind.Close, 0, 0);

    /// <summary>Begins at a place of the plan.</summary>
    public static Step From(Point p) => From(p.X.InInches, p.Y.InInches);

    /// <summary>Goes straight on to a place of the plan.</summary>
    public static Step To(Point p) => To(p.X.InInches, p.Y.InInches);

    /// <summary>A closed outline.</summary>
    public static IEnumerable<Step> Ring(IEnumerable<(double X, double Y)> corners) =>
        corners.Select((p, i) => i == 0 ? From(p.X, p.Y) : To(p.X, p.Y)).Append(Close());

    /// <summary>A circle.</summary>
    public static IEnumerable<Step> Circle(double x, double y, double r) =>
        [From(x - r, y), new(StepKind.Arc, x + r, y, r, 1), new(StepKind.Arc, x - r, y, r, 1), Close()];

    /// <summary>A rectangle.</summary>
    public static IEnumerable<Step> Rectangle(Area at) => Ring([(at.X0, at.Y0), (at.X1, at.Y0), (at.X1, at.Y1), (at.X0, at.Y1)]);
}

/// <summary>How a line goes on.</summary>
public enum StepKind
{
    /// <summary>It begins anew.</summary>
    From,

    /// <summary>Straight.</summary>
    To,

    /// <summary>In a bow that bends to a place.</summary>
    Bow,

    /// <summary>In a circle's arc of less than half a turn, or just half.</summary>
    Arc,

    /// <summary>Back to where it began.</summary>
    Close,
}
