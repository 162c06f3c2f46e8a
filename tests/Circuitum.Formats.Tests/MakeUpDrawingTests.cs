using Circuitum.Core.Analysis;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Planning;
using Circuitum.Core.Review;
using Circuitum.Formats.Drawings;

namespace Circuitum.Formats.Tests;

/// <summary>The drawing of a panel with its cover off: scale, legs, marks, wires, turns.</summary>
public class MakeUpDrawingTests
{
    private static readonly JobAnalysis A = Analyzer.Analyze(
        Planner.PlanSpaces(
            new PutOnWall("sub-panel", "sitting", 0, Length.Feet(2), default)
                .Apply(Planner.PlanAll(JobFileTests.Demo("tamarack-row.json")))
                .Job!,
            afresh: true
        )
    );

    [Fact]
    public void Spaces_are_an_inch_and_wires_as_broad_as_their_copper()
    {
        var m = MakeUp.Of(A, A.Panels[0]);
        var strokes = Stroke.Of(MakeUpDrawing.Of(m));

        // The cabinet is the broadest box; all else is told in its inches.
        var cabinet = strokes.Where(s => s.Kind == StrokeKind.Box).MaxBy(s => s.X1 - s.X0)!;
        var inch = (cabinet.X1 - cabinet.X0) / 14.5;
        var ones = strokes
            .Where(s => s.Kind == StrokeKind.Box && Math.Abs(s.Y1 - s.Y0 - (inch - 2)) < 0.01 && Math.Abs(s.X1 - s.X0 - (3 * inch)) < 0.01)
            .ToList();
        ones.Count.ShouldBe(A.Panels[0].Schedule.Count(r => r.Free) + m.Breakers.Count(b => b.Poles == 1));
        foreach (var y in ones.Select(o => o.Y0).Distinct().Order().Zip(ones.Select(o => o.Y0).Distinct().Order().Skip(1)))
            ((y.Second - y.First) % inch).ShouldBe(0, 0.02);

        // 12 AWG is 0.081 in, 6 AWG 0.162 in.
        foreach (var (size, inches) in new[] { ("12", 0.0808), ("6", 0.162) })
        {
            var wires = m.Breakers.Where(b => b.Size.ToString() == size).Sum(b => b.Poles);
            wires.ShouldBeGreaterThan(0);
            strokes
                .Count(s =>
                    s.Kind == StrokeKind.Line
                    && Math.Abs(s.Weight - (inches * inch)) < 0.02
                    && s.X1 is var x
                    && (x == cabinet.X0 || x == cabinet.X1)
                )
                .ShouldBe(wires);
        }
    }

    [Fact]
    public void Every_breaker_shows_its_turn_rating_mark_and_label_and_every_terminal_is_there()
    {
        foreach (var at in A.Panels)
        {
            var m = MakeUp.Of(A, at);
            var drawing = MakeUpDrawing.Of(m);
            var strokes = Stroke.Of(drawing);
            var texts = strokes.Where(s => s.Kind == StrokeKind.Text).Select(s => s.Text).ToList();
            foreach (var b in m.Breakers)
                texts.ShouldContain($"{b.Order}");
            texts.Count(t => t is "AF" or "GF" or "AF GF").ShouldBe(m.Breakers.Count(b => b.Mark != ""));
            strokes.Count(s => s.Kind == StrokeKind.Circle && s.X1 < 5).ShouldBe(m.NeutralTerminals + m.GroundWires);
            texts.ShouldContain(t => t.Contains(m.Bonded ? "joined here only" : "stay apart"));
            strokes.ShouldAllBe(s => s.X0 >= 0 && s.Y0 >= 0 && s.X0 <= drawing.Extent.Wide && s.Y0 <= drawing.Extent.Tall);
            System.Xml.Linq.XDocument.Parse(SvgWriter.Text(drawing)).Root!.Elements().Single().Elements().Count().ShouldBe(strokes.Count);
            if (m.Bonded)
                m.Breakers.Single(b => b.Name.StartsWith("Heat pump")).Remark.ShouldBeTrue();
            MakeUpWords.Of(A, m).ShouldContain(l => l.StartsWith("Grounds, largest first: "));
        }
    }

    [Fact]
    public void Halves_of_a_tandem_are_half_as_tall()
    {
        var plain = Planner.PlanSpaces(A.Job with { Preferences = A.Job.Preferences with { ArcFault = ArcFaultPlace.FirstOutlet } });
        var a = Analyzer.Analyze(plain);
        var fits = a.Circuits.Where(c => c.Panel == "main" && c.Poles == 1 && c.Protection.BreakerMark == "" && c.Pair is null).ToList();
        var space = a.RowOf(fits[1])!.Space;
        var shared = new MoveBreaker(fits[0].Number, space, Half: TandemHalf.Lower)
            .Apply(new EditPanel("main", new() { TandemSpaces = [space] }).Apply(plain).Job!)
            .Job!;
        var b = Analyzer.Analyze(shared);
        var drawing = Stroke.Of(MakeUpDrawing.Of(MakeUp.Of(b, b.Panels[0])));
        drawing.Count(s => s.Kind == StrokeKind.Box && Math.Abs(s.Y1 - s.Y0 - 10) < 0.01).ShouldBe(2);
        drawing.ShouldContain(s => s.Text.StartsWith($"{space}A  "));
        SvgWriter.Text(PanelDrawing.Of(b, "main")).ShouldContain($"data-space=\"{space}B\"");
        ScheduleCsv.Write(b).ShouldContain($"{space}B,{fits[0].Number},");
    }
}
