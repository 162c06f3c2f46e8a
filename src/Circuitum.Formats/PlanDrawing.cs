using System.Collections.Immutable;
using System.Text;
using System.Xml;

namespace Circuitum.Formats;

/// <summary>A drawn storey in parts, so that after an edit only those that changed need be shown anew.</summary>
/// <param name="Open">The drawing's opening tag.</param>
/// <param name="Parts">Its parts in the order in which they lie over each other, each a group with an id.</param>
public sealed record PlanDrawing(string Open, ImmutableArray<(string Key, string Svg)> Parts)
{
    private const string Close = "</svg>";

    /// <summary>The whole drawing.</summary>
    public string Whole => string.Concat(Parts.Select(p => p.Svg).Prepend(Open).Append(Close));

    /// <summary>A drawing of only the parts that differ from an earlier one, or none when parts came or went.</summary>
    public string? Since(PlanDrawing before)
    {
        if (!Parts.Select(p => p.Key).SequenceEqual(before.Parts.Select(p => p.Key)))
            return null;
        return string.Concat(Parts.Where((p, i) => p.Svg != before.Parts[i].Svg).Select(p => p.Svg).Prepend(Open).Append(Close));
    }
}

/// <summary>The sheet on which a drawing is written part by part.</summary>
internal sealed class PlanSheet
{
    private readonly StringBuilder text = new();
    private readonly List<(string, string)> parts = [];
    private string open = "";

    internal PlanSheet() =>
        Writer = XmlWriter.Create(
            text,
            new XmlWriterSettings
            {
                OmitXmlDeclaration = true,
                ConformanceLevel = ConformanceLevel.Fragment,
                CheckCharacters = true,
            }
        );

    internal XmlWriter Writer { get; }

    /// <summary>The opening tag is complete.</summary>
    internal void Opened()
    {
        Writer.WriteString("");
        open = Taken();
    }

    /// <summary>Writes one part; one without a key is never exchanged.</summary>
    internal void Part(string key, Action draw)
    {
        Writer.WriteStartElement("g");
        if (key.Length > 0)
            Writer.WriteAttributeString("id", $"part-{key}");
        draw();
        Writer.WriteFullEndElement();
        parts.Add((key, Taken()));
    }

    internal PlanDrawing Done()
    {
        Writer.Dispose();
        return new(open, [.. parts]);
    }

    private string Taken()
    {
        Writer.Flush();
        var taken = text.ToString();
        text.Clear();
        return taken;
    }
}
