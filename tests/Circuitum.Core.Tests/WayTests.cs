using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Tests;

/// <summary>Ways of working: sets of preferences to begin with.</summary>
public class WayTests
{
    [Fact]
    public void Every_way_is_made_of_preferences_that_there_are_and_changes_the_usual_ones()
    {
        CodeLibrary.Ways.Length.ShouldBeInRange(3, 4);
        foreach (var way in CodeLibrary.Ways)
        {
            way.Preferences.Keys.Where(k => PreferenceFields.Find(k) is null).ShouldBeEmpty(way.Id);
            var taken = new TakeWay(way.Id).Apply(Sample.Flat()).Job.ShouldNotBeNull(way.Id);
            foreach (var (key, value) in way.Preferences)
                PreferenceFields.Find(key)!.Read(taken.Preferences).ShouldBe(value, $"{way.Id}: {key}");
        }

        new TakeWay("moon").Apply(Sample.Flat()).Problem.ShouldContain("Choose one");
    }

    [Fact]
    public void Before_it_is_taken_a_way_says_what_it_would_make_of_the_house_and_it_is_so()
    {
        var a = Analyzer.Analyze(Planner.PlanAll(GeneratedHouse.MakeWithShed(7)));
        foreach (var way in CodeLibrary.Ways)
        {
            var told = WayPreview.Of(a, way.Id).ShouldNotBeNull();
            var then = Analyzer.Analyze(Planner.PlanAfresh(new TakeWay(way.Id).Apply(a.Job).Job!));
            told.Breakers.ShouldBe((a.Circuits.Length, then.Circuits.Length));
            told.Musts.Then.ShouldBe(then.Findings.Count(f => f.Severity == Severity.Must), way.Id);
        }

        var (roomy, lean) = (WayPreview.Of(a, "roomy")!, WayPreview.Of(a, "lean")!);
        roomy.Breakers.Then.ShouldBeGreaterThan(lean.Breakers.Then);
        WayPreview.Of(Analyzer.Analyze(Sample.Flat()), "lean").ShouldBeNull();
    }
}
