using System.Collections.Concurrent;
using Circuitum.Formats.Pdf;

namespace Circuitum.Formats.Drawings;

/// <summary>How much room letters take in a drawing, by the face in which all drawings are written.</summary>
internal static class TextWidths
{
    // A text stands on its line, and this share of its size is above and below it.
    internal const double Above = 0.78;
    internal const double Below = 0.24;

    private const float Measured = 100;

    private const int MostKnown = 20_000;

    // The same few hundred texts are asked for at every edit; measuring one costs more than all the rest of placing it.
    private static readonly ConcurrentDictionary<(string, bool), double> Known = new();

    /// <summary>Width of a text in pixels.</summary>
    internal static double Of(string text, double size, bool bold = false)
    {
        if (Known.Count > MostKnown)
            Known.Clear();
        return Known.GetOrAdd((text, bold), Measure) * size / Measured;
    }

    /// <summary>What a text covers whose middle is at a place.</summary>
    internal static Area Covered(string text, double size, double x, double y, bool bold = false) =>
        Area.Around(x, y, Of(text, size, bold) + 1, size * (Above + Below));

    /// <summary>From the middle of what a text covers down to the line on which it is written.</summary>
    internal static double Line(double size) => size * (Above - Below) / 2;

    private static double Measure((string Text, bool Bold) of)
    {
        using var font = Letters.Font(of.Bold, Measured);
        return font.MeasureText(of.Text);
    }
}
