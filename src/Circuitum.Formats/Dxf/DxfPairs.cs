using System.Globalization;
using System.Text;
using Circuitum.Core.Measure;

namespace Circuitum.Formats.Dxf;

/// <summary>A drawing exchange file while it is written: codes with their values, y up.</summary>
internal sealed class DxfPairs(LengthUnits units)
{
    // Of an inch, in which the plan is drawn.
    private readonly double scale = units == LengthUnits.Metric ? Length.MillimetresInInch : 1;

    private readonly StringBuilder text = new();

    public DxfPairs Add(int code, string value)
    {
        text.Append(CultureInfo.InvariantCulture, $"{code, 3}\n{value}\n");
        return this;
    }

    /// <summary>A place that was worked out: whole sixteenths again, or just what it is in millimetres.</summary>
    public Point Place(double x, double y) => new(In(x), In(y));

    private Length In(double inches) => units == LengthUnits.Metric ? Length.ExactInches(inches) : Length.Inches(inches);

    public override string ToString() => text.ToString();

    public void Line(string layer, Point a, Point b) => At(At(Add(0, "LINE").Add(8, layer), 10, a), 11, b);

    public void Circle(string layer, Point at, double radius) => At(Add(0, "CIRCLE").Add(8, layer), 10, at).Add(40, Scaled(radius));

    public void Arc(string layer, Point at, double radius, double from, double to) =>
        At(Add(0, "ARC").Add(8, layer), 10, at).Add(40, Scaled(radius)).Add(50, N(from)).Add(51, N(to));

    // Control characters and line ends would break the pairs; the rest is written as it is.
    public void Text(string layer, Point at, double height, string words) =>
        At(Add(0, "TEXT").Add(8, layer), 10, at).Add(40, Scaled(height)).Add(1, new string([.. words.Where(c => !char.IsControl(c))]));

    /// <param name="layer">The layer.</param>
    /// <param name="corners">Its corners.</param>
    /// <param name="closed">Whether it goes back to where it began.</param>
    public void Polyline(string layer, IEnumerable<Point> corners, bool closed = true)
    {
        Add(0, "POLYLINE").Add(8, layer).Add(66, "1").Add(70, closed ? "1" : "0");
        foreach (var p in corners)
            At(Add(0, "VERTEX").Add(8, layer), 10, p);
        Add(0, "SEQEND");
    }

    private DxfPairs At(DxfPairs w, int code, Point p) => w.Add(code, Scaled(p.X.InInches)).Add(code + 10, Scaled(-p.Y.InInches));

    private string Scaled(double inches) => N(inches * scale);

    private static string N(double value) => value.ToString("0.########", CultureInfo.InvariantCulture);
}
