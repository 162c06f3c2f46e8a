using Circuitum.Core.Commands;
using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Formats.Edits;

namespace Circuitum.Formats.Tests;

/// <summary>Whether two edits of one house touch the same.</summary>
public class JobTouchTests
{
    private static readonly Job House = Planner.PlanAll(JobFileTests.Demo("gull-cottage.json"));

    private static bool Apart(JobCommand one, JobCommand other) =>
        JobTouch.Apart(JobTouch.Between(House, Made(one, House)), JobTouch.Between(House, Made(other, House)));

    private static Job Made(JobCommand command, Job job) => command.Apply(job).Job.ShouldNotBeNull();

    private static string Box(string room, int n = 0) =>
        House.Decisions.Boxes.Where(b => b is { Wall: not null } && b.Room == room).ElementAt(n).Id;

    [Fact]
    public void A_box_here_and_a_wall_there_are_apart()
    {
        var move = new EditRoom("living", "Front room", RoomKind.Living, Length.Feet(8));
        Apart(new RemoveBox(Box("kitchen")), move).ShouldBeTrue();
        Apart(new RemoveBox(Box("kitchen")), new RemoveBox(Box("kitchen", 1))).ShouldBeTrue();
        Apart(new RemoveBox(Box("living")), move).ShouldBeFalse("what stands in a room goes with its walls");
        Apart(new RemoveBox(Box("kitchen")), new RemoveBox(Box("kitchen"))).ShouldBeFalse();
    }

    [Fact]
    public void Facts_of_the_whole_job_are_told_apart_by_what_they_say()
    {
        var one = House with { Preferences = House.Preferences with { StapleEvery = Length.Feet(3) } };
        var other = House with { Preferences = House.Preferences with { StapleFromBox = Length.Inches(6) } };
        JobTouch.Apart(JobTouch.Between(House, one), JobTouch.Between(House, other)).ShouldBeTrue();
        JobTouch.Apart(JobTouch.Between(House, one), JobTouch.Between(House, one)).ShouldBeFalse();
        JobTouch.Between(House, House).ShouldBeEmpty();
        JobTouch.Between(House, House with { Name = "Other" }).ShouldBe(["name"]);
    }

    // Made one after the other, in either order, two that are apart come to the same house.
    [Fact]
    public void Two_edits_that_are_apart_come_to_the_same_in_either_order()
    {
        var edits = House
            .Decisions.Boxes.Where(b => b.Wall is not null)
            .Take(14)
            .Select(b => (JobCommand)new RemoveBox(b.Id))
            .Concat(House.Rooms.Select(r => new EditRoom(r.Id, $"{r.Name} 2", r.Kind, r.CeilingHeight)))
            .Concat(House.Decisions.Circuits.Take(6).Select(c => new LockCircuit(c.Number, true)))
            .ToList();
        var apart = 0;
        foreach (var (one, other) in edits.SelectMany((a, i) => edits.Skip(i + 1).Select(b => (a, b))).Where(p => Apart(p.a, p.b)))
        {
            // Where the one cannot be made after the other, it is not made.
            if (other.Apply(Made(one, House)).Job is null || one.Apply(Made(other, House)).Job is null)
                continue;
            apart++;
            JobTouch.Between(Made(other, Made(one, House)), Made(one, Made(other, House))).ShouldBeEmpty($"{one} and {other}");
        }

        apart.ShouldBeGreaterThan(100);
    }
}
