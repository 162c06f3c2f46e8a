using Circuitum.Core.Jobs;
using Circuitum.Core.Routing;

namespace Circuitum.Core.Analysis;

/// <summary>The panel of a circuit: where its breaker sits, else where the job wants it.</summary>
internal static class PanelChoice
{
    internal static string? Of(Job job, Circuit circuit, IReadOnlyList<string> boxes, int volts, Runs runs)
    {
        if (job.Panels.Length < 2) return job.Panels.FirstOrDefault()?.Id;
        if (job.Decisions.Spaces.FirstOrDefault(s => s.Circuit == circuit.Number) is { } placed && job.Panels.Any(p => p.Id == placed.Panel)) return placed.Panel;
        var large = circuit.Purpose == CircuitPurpose.Appliance && volts == 240;
        if (boxes.Count == 0 || (large && job.Preferences.LargeAppliances == LargeAppliances.MainPanel)) return job.Panels[0].Id;
        return job.Panels.MinBy(p => boxes.Min(b => runs.FromPanel(b, p.Id)))!.Id;
    }
}
