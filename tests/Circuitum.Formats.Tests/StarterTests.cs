using Circuitum.Core.Analysis;
using Circuitum.Core.Commands;
using Circuitum.Core.Drafting;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Planning;
using Circuitum.Core.Review;

namespace Circuitum.Formats.Tests;

public class StarterTests
{
    private static Job Starter(string name)
    {
        var at = new DirectoryInfo(AppContext.BaseDirectory);
        while (!File.Exists(Path.Combine(at!.FullName, "Circuitum.slnx")))
            at = at.Parent;
        return JobFile.Read(File.ReadAllText(Path.Combine(at.FullName, "demo", "starters", name + ".json"))).Job!;
    }

    [Theory]
    [InlineData("cabin")]
    [InlineData("bungalow")]
    [InlineData("two-storey")]
    public void A_starter_house_is_planned_without_a_must_finding(string name) =>
        Analyzer.Analyze(Planner.PlanAll(Starter(name))).Findings.Where(f => f.Severity == Severity.Must).ShouldBeEmpty();

    [Theory]
    [InlineData(null)]
    [InlineData(Turning.MirrorEastWest)]
    [InlineData(Turning.MirrorNorthSouth)]
    [InlineData(Turning.QuarterTurn)]
    public void A_room_of_a_turned_house_is_split_and_joined_again(Turning? how)
    {
        var job = Starter("bungalow");
        if (how is { } turn)
            job = new TurnHouse(turn).Apply(job).Job!;
        var split = new SplitRoom("bedroom-2", 2, Length.Feet(3), "Dressing room").Apply(job);
        split.Problem.ShouldBe("");
        var joined = new JoinRooms("bedroom-2", "dressing-room").Apply(split.Job!);
        joined.Problem.ShouldBe("");
        joined.Job!.RoomById("bedroom-2")!.Outline.ToHashSet().SetEquals(job.RoomById("bedroom-2")!.Outline).ShouldBeTrue();
    }
}
