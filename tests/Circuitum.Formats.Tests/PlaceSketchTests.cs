using Circuitum.Core.Analysis;
using Circuitum.Core.Field;
using Circuitum.Formats.Drawings;

namespace Circuitum.Formats.Tests;

/// <summary>What a phone shows of a place: every box is seen somewhere, every cable has its way.</summary>
public class PlaceSketchTests
{
    [Fact]
    public void Every_box_is_on_its_strip_or_on_a_sketch_and_every_cable_on_one_in_12_houses()
    {
        foreach (var seed in Enumerable.Range(0, 12))
        {
            var a = Analyzer.Analyze(Planner.PlanAll(GeneratedHouse.MakeWithShed(seed)));
            var strips = new Dictionary<(string, int), string>();
            foreach (var task in FieldPlan.Of(a))
            {
                var why = $"house {seed}, {task.Key}";
                if (task.Cable is { } cable)
                {
                    var ways = PlaceSketch.Way(a, cable);
                    ways.ShouldNotBeEmpty(why);
                    ways.Select(w => w.Storey).ShouldBeUnique(why);
                    var all = ways.SelectMany(w => w.Drawing.Layers).SelectMany(l => l.Shapes).ToList();
                    all.Count(s => s.Role == Role.Solid).ShouldBe(2, why);
                    ways.ShouldAllBe(w => Inside(w.Drawing), why);
                }

                if (task.Box.Length == 0)
                    continue;
                if (task.Wall is not { } wall)
                {
                    var sketch = PlaceSketch.Box(a, a.Boxes[task.Box]);
                    Inside(sketch).ShouldBeTrue(why);
                    sketch.Layers.SelectMany(l => l.Shapes).OfType<TextShape>().Count(t => t.Bold).ShouldBeInRange(1, 2, why);
                    continue;
                }

                if (!strips.TryGetValue((task.Room, wall), out var strip))
                {
                    var shape = a.House[task.Room];
                    strips[(task.Room, wall)] = strip = SvgWriter.Text(
                        StripComposer.Compose(a, shape, wall, new() { Cables = WallCables.Of(a, shape, wall) })
                    );
                }

                strip.ShouldContain($"data-on-strip=\"{task.Box}\"", Case.Sensitive, why);
            }
        }
    }

    private static bool Inside(Drawing drawing) =>
        drawing
            .Layers.SelectMany(l => l.Shapes)
            .OfType<PathShape>()
            .SelectMany(p => p.Steps)
            .All(s => s.X >= -1 && s.Y >= -1 && s.X <= drawing.Extent.X1 + 1 && s.Y <= drawing.Extent.Y1 + 1);
}
