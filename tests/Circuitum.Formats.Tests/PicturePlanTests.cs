using Circuitum.Core.Analysis;
using Circuitum.Core.Intake;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Formats.Drawings;
using Circuitum.Formats.Pictures;
using SkiaSharp;
using Xunit.Abstractions;

namespace Circuitum.Formats.Tests;

/// <summary>Rooms and openings read out of pictures of plans.</summary>
public class PicturePlanTests(ITestOutputHelper output)
{
    /// <summary>How a picture was taken: by how much it leans, how noisy it is, how hard it was compressed.</summary>
    public static TheoryData<double, int, int> Takes => new() { { -3, 25, 55 } };

    // Over all demos and starters together, storey by storey.
    [Theory]
    [MemberData(nameof(Takes))]
    public void Most_rooms_and_doors_are_found_in_printed_plans(double lean, int noise, int quality)
    {
        var tally = new PlanPictures.Tally();
        foreach (var name in PlanPictures.Names)
        {
            var a = Analyzer.Analyze(JobFileTests.Demo($"{name}.json"));
            foreach (var storey in a.Job.Storeys)
            {
                var drawing = PlanComposer.Compose(a, new PlanView(storey.Id, PlanStage.Rooms));
                var picture = PlanPictures.Scanned(PngWriter.Write(drawing), lean, noise, quality);
                var (wide, tall) = (Length.Inches(drawing.Extent.Wide), Length.Inches(drawing.Extent.Tall));
                var plan = PicturePlan.Read(picture, wide, tall, storey.Id, Length.Feet(8), a.Job.Frame);
                plan.Problem.ShouldBe("", $"{name}, {storey.Name}");
                Math.Abs(plan.LeansDegrees - lean).ShouldBeLessThan(0.15, $"{name}, {storey.Name}");
                tally.Add(a, storey.Id, plan, drawing.Extent);
            }
        }

        output.WriteLine(tally.ToString());
        ((double)tally.Found / tally.Rooms).ShouldBeGreaterThanOrEqualTo(0.9);
        ((double)tally.Right / tally.Doors).ShouldBeGreaterThanOrEqualTo(0.8);
    }

    [Fact]
    public void What_is_taken_is_a_job_that_can_be_worked_with_where_the_picture_lies()
    {
        var a = Analyzer.Analyze(JobFileTests.Demo("starters/bungalow.json"));
        var storey = a.Job.Storeys[0].Id;
        var drawing = PlanComposer.Compose(a, new PlanView(storey, PlanStage.Rooms));
        var under = new Underlay
        {
            Storey = storey,
            At = new(Length.Feet(100), Length.Feet(50)),
            Width = Length.Inches(drawing.Extent.Wide),
            Height = Length.Inches(drawing.Extent.Tall),
        };
        var plan = PicturePlan.Read(PngWriter.Write(drawing), under.Width, under.Height, storey, Length.Feet(8), a.Job.Frame);
        var (taken, _) = PictureTaking.Into(
            a.Job,
            under,
            plan,
            new Dictionary<int, string>
            {
                [0] = "",
                [1] = "Kitchen",
                [2] = "",
            }
        );
        taken.ShouldNotBeNull();
        JobRules.Check(taken).ShouldBeEmpty();
        taken.Rooms.Length.ShouldBe(a.Job.Rooms.Length + 3);
        taken.Rooms[^1].Outline.ShouldAllBe(p => p.X >= under.At.X && p.Y >= under.At.Y);
        taken.Rooms[^2].Name.ShouldStartWith("Kitchen");
        taken.Rooms[^2].Kind.ShouldBe(RoomKind.Kitchen);
        taken.Openings.Length.ShouldBeGreaterThan(a.Job.Openings.Length);
        PictureTaking.Into(a.Job, under, plan, new Dictionary<int, string>()).Job.ShouldBe(a.Job);
        var over = under with { At = new(Length.Inches(drawing.Extent.X0), Length.Inches(drawing.Extent.Y0)) };
        PictureTaking.Into(a.Job, over, plan, new Dictionary<int, string> { [0] = "" }).Problem.ShouldContain("would lie over");
    }

    [Fact]
    public void A_picture_without_a_plan_is_said_to_be_one()
    {
        using var blank = new SKBitmap(400, 300);
        blank.Erase(SKColors.White);
        using var white = blank.Encode(SKEncodedImageFormat.Png, 100);
        PicturePlan Of(byte[] bytes, double feet) =>
            PicturePlan.Read(bytes, Length.Feet(feet), Length.Feet(feet * 0.75), "s", Length.Feet(8), new());
        Of(white.ToArray(), 40).Problem.ShouldContain("No walls");
        Of([1, 2, 3], 40).Problem.ShouldContain("not a PNG");
        Of(white.ToArray(), 4000).Problem.ShouldContain("more than a house");

        // Thick strokes that enclose nothing.
        using (var canvas = new SKCanvas(blank))
            canvas.DrawRect(50, 50, 300, 8, new SKPaint { Color = SKColors.Black });
        using var stroke = blank.Encode(SKEncodedImageFormat.Png, 100);
        Of(stroke.ToArray(), 40).Problem.ShouldContain("No room is enclosed");
    }
}
