using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Checks;

/// <summary>No cable between two places of one building goes around it outside.</summary>
internal sealed class WireNoWayRule : CheckedRule
{
    internal override string Id => "wire.noWay";

    // A hand's breadth along an outer wall is no way outside.
    private static readonly Length LeastOutside = Length.Feet(2);

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        foreach (var o in a.Outside.Where(o => o.Length > LeastOutside))
        {
            var to = a.Boxes[o.CableSegment.To];
            var from = o.CableSegment.From is { } id ? a.Boxes[id].Room : a.PanelById(a.CircuitByNumber(o.Circuit)?.Panel)?.Panel.Room;
            var inside = !to.Outside && !a.House[to.Room].Room.Kind.OpenAir() && (o.CableSegment.From is not { } f || !a.Boxes[f].Outside);
            if (!inside || from is null || a.House[from].Room.Kind.OpenAir() || !a.House.BuildingOf(to.Room).Contains(from))
                continue;
            yield return Breach(
                a,
                $"Circuit {o.Circuit}: no way inside leads from {o.CableSegment.From ?? "the panel"} to {o.CableSegment.To}; it is planned "
                    + $"{LengthText.Far(o.Length, a.Units)} outside. A ceiling or attic over the rooms between, or a space "
                    + "under their floor, would open one.",
                Subject.Circuit(o.Circuit),
                Subject.Box(o.CableSegment.To)
            );
        }
    }
}
