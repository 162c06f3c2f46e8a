using Circuitum.Core.Analysis;
using Circuitum.Core.Circuits;
using Circuitum.Core.Commands;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Routing;

namespace Circuitum.Core.Tests;

// Plans by hand, and several panels.
public partial class DivisionTests
{
    // Rooms walked from door to door, a circuit filled before the next is begun, as somebody with a pencil does it.
    private static List<int[]> ByHand(GroupProblem p, int start)
    {
        var (left, circuits) = (
            Enumerable.Range(0, p.Count).GroupBy(t => p.Places[t].First).ToDictionary(g => g.Key, g => g.ToArray()),
            new List<int[]>()
        );
        while (left.Count > 0)
        {
            var at = left.Keys.OrderBy(r => (r + start) % 7).ThenBy(r => r).First();
            int[] circuit = [];
            for (int? next = at; next is { } room; )
            {
                if (circuit.Length == 0 && !p.Fits(left[room]))
                    circuits.AddRange(left[room].Chunk(Math.Max(1, p.MostSize / 2)));
                else
                    circuit = [.. circuit, .. left[room]];
                left.Remove(room);
                next = left
                    .Keys.Where(r =>
                        p.Fits([.. circuit, .. left[r]]) && p.Zones!.Broken(p.PlacesOf([.. circuit, .. left[r]])) == 0 && circuit.Length > 0
                    )
                    .Select(r => (int?)r)
                    .OrderBy(r => r)
                    .FirstOrDefault();
            }

            if (circuit.Length > 0)
                circuits.Add(circuit);
        }

        return circuits;
    }

    [Fact]
    public void No_plan_by_hand_is_cheaper_than_the_planners_by_more_than_1_percent()
    {
        var compared = 0;
        foreach (var (seed, planned) in HouseSet.All.Take(40))
        {
            var bare = planned.Job with { Decisions = planned.Job.Decisions with { Circuits = [] } };
            var house = HouseShape.Of(bare);
            foreach (
                var g in GeneralGroups.Of(new CircuitDraft(house, planned.Edition), new CableRouter(house)).Where(g => g.Problem.Count > 1)
            )
            {
                var p = g.Problem;
                if (ZonePartition.Solve(p) is not { } exact)
                    continue;
                List<List<int[]>> hands = [ByHand(p, 0), ByHand(p, 3), .. Changed(p, [.. exact.Circuits])];
                foreach (var hand in hands.Where(h => h.All(c => p.Fits(c))))
                {
                    hand.Sum(c => c.Length).ShouldBe(p.Count);
                    exact.Cost.ShouldBeLessThanOrEqualTo((long)(hand.Sum(c => (long)p.Priced(c)) * 1.01), $"house {seed}, {g.Purpose}");
                    compared++;
                }
            }
        }

        compared.ShouldBeGreaterThan(500);
    }

    // The planner's own division with a room moved to another circuit, or two circuits made one.
    private static IEnumerable<List<int[]>> Changed(GroupProblem p, List<int[]> circuits)
    {
        for (var a = 0; a < circuits.Count; a++)
        {
            foreach (var b in Enumerable.Range(0, circuits.Count).Where(b => b != a).Take(4))
            {
                List<int[]> others = [.. circuits.Where((_, i) => i != a && i != b)];
                yield return [.. others, [.. circuits[a], .. circuits[b]]];
                var room = circuits[a].Where(t => p.Places[t].First == p.Places[circuits[a][0]].First).ToArray();
                if (room.Length < circuits[a].Length)
                    yield return [.. others, [.. circuits[a].Except(room)], [.. circuits[b], .. room]];
            }
        }
    }

    [Fact]
    public void Circuits_that_find_no_space_in_the_nearest_panel_go_to_the_one_where_they_lose_least()
    {
        var bare = HouseSet
            .All.Select(h => h.House)
            .First(h => h.Job.Panels.Length == 1 && h.Job.Rooms.Count(r => r.Kind == RoomKind.Bedroom) > 2);
        var bedroom = bare.Job.Rooms.First(r => r.Kind == RoomKind.Bedroom);
        var two = new PutOnWall("sub-panel", bedroom.Id, 0, Length.Feet(4), default).Apply(bare.Job).Job.ShouldNotBeNull();
        JobAnalysis Laid(int spaces) =>
            Analyzer.Analyze(
                Planner.PlanSpaces(two with { Panels = [two.Panels[0], two.Panels[1] with { Spaces = spaces }] }, afresh: true)
            );
        var (roomy, small) = (Laid(24), Laid(4));
        roomy.Panels[1].SpacesUsed.ShouldBeGreaterThan(4);
        small.Panels[1].SpacesUsed.ShouldBe(4);
        small.Findings.ShouldNotContain(f => f.RuleId == "panel.spaces");
        small
            .Circuits.Where(c => c.Panel == "sub")
            .Select(c => c.Number)
            .ShouldBeSubsetOf(roomy.Circuits.Where(c => c.Panel == "sub").Select(c => c.Number));
    }

    [Fact]
    public void What_loads_a_feeder_much_is_fed_from_the_main_panel_when_both_are_as_near()
    {
        var a = Analyzer.Analyze(
            Planner.PlanSpaces(
                new PutOnWall("sub-panel", "bedroom", 2, Length.Feet(9), default)
                    .Apply(
                        CheckTests.PlannedWhole with
                        {
                            Panels = [CheckTests.PlannedWhole.Panels[0] with { Room = "laundry", Wall = 2, Along = Length.Feet(6) }],
                        }
                    )
                    .Job!
            )
        );
        var (runs, sub) = (new CableRouter(a.House), a.Job.Panels[1]);
        var feeding = new FeedingPanels(a.House, runs);
        var box = a
            .Job.Decisions.Boxes.OrderBy(b => Math.Abs((runs.FromPanel(b.Id, "main") - runs.FromPanel(b.Id, sub.Id)).InFeet))
            .First(b => runs.FromPanel(b.Id, sub.Id) < runs.FromPanel(b.Id, "main"))
            .Id;
        feeding.Cheapest([.. a.Job.Panels], [box], 0)!.Id.ShouldBe(sub.Id);
        feeding.Cheapest([.. a.Job.Panels], [box], 12_000)!.Id.ShouldBe("main");
    }
}
