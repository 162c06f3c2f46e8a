using Circuitum.Core.Analysis;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Tests;

/// <summary>Power keeps away from data cable; open joists are told of.</summary>
public class DataCableTests
{
    private static readonly Job Planned = CheckTests.PlannedWhole;

    [Fact]
    public void Power_through_a_wall_with_data_cable_is_found_and_led_out_of_it()
    {
        var a = Analyzer.Analyze(Planned);
        var (shape, wall) = a.Circuits.SelectMany(c => c.Run.Cables).SelectMany(h => WallCables.Drilled(a, a.RouteOf(h))).First();
        var with = Analyzer.Analyze(
            Planned with
            {
                Walls =
                [
                    new WallFact
                    {
                        Room = shape.Room.Id,
                        Wall = wall,
                        DataCable = true,
                    },
                ],
            }
        );
        var found = with.Findings.Single(f => f.RuleId == "wire.data");
        found.Severity.ShouldBe(Severity.Should);
        $"{found.Subjects[0]}".ShouldBe($"wall:{shape.Room.Id}:{wall}");
        var closed = new CloseWall(shape.Room.Id, wall, true).Apply(with.Job).Job!;
        closed.Walls.Single().DataCable.ShouldBeTrue();
        Analyzer.Analyze(closed).Findings.ShouldNotContain(f => f.RuleId == "wire.data");
    }

    [Fact]
    public void Open_joists_are_told_of_and_a_ceiling_that_comes_later()
    {
        var drill = DrillList.Of(Analyzer.Analyze(Planned));
        drill.Open.ShouldContain(o => o.StartsWith("Under the floor") && o.Contains("running boards"));
        drill.Open.ShouldContain(o => o.StartsWith("In the attic"));
        var later = DrillList.Of(Analyzer.Analyze(Planned with { Frame = Planned.Frame with { FinishedLater = true } }));
        later.Open.ShouldContain(o => o.Contains("a ceiling comes there later"));
        DrillList
            .Of(Analyzer.Analyze(Planned with { Frame = Planned.Frame with { Under = Under.Slab } }))
            .Open.ShouldNotContain(o => o.StartsWith("Under the floor"));
    }
}
