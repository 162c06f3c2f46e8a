using Circuitum.Core.Analysis;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Planning;
using Circuitum.Core.Review;

namespace Circuitum.Formats.Tests;

public class PlanDrawingTests
{
    private static Job Demo() => JobFileTests.Demo("tamarack-row.json");

    private static PlanDrawing Draw(Job job, string pick = "") => PlanSvg.Parts(Analyzer.Analyze(job), new("first", PlanStage.Rooms, pick));

    [Fact]
    public void After_an_edit_only_what_changed_is_drawn()
    {
        var job = Demo();
        var before = Draw(job);
        var counter = job.Counters.First(c => c.Spot.Wall is not null);
        var moved = new EditThing(
            Subject.Parse($"counter:{counter.Id}"),
            counter.Spot.From,
            counter.Spot.Width - Length.Inches(6),
            counter.Spot.Depth
        )
            .Apply(job)
            .Job.ShouldNotBeNull();
        var part = Draw(moved).Since(before).ShouldNotBeNull();
        part.ShouldContain("id=\"part-things-");
        part.ShouldNotContain("id=\"part-floor-");
        part.Length.ShouldBeLessThan(before.Whole.Length / 4);
        part.ShouldStartWith("<svg");
        part.ShouldEndWith("</svg>");
        before.Since(before).ShouldBe(before.Open + "</svg>");
    }

    [Fact]
    public void A_room_more_is_drawn_whole()
    {
        var job = Demo();
        var more = new DrawRoom(
            "first",
            [new Point(Length.Feet(100), Length.Zero), new Point(Length.Feet(110), Length.Feet(10))],
            "",
            RoomKind.Den
        )
            .Apply(job)
            .Job.ShouldNotBeNull();
        Draw(more).Since(Draw(job)).ShouldBeNull();
    }

    [Fact]
    public void The_parts_make_up_the_whole()
    {
        var drawing = Draw(Demo(), "room:kitchen");
        var whole = System.Xml.Linq.XDocument.Parse(drawing.Whole);
        whole.Root!.Elements().Select(e => e.Attribute("id")!.Value).ShouldBe(drawing.Parts.Select(p => $"part-{p.Key}"));
    }

    [Fact]
    public void Beside_another_plan_the_circuits_that_change_show_their_whole_way()
    {
        var a = Analyzer.Analyze(Planner.PlanAll(Demo()));
        var circuit = a.Circuits.First(c => c.Circuit.Purpose == CircuitPurpose.Receptacles && c.Boxes.Length > 3);
        var storey = a.House[circuit.Boxes[0].Room].Room.Storey;
        int Drawn(IReadOnlySet<string>? changed) =>
            PlanSvg.Draw(a, new PlanView(storey, PlanStage.Circuits, Changed: changed)).Split("class=\"run changed").Length - 1;
        Drawn(null).ShouldBe(0);

        // Every cable of it, the home run too.
        Drawn(new HashSet<string> { circuit.Boxes[0].Id }).ShouldBe(circuit.Run.Cables.Count());
    }
}
