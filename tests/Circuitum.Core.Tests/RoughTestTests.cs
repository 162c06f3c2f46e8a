using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Tests;

/// <summary>The test before the walls close, dead or live.</summary>
public class RoughTestTests
{
    private static RoughTest Of(RoughTesting way) =>
        RoughTest.Of(
            Analyzer.Analyze(CheckTests.PlannedWhole with { Preferences = CheckTests.PlannedWhole.Preferences with { RoughTesting = way } })
        );

    [Fact]
    public void Nothing_is_connected_before_the_inspection_unless_the_job_wants_a_live_test()
    {
        var dead = Of(new Preferences().RoughTesting);
        dead.Cautions[0].ShouldContain("Nothing is connected");
        dead.Lines.SelectMany(l => l.Tries).ShouldNotContain(t => t.Contains(" V at "));
        var live = Of(RoughTesting.Live);
        live.Cautions[0].ShouldContain("licensed electrician");
        live.Cautions.ShouldContain(c => c.Contains("ground-fault protection"));
        live.Cautions.Length.ShouldBeGreaterThan(dead.Cautions.Length + 2);
        live.Lines.Select(l => l.Tries.Last()).Distinct().ShouldBe(["breaker off, proven dead"]);
        live.Lines.SelectMany(l => l.Tries).ShouldContain(t => t.Contains("test button"));
    }

    [Fact]
    public void Every_circuit_is_tried_to_its_farthest_box_and_every_switch_to_its_lights()
    {
        var a = Analyzer.Analyze(CheckTests.PlannedWhole);
        var test = Of(RoughTesting.Dead);
        test.Lines.Select(l => l.Circuit.Number).ShouldBe(a.Circuits.Select(c => c.Number));
        foreach (var line in test.Lines)
        {
            // No cable goes on from the box at the end.
            line.Circuit.Run.Segments.ShouldNotContain(h => h.From == line.End && h.Way > Measure.Length.Zero);
            foreach (var box in line.Circuit.Boxes.Where(b => b.Gangs.Length > 0))
                line.Tries.ShouldContain(t => t.StartsWith($"{box.Id}: ") && box.Gangs.SelectMany(g => g.Lights).All(t.Contains));
        }
    }
}
