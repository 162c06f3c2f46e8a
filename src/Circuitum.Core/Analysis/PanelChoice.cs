using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Routing;

namespace Circuitum.Core.Analysis;

/// <summary>
/// The panel of a circuit: where a person put its breaker; else one of the building in which its boxes stand, when that has a
/// panel (225.30); among those where the job wants it.
/// </summary>
internal static class PanelChoice
{
    internal static string? Of(HouseShape house, Circuit circuit, IReadOnlyList<string> boxes, int volts, Runs runs)
    {
        var job = house.Job;
        if (job.Panels.Length < 2) return job.Panels.FirstOrDefault()?.Id;
        var placed = job.Decisions.Spaces.FirstOrDefault(s => s.Circuit == circuit.Number && job.Panels.Any(p => p.Id == s.Panel));
        if (placed is { By: Maker.Person }) return placed.Panel;
        var here = Near(house, boxes);
        if (placed is not null && here.Any(p => p.Id == placed.Panel)) return placed.Panel;
        if (boxes.Count == 0) return job.Panels[0].Id;
        var large = circuit.Purpose == CircuitPurpose.Appliance && volts == 240;
        if (large && job.Preferences.LargeAppliances == LargeAppliances.MainPanel && here.Contains(job.Panels[0])) return job.Panels[0].Id;
        return here.MinBy(p => boxes.Min(b => runs.FromPanel(b, p.Id)))!.Id;
    }

    // Panels in the boxes' own building; where it has none, those that stand in the building of the service.
    private static List<Panel> Near(HouseShape house, IReadOnlyList<string> boxes)
    {
        var panels = house.Job.Panels;
        var room = house.Job.Decisions.Boxes.FirstOrDefault(b => boxes.Count > 0 && b.Id == boxes[0])?.Room ?? panels[0].Room;
        var own = panels.Where(p => house.BuildingOf(room).Contains(p.Room)).ToList();
        return own.Count > 0 ? own : [.. panels.Where(p => house.BuildingOf(panels[0].Room).Contains(p.Room))];
    }
}
