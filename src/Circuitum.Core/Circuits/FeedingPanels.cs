using System.Collections.Concurrent;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Routing;

namespace Circuitum.Core.Circuits;

/// <summary>Which panel feeds a circuit most cheaply: its home run, and what its load asks of the feeders behind that panel.</summary>
/// <param name="house">The house.</param>
/// <param name="runs">The ways through the frame.</param>
internal sealed class FeedingPanels(HouseShape house, CableRouter runs)
{
    private readonly double feederVolts = CodeLibrary.SupplyOf(house.Job).Between;

    private readonly ConcurrentDictionary<string, double> feederFeet = [];

    /// <summary>Panels in a room's own building; where it has none, those in the building of the service.</summary>
    /// <param name="room">The room; none takes the building of the service.</param>
    internal List<Panel> In(string? room)
    {
        var panels = house.Job.Panels;
        if (panels.Length < 2)
            return [.. panels];
        var own = panels.Where(p => house.BuildingOf(room ?? panels[0].Room).Contains(p.Room)).ToList();
        return own.Count > 0 ? own : [.. panels.Where(p => house.BuildingOf(panels[0].Room).Contains(p.Room))];
    }

    /// <summary>The cheapest of some panels for a circuit; none when there are none.</summary>
    /// <param name="among">The panels to choose from.</param>
    /// <param name="boxes">The circuit's boxes.</param>
    /// <param name="va">Its load in volt-amperes.</param>
    internal Panel? Cheapest(IReadOnlyList<Panel> among, IReadOnlyList<string> boxes, double va) =>
        among.Count < 2 || boxes.Count == 0
            ? among.Count > 0
                ? among[0]
                : null
            : among.MinBy(p => Feet(p, boxes, va));

    /// <summary>What it costs to feed a circuit from a panel, as feet of its cable.</summary>
    /// <param name="panel">The panel.</param>
    /// <param name="boxes">The circuit's boxes.</param>
    /// <param name="va">Its load in volt-amperes.</param>
    internal double Feet(Panel panel, IReadOnlyList<string> boxes, double va)
    {
        var w = house.Job.Preferences.Weights;
        return boxes.Min(b => runs.FromPanel(b, panel.Id)).InFeet
            + (FeederFeet(panel) * va / feederVolts * w.FeederAmpFoot / Math.Max(1, w.CableFoot));
    }

    // All feeders between a panel and the service.
    private double FeederFeet(Panel panel)
    {
        if (panel.FedFrom is not { } from || house.Job.Panels.FirstOrDefault(p => p.Id == from) is not { } source)
            return 0;
        if (feederFeet.TryGetValue(panel.Id, out var known))
            return known;

        // A ring of feeders is refused when the job is checked; until then it ends here.
        feederFeet[panel.Id] = 0;
        return feederFeet[panel.Id] = runs.Feeder(from, panel.Id).Length.InFeet + FeederFeet(source);
    }
}
