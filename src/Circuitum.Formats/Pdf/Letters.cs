using System.Reflection;
using SkiaSharp;

namespace Circuitum.Formats.Pdf;

/// <summary>The letters of the papers: their faces, how wide they are, and how lines break.</summary>
public static class Letters
{
    private static readonly SKTypeface Regular = Face("Regular"),
        Bold = Face("Bold");

    /// <summary>The letters of some texts that the papers' face does not have, each once, in their order.</summary>
    /// <param name="texts">The texts.</param>
    public static string[] Missing(IEnumerable<string> texts)
    {
        using var font = Font(false, 10);
        return
        [
            .. texts
                .SelectMany(t => t.EnumerateRunes())
                .Distinct()
                .Where(rune => !System.Text.Rune.IsControl(rune) && font.GetGlyph(rune.Value) == 0)
                .Select(rune => rune.ToString()),
        ];
    }

    // Letters stand where their widths say, not where a screen's dots are.
    internal static SKFont Font(bool bold, float size) =>
        new(bold ? Bold : Regular, size)
        {
            Subpixel = true,
            LinearMetrics = true,
            Hinting = SKFontHinting.None,
        };

    /// <summary>The lines of a text in letters of a size that fit a width.</summary>
    internal static List<string> Wrap(string text, float size, bool bold, float room)
    {
        using var font = Font(bold, size);
        return Wrap(text, font, room);
    }

    /// <summary>The lines of a text; what more than a number of lines would hold ends in dots.</summary>
    internal static List<string> Lines(string text, float size, float room, int most)
    {
        var lines = Wrap(text, size, false, room);
        return lines.Count <= most ? lines : [.. lines.Take(most - 1), Cut(string.Join(' ', lines.Skip(most - 1)), size, false, room)];
    }

    /// <summary>A text in one line; what does not fit ends in dots.</summary>
    internal static string Cut(string text, float size, bool bold, float room)
    {
        const string Dots = "\u2026";
        using var font = Font(bold, size);
        if (font.MeasureText(text) <= room)
            return text;
        var fits = (int)font.BreakText(text, Math.Max(0, room - font.MeasureText(Dots)));
        return $"{text[..Math.Clamp(fits, 0, text.Length)].TrimEnd()}{Dots}";
    }

    // Between words where it can be, within a word that is wider than the room for it.
    internal static List<string> Wrap(string text, SKFont font, float room)
    {
        var lines = new List<string>();
        foreach (var paragraph in text.Split('\n'))
        {
            var line = "";
            foreach (var word in paragraph.Split(' '))
            {
                var longer = line.Length == 0 ? word : $"{line} {word}";
                if (font.MeasureText(longer) <= room)
                {
                    line = longer;
                    continue;
                }

                if (line.Length > 0)
                    lines.Add(line);
                line = word;
                while (line.Length > 1 && font.MeasureText(line) > room)
                {
                    var fits = Math.Max(1, (int)font.BreakText(line, room));
                    lines.Add(line[..fits]);
                    line = line[fits..];
                }
            }

            lines.Add(line);
        }

        return lines;
    }

    private static SKTypeface Face(string weight)
    {
        using var stream = Assembly.GetExecutingAssembly().GetManifestResourceStream($"Circuitum.Formats.Fonts.SourceSans3-{weight}.ttf")
            ?? throw new InvalidOperationException("The font for papers is missing.");
        using var data = SKData.Create(stream);
        return SKTypeface.FromData(data);
    }
}
