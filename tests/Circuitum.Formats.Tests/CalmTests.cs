using Circuitum.Core.Analysis;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Formats.Drawings;

namespace Circuitum.Formats.Tests;

/// <summary>The same input gives the same picture, a small edit moves few labels, and a storey shows what lies below it.</summary>
public class CalmTests
{
    private static readonly Job Planned = Planner.PlanAll(JobFileTests.Demo("tamarack-row.json"));

    private static Dictionary<string, (double X, double Y)> Labels(Job job, string storey) =>
        new DrawnPlan(PlanComposer.Compose(Analyzer.Analyze(job), new PlanView(storey, PlanStage.Circuits)))
            .Texts.Select((t, i) => (t.What, t.Area))
            .GroupBy(t => t.What)
            .SelectMany(g => g.OrderBy(t => t.Area.X0).ThenBy(t => t.Area.Y0).Select((t, n) => ($"{g.Key} {n}", (t.Area.X0, t.Area.Y0))))
            .ToDictionary();

    [Fact]
    public void A_box_moved_along_its_wall_moves_few_labels()
    {
        const double FarEnoughToSee = 3;
        var before = Labels(Planned, "first");
        Labels(Planned, "first").ShouldBe(before);
        var moved = new List<double>();
        foreach (var box in Planned.Decisions.Boxes.Where(b => b is { Kind: BoxKind.Receptacle, Wall: not null }).Take(24))
        {
            var edited = new MoveBox(box.Id, null, box.Along + Length.Inches(4), null).Apply(Planned);
            if (edited.Job is null)
                continue;
            var after = Labels(edited.Job, "first");
            var changed = after.Count(l =>
                before.TryGetValue(l.Key, out var was)
                && (Math.Abs(was.X - l.Value.X) > FarEnoughToSee || Math.Abs(was.Y - l.Value.Y) > FarEnoughToSee)
            );
            moved.Add((double)changed / after.Count);
        }

        moved.Count.ShouldBeGreaterThan(10);
        moved.Average().ShouldBeLessThan(0.05);
    }

    [Fact]
    public void An_upper_storey_shows_the_rooms_below_it_and_the_lowest_shows_none()
    {
        int Ghosts(string storey, PlanStage stage) =>
            PlanComposer
                .Compose(Analyzer.Analyze(Planned), new PlanView(storey, stage))
                .Layers.SelectMany(l => l.Shapes)
                .Count(s => s.Role == Role.Ghost);
        Ghosts("second", PlanStage.Rooms).ShouldBe(Planned.Rooms.Count(r => r.Storey == "first" && !r.Kind.OpenAir()));
        Ghosts("first", PlanStage.Rooms).ShouldBe(0);
        Ghosts("second", PlanStage.Circuits).ShouldBe(0);
    }
}
