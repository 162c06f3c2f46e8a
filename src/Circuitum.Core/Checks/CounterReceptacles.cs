using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Checks;

/// <summary>210.52(C): reach along counters.</summary>
internal sealed class CounterReceptacles : ICheck
{
    public ImmutableArray<string> Rules => ["box.counter", "box.island"];

    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        var reach = Length.Inches(a.Edition.Number("counterReachIn"));
        foreach (var shape in a.House.Rooms)
        {
            foreach (var space in WallSpaces.Counters(shape, a.Job, Length.Inches(a.Edition.Number("counterLeastIn"))))
            {
                if (Spaces.TooFar(a, shape, space, reach, true) is { } far)
                    yield return CheckList.Make(
                        a,
                        "box.counter",
                        $"{shape.Room.Name}: a counter space of {LengthText.Show(space.Length)} has {far.Words}; the limit is "
                            + $"{LengthText.Show(reach)}.",
                        Subject.Room(shape.Room.Id)
                    ) with
                    {
                        Fix = Spaces.Add(a, shape, space, reach, true),
                    };
            }

            foreach (var island in a.Job.Counters.Where(c => c.Room == shape.Room.Id && IslandRules.IsIsland(c)))
            {
                foreach (var finding in Island(a, shape, island))
                    yield return finding;
            }
        }
    }

    private static IEnumerable<Finding> Island(JobAnalysis a, RoomShape shape, Counter island)
    {
        var what = island.Peninsula ? "peninsula" : "island";
        var there = IslandRules.On(a.House, a.Job.Decisions.Boxes, shape, island).ToList();
        var receptacles = there.Where(b => b.Kind == BoxKind.Receptacle).ToList();
        var wanted = IslandRules.Wanted(a.Edition, island);
        Finding Make(string words) =>
            CheckList.Make(a, "box.island", $"{shape.Room.Name}: {words}.", Subject.Room(shape.Room.Id), Subject.Counter(island.Id)) with
            {
                Fix = BoxFixes.Propose(shape),
            };
        if (a.Edition.Ways.Island == IslandWay.Provision && there.Count == 0)
            yield return Make($"the {what} has neither a receptacle nor a provision for one");
        if (receptacles.Count < wanted)
            yield return Make(
                $"the {what} of {island.Spot.Width.InFeet * island.Spot.Depth.InFeet:0.0} sq ft has {receptacles.Count} of "
                    + $"{wanted} receptacles"
            );
        if (
            island.Peninsula
            && wanted > 0
            && a.Edition.Ways.Island == IslandWay.Area
            && receptacles.Count > 0
            && receptacles.Min(b => IslandRules.FromOuterEnd(shape, island, Places.Of(a.House, b))) > a.Edition.Number("islandEndReachIn")
        )
            yield return Make($"no receptacle stands within {a.Edition.Say("islandEndReachIn")} of the peninsula's outer end");
        foreach (
            var low in receptacles.Where(b => b.Height < ReceptacleRules.CounterTop - Length.Inches(a.Edition.Number("islandBelowMostIn")))
        )
        {
            yield return CheckList.Make(
                a,
                "box.island",
                $"{shape.Room.Name}: {low.Id} stands {LengthText.Show(ReceptacleRules.CounterTop - low.Height)} below the {what}'s "
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
