using System.Globalization;
using System.Xml;
using Circuitum.Core.Analysis;
using Circuitum.Core.Measure;
using Circuitum.Formats.Drawings;

namespace Circuitum.Formats;

/// <summary>Draws a storey to scale as SVG, one unit an inch. All text from the job is written as text.</summary>
public static class PlanSvg
{
    /// <summary>Draws a storey.</summary>
    public static string Draw(JobAnalysis a, PlanView view) => Parts(a, view).Whole;

    /// <summary>Draws a storey in parts that can be exchanged one by one.</summary>
    public static PlanDrawing Parts(JobAnalysis a, PlanView view) =>
        SvgWriter.Write(PlanComposer.Compose(a, view), view.StandAlone ? Looks.Styles : "");

    /// <summary>What the symbols on a storey mean.</summary>
    /// <param name="a">The analysis.</param>
    /// <param name="storey">The storey.</param>
    /// <param name="wide">How wide it may be, in pixels.</param>
    public static string Legend(JobAnalysis a, string storey, double wide) =>
        SvgWriter.Write(Drawings.Legend.Of(a, a.Job.Decisions.Boxes.Where(b => a.House[b.Room].Room.Storey == storey), wide)).Whole;

    internal static string N(double value) => value.ToString("0.##", CultureInfo.InvariantCulture);

    internal static void Shape(XmlWriter w, string name, string css, params (string Name, string Value)[] attributes)
    {
        w.WriteStartElement(name);
        w.WriteAttributeString("class", css);
        foreach (var (n, v) in attributes)
            w.WriteAttributeString(n, v);
        w.WriteEndElement();
    }

    internal static void Text(XmlWriter w, string css, double x, double y, double size, string text, string anchor = "middle")
    {
        w.WriteStartElement("text");
        w.WriteAttributeString("class", css);
        w.WriteAttributeString("x", N(x));
        w.WriteAttributeString("y", N(y));
        w.WriteAttributeString("font-size", N(size));
        w.WriteAttributeString("text-anchor", anchor);
        w.WriteString(text);
        w.WriteEndElement();
    }

    internal static void Line(XmlWriter w, string css, Point a, Point b, params (string, string)[] more) =>
        Shape(
            w,
            "line",
            css,
            [("x1", N(a.X.InInches)), ("y1", N(a.Y.InInches)), ("x2", N(b.X.InInches)), ("y2", N(b.Y.InInches)), .. more]
        );
}
