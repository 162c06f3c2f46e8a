using Circuitum.Core.Analysis;
using Circuitum.Core.Planning;
using Circuitum.Formats.Drawings;
using SkiaSharp;

namespace Circuitum.Formats.Tests;

/// <summary>A plan as a picture: what the drawing says is dark is dark in it, at the place where it says so.</summary>
public class PngTests
{
    [Fact]
    public void Walls_stand_dark_around_white_floors_where_the_drawing_has_them()
    {
        var a = Analyzer.Analyze(Planner.PlanAll(JobFileTests.Demo("tamarack-row.json")));
        foreach (var storey in a.Job.Storeys)
        {
            var drawing = PlanComposer.Compose(a, new PlanView(storey.Id, PlanStage.Rooms, StandAlone: true));
            using var picture = SKBitmap.Decode(PngWriter.Write(drawing));
            var perInch = picture.Width / drawing.Extent.Wide;
            ((double)picture.Height).ShouldBe(drawing.Extent.Tall * perInch, 2);

            var (dark, light, asked) = (0, 0, 0);
            foreach (var floor in drawing.Layers.SelectMany(l => l.Shapes).OfType<PathShape>().Where(IsIndoors))
            {
                var steps = floor.Steps.Where(s => s.Kind != StepKind.Close).ToList();
                var (x0, y0) = (steps.Min(s => s.X), steps.Min(s => s.Y));
                var (x1, y1) = (steps.Max(s => s.X), steps.Max(s => s.Y));
                for (var share = 0.04; share < 1; share += 0.04)
                {
                    asked += 2;
                    var at = x0 + ((x1 - x0) * share);
                    dark += Darkness(at, y0 - 1.5) + Darkness(at, y1 + 1.5) > 0.4 ? 2 : 0;
                    light += Darkness(at, y0 + 5) < 0.4 ? 1 : 0;
                    light += Darkness(at, y1 - 5) < 0.4 ? 1 : 0;
                }
            }

            // Openings interrupt walls, and furniture and names stand on floors.
            ((double)dark / asked).ShouldBeGreaterThan(0.75);
            ((double)light / asked).ShouldBeGreaterThan(0.8);

            double Darkness(double x, double y)
            {
                var at = picture.GetPixel((int)((x - drawing.Extent.X0) * perInch), (int)((y - drawing.Extent.Y0) * perInch));
                return 1 - (at.Red / 255d);
            }
        }
    }

    [Fact]
    public void A_picture_of_a_whole_lot_stays_small_enough_to_open()
    {
        var huge = new Drawing("Lot", new(0, 0, 6000, 6000), 2, []);
        using var picture = SKBitmap.Decode(PngWriter.Write(huge));
        ((long)picture.Width * picture.Height).ShouldBeLessThan(16_100_000);
    }

    private static bool IsIndoors(PathShape path) => path.Role == Role.Floor && path.State.Length == 0;
}
