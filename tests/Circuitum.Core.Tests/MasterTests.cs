using Circuitum.Core.Analysis;
using Circuitum.Core.Circuits;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Routing;

namespace Circuitum.Core.Tests;

/// <summary>What masters would say of any good plan, asked of 300 made-up houses and of their schools.</summary>
public class MasterTests
{
    [Fact]
    public void Three_hundred_houses_are_divided_as_a_master_would_or_the_plan_says_why_not()
    {
        var against = HouseSet
            .All.AsParallel()
            .AsOrdered()
            .SelectMany(h => new Masters(h.House).All.SelectMany(s => s.Against.Select(w => (s.Name, Text: $"house {h.Seed}: {w}"))))
            .ToList();
        var report = string.Join(
            '\n',
            against.GroupBy(w => w.Name).Select(g => $"{g.Count()} {g.Key}\n    {string.Join("\n    ", g.Take(4).Select(w => w.Text))}")
        );
        against.ShouldBeEmpty(report);
    }

    [Fact]
    public void Rooms_that_a_person_puts_on_one_circuit_against_the_usual_zones_are_told()
    {
        var a = HouseSet
            .All.Select(h => h.House)
            .First(h =>
                h.Job.Rooms.Any(r => r.Kind == RoomKind.Bedroom)
                && h.Job.Preferences.LightsAndReceptacles == LightsAndReceptacles.Separate
                && h.Job.Rooms.Any(r => r.Kind == RoomKind.Kitchen)
                && h.Findings.All(f => f.RuleId != "circuit.zone")
            );
        string Light(RoomKind kind) => a.Job.Decisions.Boxes.First(b => b.Kind == BoxKind.Light && a.Job.KindAt(b) == kind).Id;
        var kitchen = a.CircuitOf(Light(RoomKind.Kitchen))!.Number;
        var moved = new Commands.AssignBox(Light(RoomKind.Bedroom), kitchen).Apply(a.Job).Job!;
        var after = Analyzer.Analyze(moved);
        after.Findings.ShouldContain(f =>
            f.RuleId == "circuit.zone"
            && f.Subjects.Contains(Subject.Parse($"circuit:{kitchen}"))
            && f.Sentence.Contains("a kitchen and a bedroom should not go dark together")
        );
        var why = after.Why($"circuit.{kitchen}.division").ShouldNotBeNull();
        why.Because.ShouldContain("a kitchen and a bedroom should not go dark together");
        why.Steps.ShouldContain(s => s.What == "With one breaker more");
        why.Steps.Where(s => s.What.StartsWith("Together with circuit", StringComparison.Ordinal)).ShouldNotBeEmpty();
        a.Why("circuit.999.division").ShouldBeNull();

        // For a box each reason has its rank, the weightiest first.
        var box = a.Why($"box.{Light(RoomKind.Bedroom)}.circuit").ShouldNotBeNull();
        box.Steps.Single(s => s.What == $"On circuit {kitchen}")
            .Because.ShouldContain("a kitchen and a bedroom should not go dark together (reason 1 of 4, never dark together)");
    }

    [Fact]
    public void What_the_planner_weighs_is_the_cable_that_is_pulled_within_3_percent()
    {
        var off = HouseSet
            .All.Where(h => h.House.Job.Preferences.TwoCircuitHomeRuns == TwoCircuitHomeRuns.Never)
            .AsParallel()
            .Select(h =>
            {
                var (weighed, pulled) = (0.0, 0.0);
                foreach (var (problem, number, things, boxes) in Divided(h.House))
                {
                    var circuit = h.House.CircuitByNumber(number)!;

                    // Alarms come to a circuit afterwards, and a neighbour's cable may be led elsewhere for its own reasons.
                    if (circuit.Boxes.Length != boxes)
                        continue;
                    weighed += problem.Routed!(things) / (double)problem.Weights.CableFoot;
                    pulled += circuit.Run.Cut.InFeet;
                }

                return (h.Seed, Off: pulled == 0 ? 0 : Math.Abs(weighed - pulled) / pulled);
            })
            .Where(h => h.Off > 0.03)
            .Select(h => $"house {h.Seed}: {h.Off:P1}")
            .ToList();
        off.ShouldBeEmpty(string.Join(", ", off));
    }

    [Fact]
    public void No_plan_that_search_finds_is_cheaper_than_the_planners()
    {
        foreach (var (seed, house) in HouseSet.All.Take(60))
        {
            // Receptacles the search may divide within a room; lights are whole rooms to both.
            foreach (var g in Groups(GeneratedHouse.MakeWithShed(seed), house).Where(g => g.Purpose == CircuitPurpose.Lighting))
            {
                if (ZonePartition.Solve(g.Problem) is not { } exact)
                    continue;
                var search = new GroupSearch(g.Problem);
                exact.Cost.ShouldBeLessThanOrEqualTo(search.Improve(search.First(), 600).Priced(), $"house {seed}, {g.Purpose}");
            }
        }
    }

    private static IEnumerable<GeneralGroups> Groups(Job bare, Analysis.JobAnalysis planned)
    {
        var loose = bare with { Decisions = bare.Decisions with { Boxes = planned.Job.Decisions.Boxes } };
        var house = HouseShape.Of(loose);
        return GeneralGroups.Of(new CircuitDraft(house, planned.Edition), new CableRouter(house)).Where(g => g.Problem.Count > 0);
    }

    private static IEnumerable<(GroupProblem Problem, int Number, int[] Things, int Boxes)> Divided(Analysis.JobAnalysis a)
    {
        foreach (var g in GeneralGroups.Of(new CircuitDraft(a.House, a.Edition), new CableRouter(a.House)).Where(g => g.Problem.Count > 0))
        {
            var plan = g.Now();
            for (var c = 0; c < g.Numbers.Length; c++)
            {
                int[] things = [.. plan.Circuits[c]];
                if (things.Length > 0)
                    yield return (g.Problem, g.Numbers[c], things, things.Sum(t => g.Things[t].Length));
            }
        }
    }
}
