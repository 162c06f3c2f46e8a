using Circuitum.Core.Circuits;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Loads;
using Circuitum.Core.Routing;

namespace Circuitum.Core.Analysis;

/// <summary>
/// The panel of a circuit: where a person put its breaker; else one of the building in which its boxes stand, when that has a
/// panel (225.30); among those where the job wants it.
/// </summary>
internal static class PanelChoice
{
    internal static string? Of(HouseShape house, Circuit circuit, IReadOnlyList<string> boxes, CircuitLoad load, CableRouter runs)
    {
        var job = house.Job;
        if (job.Panels.Length < 2)
            return job.Panels.FirstOrDefault()?.Id;
        var placed = job.Decisions.Spaces.FirstOrDefault(s => s.Circuit == circuit.Number && job.Panels.Any(p => p.Id == s.Panel));
        if (placed is { By: Origin.Person })
            return placed.Panel;
        var feeding = new FeedingPanels(house, runs);
        var room = boxes.Count > 0 ? job.Decisions.Boxes.FirstOrDefault(b => b.Id == boxes[0])?.Room : null;
        var here = feeding.In(room);

        // A split board feeds its own floor.
        if (room is not null && CodeLibrary.Edition(job.CodeEdition).Board is not null)
        {
            var floor = here.Where(p => house[p.Room].Room.Storey == house[room].Room.Storey).ToList();
            here = floor.Count > 0 ? floor : here;
        }

        if (placed is not null && here.Any(p => p.Id == placed.Panel))
            return placed.Panel;
        if (boxes.Count == 0)
            return job.Panels[0].Id;
        var large = circuit.Purpose == CircuitPurpose.Appliance && load.Connection == Connection.TwoLines;
        if (large && job.Preferences.LargeAppliances == LargeAppliances.MainPanel && here.Contains(job.Panels[0]))
            return job.Panels[0].Id;
        return feeding.Cheapest(here, boxes, load.Connected.Value)!.Id;
    }
}
