using System.Globalization;
using System.Xml;

namespace Circuitum.Formats.Drawings;

/// <summary>Writes a drawing as SVG, one unit an inch. All text is written as text.</summary>
public static class SvgWriter
{
    // What a role is called in the style sheets.
    private static string Class(Role role) =>
        role switch
        {
            Role.Picture => "under",
            Role.HitLine => "hit-line",
            Role.ThingName => "thing-name",
            Role.RoomName => "room-name",
            Role.RoomSize => "room-size",
            Role.Dimension => "dim",
            Role.DimensionText => "dim-text",
            Role.Panel => "panel-mark",
            Role.PanelName => "panel-name",
            Role.HomeRun => "arrow",
            Role.RunLine => "run-line",
            Role.RunWay => "",
            Role.RunHandle => "run-handle",
            Role.MarkText => "switch",
            Role.HeldBadge => "held",
            Role.StripBox => "strip-box",
            Role.CableName => "cable-name",
            Role.NailPlate => "nail-plate",
            _ => role.ToString().ToLowerInvariant(),
        };

    /// <summary>The drawing in parts that can be exchanged one by one.</summary>
    /// <param name="drawing">The drawing.</param>
    /// <param name="styles">Styles of its own, for a file that stands alone; none on a page.</param>
    public static PlanDrawing Write(Drawing drawing, string styles = "")
    {
        var sheet = new PlanSheet();
        var w = sheet.Writer;
        var e = drawing.Extent;
        w.WriteStartElement("svg", "http://www.w3.org/2000/svg");
        w.WriteAttributeString("viewBox", string.Create(CultureInfo.InvariantCulture, $"{e.X0:0.#} {e.Y0:0.#} {e.Wide:0.#} {e.Tall:0.#}"));
        w.WriteAttributeString("class", drawing.Name);
        w.WriteAttributeString("role", "group");
        w.WriteAttributeString("aria-label", drawing.Label);
        foreach (var (name, value) in drawing.Data)
            w.WriteAttributeString(name, value);
        sheet.Opened();
        if (styles.Length > 0)
            sheet.Part("styles", () => w.WriteElementString("style", styles));
        foreach (var layer in drawing.Layers)
            sheet.Part(layer.Key, () =>
            {
                foreach (var shape in layer.Shapes)
                    Write(w, shape, 1 / drawing.Scale);
            });
        return sheet.Done();
    }

    /// <summary>A whole drawing.</summary>
    /// <param name="drawing">The drawing.</param>
    /// <param name="styles">Styles of its own, for a file that stands alone; none on a page.</param>
    public static string Text(Drawing drawing, string styles = "") => Write(drawing, styles).Whole;

    internal static string N(double value) => value.ToString("0.##", CultureInfo.InvariantCulture);

    private static void Write(XmlWriter w, Shape shape, double inchesPerPixel)
    {
        switch (shape)
        {
            case PathShape path:
                w.WriteStartElement("path");
                Head(w, path);
                w.WriteAttributeString("d", Way(path));
                if (path.Breadth is { } breadth)
                    w.WriteAttributeString("stroke-width", N(breadth));
                if (path.Dashes.Length > 0)
                    w.WriteAttributeString("stroke-dasharray", path.Dashes);
                w.WriteEndElement();
                break;
            case TextShape text:
                w.WriteStartElement("text");
                Head(w, text, text.Bold ? "bold" : "");
                w.WriteAttributeString("x", N(text.X));
                w.WriteAttributeString("y", N(text.Y));
                w.WriteAttributeString("font-size", N(text.Size));
                w.WriteAttributeString(
                    "text-anchor",
                    text.Side switch
                    {
                        TextSide.Middle => "middle",
                        TextSide.End => "end",
                        _ => "start",
                    }
                );
                w.WriteString(text.Text);
                w.WriteEndElement();
                break;
            case AnchorShape anchor:
                Anchor(w, anchor, inchesPerPixel);
                break;
            case GroupShape group:
                w.WriteStartElement(group.Link.Length > 0 ? "a" : "g");
                if (group.Link.Length > 0)
                    w.WriteAttributeString("href", group.Link);
                Head(w, group);
                if (group.Title.Length > 0)
                    w.WriteElementString("title", group.Title);
                foreach (var inner in group.Shapes)
                    Write(w, inner, inchesPerPixel);
                w.WriteEndElement();
                break;
            case PictureShape picture:
                w.WriteStartElement("image");
                Head(w, picture);
                w.WriteAttributeString("href", picture.Address);
                w.WriteAttributeString("x", N(picture.At.X0));
                w.WriteAttributeString("y", N(picture.At.Y0));
                w.WriteAttributeString("width", N(picture.At.Wide));
                w.WriteAttributeString("height", N(picture.At.Tall));
                w.WriteAttributeString("preserveAspectRatio", "none");
                w.WriteAttributeString("opacity", N(picture.Strength));
                w.WriteEndElement();
                break;
        }
    }

    // The inner group keeps its size on a page whatever the zoom: the style sheet scales it.
    private static void Anchor(XmlWriter w, AnchorShape anchor, double inchesPerPixel)
    {
        w.WriteStartElement("g");
        Head(w, anchor);
        w.WriteAttributeString(
            "transform",
            $"translate({N(anchor.X)} {N(anchor.Y)}){(anchor.Turn == 0 ? "" : $" rotate({N(anchor.Turn)})")}"
        );
        if (anchor.Title.Length > 0)
            w.WriteElementString("title", anchor.Title);
        w.WriteStartElement("g");
        w.WriteAttributeString("class", "px");
        w.WriteAttributeString("transform", string.Create(CultureInfo.InvariantCulture, $"scale({inchesPerPixel:0.####})"));
        foreach (var inner in anchor.Shapes)
        {
            // An anchor at an anchor is moved by pixels.
            if (inner is AnchorShape moved)
            {
                w.WriteStartElement("g");
                if (moved.X != 0 || moved.Y != 0)
                    w.WriteAttributeString("transform", $"translate({N(moved.X)} {N(moved.Y)})");
                foreach (var shape in moved.Shapes)
                    Write(w, shape, 1);
                w.WriteEndElement();
            }
            else
                Write(w, inner, 1);
        }

        w.WriteEndElement();
        w.WriteEndElement();
    }

    private static void Head(XmlWriter w, Shape shape, string more = "")
    {
        var css = string.Join(
            ' ',
            new[] { Class(shape.Role), shape.State, more, shape.Pencil > 0 ? $"pencil-{shape.Pencil}" : "" }
                .Where(c => c.Length > 0)
                .SelectMany(c => c.Split(' '))
                .Distinct()
        );
        w.WriteAttributeString("class", css);
        foreach (var (name, value) in shape.Data)
            w.WriteAttributeString(name, value);
    }

    private static string Way(PathShape path) =>
        string.Concat(
            path.Steps.Select(s =>
                s.Kind switch
                {
                    StepKind.From => $"M{N(s.X)} {N(s.Y)}",
                    StepKind.To => $"L{N(s.X)} {N(s.Y)}",
                    StepKind.Bow => $"Q{N(s.Cx)} {N(s.Cy)} {N(s.X)} {N(s.Y)}",
                    StepKind.Arc => $"A{N(s.Cx)} {N(s.Cx)} 0 0 {N(s.Cy)} {N(s.X)} {N(s.Y)}",
                    _ => "Z",
                }
            )
        );
}
