using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Checks;

/// <summary>Receptacles and provisions of islands and peninsulas.</summary>
internal sealed class BoxIslandRule : CheckedRule
{
    internal override string Id => "box.island";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a) =>
        a.Job.Counters.Where(IslandRules.IsIsland).SelectMany(island => Of(a, a.House[island.Room], island));

    private IEnumerable<Finding> Of(JobAnalysis a, RoomShape shape, Counter island)
    {
        var what = island.Peninsula ? "peninsula" : "island";
        var there = IslandRules.On(a.House, a.Job.Decisions.Boxes, shape, island).ToList();
        var receptacles = there.Where(b => b.Kind == BoxKind.Receptacle).ToList();
        var wanted = IslandRules.Wanted(a.Edition, island);
        Finding Make(string words) =>
            Breach(a, $"{shape.Room.Name}: {words}.", Subject.Room(shape.Room.Id), Subject.Counter(island.Id)) with
            {
                Fix = BoxFixes.Propose(shape),
            };
        if (a.Edition.Ways.Island == IslandWay.Provision && there.Count == 0)
            yield return Make($"the {what} has neither a receptacle nor a provision for one");
        if (receptacles.Count < wanted)
            yield return Make(
                $"the {what} of {FloorArea.Show(island.Spot.Width.InFeet * island.Spot.Depth.InFeet, a.Units, 1)} has "
                    + $"{receptacles.Count} of "
                    + $"{wanted} receptacles"
            );
        if (
            island.Peninsula
            && wanted > 0
            && a.Edition.Ways.Island == IslandWay.Area
            && receptacles.Count > 0
            && receptacles.Min(b => IslandRules.FromOuterEnd(shape, island, Places.Of(a.House, b))) > a.Edition.Number("islandEndReachIn")
        )
            yield return Make($"no receptacle stands within {a.Edition.Number("islandEndReachIn")} of the peninsula's outer end");
        foreach (var low in receptacles.Where(b => b.Height < ReceptacleRules.CounterTop - a.Edition.Number("islandBelowMostIn").Length))
        {
            yield return Breach(
                a,
                $"{shape.Room.Name}: {low.Id} stands {LengthText.Show(ReceptacleRules.CounterTop - low.Height, a.Units)} below "
                    + $"the {what}'s "
                    + "top; "
                    + (a.Edition.Number("islandBelowMostIn") > 0 ? $"{a.Edition.Number("islandBelowMostIn"):0}\" is the most" : "none may")
                    + ".",
                Subject.Box(low.Id)
            ) with
            {
                Fix =
                    a.Edition.Number("islandBelowMostIn") > 0
                        ? BoxFixes.Change("Raise it", low.Id, new() { Height = ReceptacleRules.CounterTop - Length.Inches(8) })
                        : BoxFixes.Change("Leave a provision instead", low.Id, new() { Kind = BoxKind.Provision }),
            };
        }
    }
}
