using Circuitum.Core.Intake;
using Circuitum.Core.Measure;
using Point = Circuitum.Core.Measure.Point;

namespace Circuitum.Formats.Dxf;

/// <summary>From drawing units, y up, to the plan's lengths, y down.</summary>
internal sealed class Scale
{
    private readonly double inches;
    private readonly double dx;
    private readonly double dy;

    internal Scale(DxfDrawing drawing, double inchesPerUnit)
    {
        inches = inchesPerUnit;
        var all = drawing.Paths.SelectMany(p => p.Points).ToList();
        if (all.Count == 0)
            return;
        var far = all.Max(p => Math.Max(Math.Abs(p.X), Math.Abs(p.Y))) * inches;
        Moved = far > JobRules.Farthest.InInches * 0.9;
        if (Moved)
            (dx, dy) = (all.Min(p => p.X), all.Max(p => p.Y));
    }

    internal bool Moved { get; }

    internal Point Of(DxfPoint p) => new(Measured((p.X - dx) * inches), Measured(-(p.Y - dy) * inches));

    // In a drawing of millimetres or metres what is a whole one but for its last digits is one; no sixteenth that happens to be near.
    internal Length Measured(double value)
    {
        if (!IsMetric)
            return Exact(value);
        var millimetres = Math.Clamp(value, -Most, Most) * Length.MillimetresInInch;
        return Math.Abs(Math.Round(millimetres) - millimetres) < 0.01
            ? Length.Millimetres((long)Math.Round(millimetres))
            : Length.ExactInches(millimetres / Length.MillimetresInInch);
    }

    private static readonly double Most = JobRules.Farthest.InInches * 4;

    private bool IsMetric => Math.Abs((inches * Length.MillimetresInInch) - Math.Round(inches * Length.MillimetresInInch)) < 1e-6;

    // A sixteenth that lost a digit in the file is a sixteenth; any other number is kept as it came.
    private static Length Exact(double value)
    {
        value = Math.Clamp(value, -Most, Most);
        var sixteenth = Length.Inches(value);
        return Math.Abs(sixteenth.InInches - value) < 0.004 ? sixteenth : new Length((long)Math.Round(value * Length.UnitsPerInch));
    }
}
