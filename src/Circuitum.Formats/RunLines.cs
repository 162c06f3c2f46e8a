using Circuitum.Core.Jobs;
using Circuitum.Core.Routing;
using Circuitum.Formats.Drawings;

namespace Circuitum.Formats;

/// <summary>How cables are named and classed in drawings.</summary>
public static class RunLines
{
    /// <summary>What a cable is picked by.</summary>
    public static string PickOf(CableSegment segment) => segment.From is null ? $"run:{segment.To}" : $"run:{segment.To}:{segment.From}";

    /// <summary>The class by what it carries.</summary>
    public static string Css(CableSegment segment) =>
        segment.From is null
            ? "home"
            : segment.Use switch
            {
                CableUse.Power => "power",
                CableUse.Travelers or CableUse.SwitchLoop or CableUse.Interconnect => "travelers",
                _ => "leg",
            };

    /// <summary>A way as the path of a line.</summary>
    public static string Way(CableRoute route) =>
        RunLayers.Points(route) is { Count: > 1 } points
            ? $"M{string.Join('L', points.Select(p => $"{SvgWriter.N(p.X.InInches)} {SvgWriter.N(p.Y.InInches)}"))}"
            : "";
}
