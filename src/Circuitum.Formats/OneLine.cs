using System.Collections.Immutable;
using System.Text;
using System.Xml;
using Circuitum.Core.Analysis;

namespace Circuitum.Formats;

/// <summary>A stroke of the one-line drawing.</summary>
/// <param name="Kind">What it is.</param>
/// <param name="X0">From, or the left edge, or the centre.</param>
/// <param name="Y0">From, or the top edge, or the centre.</param>
/// <param name="X1">To, or the right edge; of a circle the radius; of text the size.</param>
/// <param name="Y1">To, or the bottom edge.</param>
/// <param name="Text">For text.</param>
/// <param name="Strong">Broad line, or bold text.</param>
public readonly record struct OneLineStroke(OneLineKind Kind, float X0, float Y0, float X1 = 0, float Y1 = 0, string Text = "", bool Strong = false);

/// <summary>Kinds of strokes.</summary>
public enum OneLineKind
{
    /// <summary>A line.</summary>
    Line,

    /// <summary>A rectangle.</summary>
    Box,

    /// <summary>A circle.</summary>
    Circle,

    /// <summary>Text, from its left end.</summary>
    Text,
}

/// <summary>Service, panels and feeders as one line: from the utility through the meter to the panel at the service and on to the others.</summary>
public static class OneLine
{
    private const float Left = 60, PanelWide = 250, PanelTall = 86, Step = 130, Indent = 60;

    /// <summary>The strokes, with the width and height that they need.</summary>
    public static (ImmutableArray<OneLineStroke> Strokes, float Wide, float Tall) Of(JobAnalysis a)
    {
        var s = ImmutableArray.CreateBuilder<OneLineStroke>();
        void Line(float x0, float y0, float x1, float y1, bool strong = false) => s.Add(new(OneLineKind.Line, x0, y0, x1, y1, "", strong));
        void Text(float x, float y, string text, float size = 12, bool strong = false) => s.Add(new(OneLineKind.Text, x, y, size, 0, text, strong));
        if (a.Panels.Length == 0)
        {
            Text(20, 30, "No panel yet.");
            return (s.ToImmutable(), 200, 50);
        }

        var sheet = ServiceSheet.Of(a);
        Text(Left - 40, 22, "Utility", 12, true);
        Line(Left, 30, Left, 62, true);
        s.Add(new(OneLineKind.Circle, Left, 78, 16));
        Text(Left - 5, 82, "M", 12, true);
        Text(Left + 26, 74, $"120/240 V, one phase, three wires; {sheet.Conductors.Result}", 11);
        Text(Left + 26, 90, a.Edition.Id == "us-2017" ? "Meter" : "Meter, emergency disconnect outside, surge protection (230.85, 230.67)", 11);
        Line(Left, 94, Left, 130, true);

        // Each panel under the one that feeds it, farther in the deeper it is.
        var depth = new Dictionary<string, int>();
        var place = new Dictionary<string, (float X, float Y)>();
        var y = 130f;
        var wide = 560f;
        foreach (var at in a.Panels)
        {
            depth[at.Panel.Id] = at.Feeder is { } from ? depth[from.From] + 1 : 0;
            var x = Left - 30 + (depth[at.Panel.Id] * (PanelWide + Indent) * 0.5f);
            place[at.Panel.Id] = (x, y);
            s.Add(new(OneLineKind.Box, x, y, x + PanelWide, y + PanelTall, "", true));
            Text(x + 10, y + 18, at.Panel.Name.Length > 34 ? at.Panel.Name[..33] + "\u2026" : at.Panel.Name, 13, true);
            Text(x + 10, y + 36, at.Feeder is null ? $"{at.Panel.MainBreaker} A main, neutral bonded to ground here" : at.Panel.MainLugs ? "main lugs, neutral and ground apart" : $"{at.Panel.MainBreaker} A main, neutral and ground apart", 11);
            var circuits = a.Circuits.Count(c => c.Panel == at.Panel.Id);
            Text(x + 10, y + 52, $"{at.Panel.Spaces} spaces, {at.SpacesUsed} taken, {circuits} branch circuit{(circuits == 1 ? "" : "s")}", 11);
            Text(x + 10, y + 68, at.Feeder is { } f ? $"load {f.Load.Current.Value:0.0} A" : $"load {a.Service.Current.Value:0.0} A, {sheet.Used * 100:0} percent", 11);
            if (at.Feeder is null || at.Feeder.ToBuilding) Electrode(x + PanelWide, y + 40, at.Feeder is null ? sheet.Conductors.Steps.FirstOrDefault()?.Result ?? "" : "electrode of its own");
            if (at.Feeder is { } feeder)
            {
                var (px, py) = place[feeder.From];
                var down = px + 24 + (12 * depth[at.Panel.Id]);
                Line(down, py + PanelTall, down, y + 30, true);
                Line(down, y + 30, x, y + 30, true);
                Text(down + 8, y - 8, $"{feeder.Breaker} A, {feeder.Made}, {feeder.Cut.InFeet:0} ft, drop {feeder.DropPercent:0.0} percent", 11);
            }

            wide = Math.Max(wide, x + PanelWide + 200);
            y += Step;
        }

        return (s.ToImmutable(), wide, y);

        // Three lines, each shorter than the one over it.
        void Electrode(float x, float at, string wire)
        {
            Line(x, at, x + 26, at);
            Line(x + 26, at, x + 26, at + 16);
            for (var n = 0; n < 3; n++) Line(x + 14 + (4 * n), at + 16 + (5 * n), x + 38 - (4 * n), at + 16 + (5 * n));
            Text(x + 44, at + 22, wire, 10);
        }
    }

    /// <summary>The drawing as SVG.</summary>
    public static string Svg(JobAnalysis a)
    {
        var (strokes, wide, tall) = Of(a);
        var text = new StringBuilder();
        using var w = XmlWriter.Create(text, new XmlWriterSettings { OmitXmlDeclaration = true });
        w.WriteStartElement("svg", "http://www.w3.org/2000/svg");
        w.WriteAttributeString("viewBox", $"0 0 {PlanSvg.N(wide)} {PlanSvg.N(tall)}");
        w.WriteAttributeString("class", "one-line");
        w.WriteAttributeString("role", "img");
        w.WriteAttributeString("aria-label", "One-line drawing of service, panels and feeders");
        foreach (var s in strokes)
        {
            var stroke = s.Strong ? "2" : "1";
            switch (s.Kind)
            {
                case OneLineKind.Line: Shape("line", ("x1", s.X0), ("y1", s.Y0), ("x2", s.X1), ("y2", s.Y1)); break;
                case OneLineKind.Box: Shape("rect", ("x", s.X0), ("y", s.Y0), ("width", s.X1 - s.X0), ("height", s.Y1 - s.Y0)); break;
                case OneLineKind.Circle: Shape("circle", ("cx", s.X0), ("cy", s.Y0), ("r", s.X1)); break;
                default: PlanSvg.Text(w, s.Strong ? "tag" : "", s.X0, s.Y0, s.X1, s.Text, "start"); break;
            }

            void Shape(string name, params (string Name, float Value)[] numbers) => PlanSvg.Shape(w, name, "", [.. numbers.Select(n => (n.Name, PlanSvg.N(n.Value))), ("fill", "none"), ("stroke", "#1c1a17"), ("stroke-width", stroke)]);
        }

        w.WriteEndElement();
        w.Flush();
        return text.ToString();
    }
}
