using System.Collections.Immutable;
using System.Text;
using System.Xml;

namespace Circuitum.Formats;

/// <summary>A drawing in plain ink, for the screen, print and PDF alike.</summary>
/// <param name="Strokes">Its strokes.</param>
/// <param name="Wide">How wide it is.</param>
/// <param name="Tall">How tall it is.</param>
public sealed record LineDrawing(ImmutableArray<Stroke> Strokes, float Wide, float Tall)
{
    /// <summary>The drawing as SVG.</summary>
    /// <param name="name">Its class.</param>
    /// <param name="label">What it shows, for who does not see it.</param>
    /// <param name="inPoints">Its units are points, and it shows in its true size.</param>
    public string Svg(string name, string label, bool inPoints = false)
    {
        var text = new StringBuilder();
        using var w = XmlWriter.Create(text, new XmlWriterSettings { OmitXmlDeclaration = true });
        w.WriteStartElement("svg", "http://www.w3.org/2000/svg");
        w.WriteAttributeString("viewBox", $"0 0 {PlanSvg.N(Wide)} {PlanSvg.N(Tall)}");
        if (inPoints)
            w.WriteAttributeString("width", $"{PlanSvg.N(Wide)}pt");
        if (inPoints)
            w.WriteAttributeString("height", $"{PlanSvg.N(Tall)}pt");
        w.WriteAttributeString("class", name);
        w.WriteAttributeString("role", "img");
        w.WriteAttributeString("aria-label", label);
        foreach (var s in Strokes)
        {
            switch (s.Kind)
            {
                case StrokeKind.Line:
                    Shape("line", ("x1", s.X0), ("y1", s.Y0), ("x2", s.X1), ("y2", s.Y1));
                    break;
                case StrokeKind.Box or StrokeKind.Fill:
                    Shape("rect", ("x", s.X0), ("y", s.Y0), ("width", s.X1 - s.X0), ("height", s.Y1 - s.Y0));
                    break;
                case StrokeKind.Circle:
                    Shape("circle", ("cx", s.X0), ("cy", s.Y0), ("r", s.X1));
                    break;
                default:
                    PlanSvg.Text(
                        w,
                        s.Bold ? "tag" : "",
                        s.X0,
                        s.Y0,
                        s.X1,
                        s.Text,
                        s.Side switch
                        {
                            TextSide.Middle => "middle",
                            TextSide.End => "end",
                            _ => "start",
                        }
                    );
                    break;
            }

            void Shape(string shape, params (string Name, float Value)[] numbers) =>
                PlanSvg.Shape(
                    w,
                    shape,
                    "",
                    [
                        .. numbers.Select(n => (n.Name, PlanSvg.N(n.Value))),
                        ("fill", s.Kind == StrokeKind.Fill ? "#1c1a17" : "none"),
                        ("stroke", "#1c1a17"),
                        ("stroke-width", PlanSvg.N(s.Weight)),
                    ]
                );
        }

        w.WriteEndElement();
        w.Flush();
        return text.ToString();
    }
}

/// <summary>Draws a <see cref="LineDrawing"/>.</summary>
internal sealed class Pen
{
    private readonly ImmutableArray<Stroke>.Builder strokes = ImmutableArray.CreateBuilder<Stroke>();

    internal void Line(float x0, float y0, float x1, float y1, float weight = 1) =>
        strokes.Add(new(StrokeKind.Line, x0, y0, x1, y1, "", weight));

    internal void Box(float x0, float y0, float x1, float y1, float weight = 1) =>
        strokes.Add(new(StrokeKind.Box, x0, y0, x1, y1, "", weight));

    internal void Fill(float x0, float y0, float x1, float y1) => strokes.Add(new(StrokeKind.Fill, x0, y0, x1, y1));

    internal void Circle(float x, float y, float radius, float weight = 1) =>
        strokes.Add(new(StrokeKind.Circle, x, y, radius, 0, "", weight));

    internal void Text(float x, float y, string text, float size = 12, bool bold = false, TextSide side = TextSide.Start) =>
        strokes.Add(new(StrokeKind.Text, x, y, size, 0, text, bold ? 2 : 1, side));

    internal LineDrawing Done(float wide, float tall) => new(strokes.ToImmutable(), wide, tall);
}
