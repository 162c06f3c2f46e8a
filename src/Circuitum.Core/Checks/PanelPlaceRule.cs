using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>Rooms in which no panel hangs.</summary>
internal sealed class PanelPlaceRule : CheckedRule
{
    internal override string Id => "panel.place";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a) =>
        a
            .Panels.Where(at => a.House[at.Panel.Room].Room.Kind is RoomKind.Bathroom or RoomKind.Closet or RoomKind.Stairs)
            .Select(at => Breach(a, $"{PanelNames.First(a, at)} hangs in {a.House[at.Panel.Room].Room.Name}.", Subject.Panel(at.Panel.Id)));
}
