using Circuitum.Core.Analysis;

namespace Circuitum.Core.Checks;

/// <summary>How a panel is called in a sentence.</summary>
internal static class PanelNames
{
    /// <summary>With one panel everybody knows which is meant.</summary>
    internal static string Of(JobAnalysis a, PanelAnalysis at) => a.Panels.Length == 1 ? "the panel" : at.Panel.Name;

    /// <summary>At the beginning of a sentence.</summary>
    internal static string First(JobAnalysis a, PanelAnalysis at) =>
        Of(a, at) is var name ? $"{char.ToUpperInvariant(name[0])}{name[1..]}" : "";
}
