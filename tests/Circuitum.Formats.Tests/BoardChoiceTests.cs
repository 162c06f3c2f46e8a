using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Formats.Tests;

/// <summary>What is chosen about the villa's conduit and switches, and the colours of its wires, is told where it is looked for.</summary>
public class BoardChoiceTests
{
    private static readonly Job Planned = Planner.PlanAll(BoardSample.Villa());

    private static string Over(Job job)
    {
        var a = Analyzer.Analyze(job);
        return string.Join(" ", BoardLines.Over(a, BoardSheet.Of(a, a.Panels[0])!));
    }

    [Theory]
    [InlineData("sb-gulf", "R red, Y yellow, B blue, neutral black, protective green and yellow")]
    [InlineData("sb-british", "L1 brown, L2 black, L3 grey, neutral blue, protective green and yellow")]
    public void The_schedule_tells_the_colours_of_its_lines(string edition, string words) =>
        Over(Planned with { CodeEdition = edition }).ShouldContain(words);

    [Theory]
    [InlineData(ConduitPlace.Chased, "chased into walls", "flush box")]
    [InlineData(ConduitPlace.Surface, "on the surface of walls", "surface box")]
    public void Chased_or_surface_conduit_is_told_with_its_boxes(ConduitPlace place, string words, string box)
    {
        var job = Planned with { Preferences = Planned.Preferences with { ConduitPlace = place } };
        Over(job).ShouldContain(words);
        var a = Analyzer.Analyze(job);
        a.Job.Decisions.Boxes.Where(b => b.Kind == BoxKind.Receptacle).ShouldAllBe(b => a.Specs[b.Id].Device.EndsWith(box));
        a.Circuits.First(c => !c.Board!.Ring).RunWhy().Because.ShouldContain(words);
    }

    [Fact]
    public void A_switch_beside_a_shower_is_found_unless_it_hangs_on_a_cord()
    {
        var wet = Planned.Fixtures.First(f => f.Kind is FixtureKind.Shower or FixtureKind.Tub);
        var light = Planned.Decisions.Boxes.First(b => b.Kind == BoxKind.Light && b.Room == wet.Room);
        Job With(SwitchControl control)
        {
            var near = new Box
            {
                Id = $"{wet.Room}.s9",
                Kind = BoxKind.Switch,
                Room = wet.Room,
                Wall = wet.Spot.Wall,
                Along = wet.Spot.From + (wet.Spot.Width / 2),
                Height = Length.Millimetres(1200),
                Gangs =
                [
                    new SwitchGang
                    {
                        Lights = [light.Id],
                        Locations = 1,
                        Control = control,
                    },
                ],
            };
            return Planned with { Decisions = Planned.Decisions with { Boxes = Planned.Decisions.Boxes.Add(near) } };
        }

        bool Found(Job job) => Analyzer.Analyze(job).Findings.Any(f => f.RuleId == "box.wet");
        Found(With(SwitchControl.Toggle)).ShouldBeTrue();
        Found(With(SwitchControl.Cord)).ShouldBeFalse();

        CodeLibrary.Edition("us-2023").Controls.ShouldNotContain(SwitchControl.Cord);
        CodeLibrary.Edition("sb-gulf").Controls.ShouldContain(SwitchControl.Cord);
    }
}
