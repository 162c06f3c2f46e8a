using System.Globalization;
using System.Text;
using Circuitum.Core.Measure;
using Circuitum.Core.Takeoff;

namespace Circuitum.Web.Work;

/// <summary>A reel as a bar: its cuts one after the other, what is left at the end.</summary>
public static class ReelBar
{
    private const double Wide = 320;

    /// <summary>The bar as SVG.</summary>
    public static string Svg(ReelCuts reel, LengthUnits units)
    {
        var (begins, left) = (LengthText.Far(reel.Begins, units), LengthText.Far(reel.Leftover, units));
        var svg = new StringBuilder();
        svg.Append(CultureInfo.InvariantCulture, $"""<svg class="reel-bar" viewBox="0 0 {Wide} 16" role="img" """);
        svg.Append(CultureInfo.InvariantCulture, $"""aria-label="{reel.Cuts.Length} cuts of {begins}, {left} left">""");
        var whole = Math.Max(1, reel.Begins.InFeet);
        var x = 0.0;
        foreach (var cut in reel.Cuts)
        {
            var w = cut.Taken.InFeet / whole * Wide;
            svg.Append(
                CultureInfo.InvariantCulture,
                $"""<rect class="cut" x="{x:0.#}" y="1" width="{Math.Max(0, w - 1):0.#}" height="14"/>"""
            );
            x += w;
        }

        svg.Append(
            CultureInfo.InvariantCulture,
            $"""<rect class="left" x="{x:0.#}" y="1" width="{Math.Max(0, Wide - x):0.#}" height="14"/>"""
        );
        return svg.Append("</svg>").ToString();
    }
}
