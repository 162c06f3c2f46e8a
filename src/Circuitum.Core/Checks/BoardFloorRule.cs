using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>A board on each floor.</summary>
internal sealed class BoardFloorRule : CheckedRule
{
    internal override string Id => "board.floor";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        if (a.Job.Panels.Length == 0)
            yield break;
        var main = a.House.BuildingOf(a.Job.Panels[0].Room);
        foreach (var storey in a.Job.Storeys)
        {
            var inside = a.Job.Rooms.Any(r => r.Storey == storey.Id && main.Contains(r.Id) && !r.Kind.Doorless());
            if (inside && a.Job.Panels.All(p => a.House[p.Room].Room.Storey != storey.Id))
                yield return Breach(a, $"{storey.Name} has no board.");
        }
    }
}
