using Circuitum.Core.Analysis;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;
using Circuitum.Core.Takeoff;

namespace Circuitum.Core.Tests;

/// <summary>Dimmers, fan controls and timers at the gangs of switch boxes.</summary>
public class ControlTests
{
    private static readonly Job Planned = Planner.PlanAll(Sample.Whole());

    private static Job With(Job job, string box, int gang, SwitchControl control) =>
        new SetControl(box, gang, control).Apply(job) is { Job: { } made } ? made : throw new InvalidOperationException(box);

    // Every gang that a box of the house has, with the first thing it works.
    private static IEnumerable<(Box Box, int Gang, Box Load)> Gangs(Job job) =>
        job.Decisions.Boxes.SelectMany(b => b.Gangs.Select((g, i) => (b, i + 1, job.Decisions.Boxes.Single(l => l.Id == g.Lights[0]))));

    private static bool Lamp(Box load) => load.Kind == BoxKind.Light && load.Fixture != LightStyle.Fan;

    [Fact]
    public void A_control_is_told_bought_and_kept_by_the_box()
    {
        var before = Analyzer.Analyze(Planned);
        var (box, gang, _) = Gangs(Planned).First(g => Lamp(g.Load) && before.Specs[g.Box.Id].Ways[g.Gang - 1] == 1);
        var job = With(Planned, box.Id, gang, SwitchControl.Dimmer);
        var a = Analyzer.Analyze(job);
        a.Specs[box.Id].Device.ShouldContain("single pole dimmer");
        a.Specs[box.Id].Switches[gang - 1].ShouldBe("single pole dimmer");
        a.Boxes[box.Id].By.ShouldBe(Origin.Person);
        a.Findings.ShouldNotContain(f => f.RuleId == "switch.control");
        long Of(JobAnalysis x, string key) => HouseMaterial.Of(x).Pieces.Where(p => p.Item.Key == key).Sum(p => p.Amount);
        Of(a, "switch.dimmer.1-way").ShouldBe(1);
        Of(a, "switch.1-way").ShouldBe(Of(before, "switch.1-way") - 1);
        new ProposeBoxes(null)
            .Apply(job)
            .Job!.Decisions.Boxes.Single(b => b.Id == box.Id)
            .Gangs[gang - 1]
            .Control.ShouldBe(SwitchControl.Dimmer);
    }

    [Fact]
    public void Each_control_is_found_wrong_exactly_where_what_it_works_is_not_made_for_it()
    {
        var a = Analyzer.Analyze(Planned);
        foreach (var control in Enum.GetValues<SwitchControl>().Except([SwitchControl.Toggle]))
        {
            foreach (var (box, gang, load) in Gangs(Planned))
            {
                var wrong =
                    a.Specs[box.Id].Ways[gang - 1] == 4
                    || control switch
                    {
                        SwitchControl.Dimmer => !Lamp(load),
                        SwitchControl.FanSpeed => Lamp(load),
                        SwitchControl.Humidity => load.Kind != BoxKind.Appliance,
                        SwitchControl.Cord => true,
                        _ => false,
                    };
                var found = Analyzer
                    .Analyze(With(Planned, box.Id, gang, control))
                    .Findings.Where(f => f.RuleId == "switch.control")
                    .ToList();
                found.Count.ShouldBe(wrong ? 1 : 0, $"{control} at {box.Id}, gang {gang}");
                if (wrong)
                    Analyzer
                        .Analyze(found[0].Fix!.Edit.Apply(With(Planned, box.Id, gang, control)).Job!)
                        .Findings.ShouldNotContain(f => f.RuleId == "switch.control");
            }
        }
    }

    [Fact]
    public void One_light_has_one_dimmer()
    {
        var ends = Gangs(Planned).Where(g => Lamp(g.Load)).GroupBy(g => g.Load.Id).First(g => g.Count() == 2).ToList();
        var job = With(Planned, ends[0].Box.Id, ends[0].Gang, SwitchControl.Dimmer);
        Analyzer.Analyze(job).Findings.ShouldNotContain(f => f.RuleId == "switch.control");
        Analyzer
            .Analyze(With(job, ends[1].Box.Id, ends[1].Gang, SwitchControl.Dimmer))
            .Findings.Where(f => f.RuleId == "switch.control")
            .ShouldHaveSingleItem()
            .Sentence.ShouldContain("second control");
    }

    [Theory]
    [InlineData("nowhere", 1, SwitchControl.Dimmer, "not there")]
    [InlineData("switch", 0, SwitchControl.Dimmer, "Gang")]
    [InlineData("switch", 9, SwitchControl.Dimmer, "Gang")]
    [InlineData("switch", 1, (SwitchControl)77, "Control")]
    [InlineData("light", 1, SwitchControl.Dimmer, "no switch")]
    public void What_cannot_be_is_refused_by_its_field(string which, int gang, SwitchControl control, string told)
    {
        var id = which switch
        {
            "switch" => Gangs(Planned).First().Box.Id,
            "light" => Gangs(Planned).First().Load.Id,
            _ => which,
        };
        new SetControl(id, gang, control).Apply(Planned).Problem.ShouldContain(told);
    }
}
