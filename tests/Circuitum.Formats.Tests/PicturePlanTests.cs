using Circuitum.Core.Analysis;
using Circuitum.Core.Geometry;
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
    private const double Near = 3;

    private static readonly string[] Names = ["tamarack-row", "gull-cottage", "starters/bungalow", "starters/cabin", "starters/two-storey"];

    /// <summary>How a picture was taken: by how much it leans, how noisy it is, how hard it was compressed.</summary>
    public static TheoryData<double, int, int> Takes => new() { { 0, 0, 100 }, { -3, 25, 55 } };

    // Over all demos and starters together, storey by storey.
    [Theory]
    [MemberData(nameof(Takes))]
    public void Most_rooms_and_doors_are_found_in_printed_plans(double lean, int noise, int quality)
    {
        var (rooms, found, doors, right) = (0, 0, 0, 0);
        foreach (var name in Names)
        {
            var a = Analyzer.Analyze(JobFileTests.Demo($"{name}.json"));
            foreach (var storey in a.Job.Storeys)
            {
                var drawing = PlanComposer.Compose(a, new PlanView(storey.Id, PlanStage.Rooms));
                var picture = Taken(PngWriter.Write(drawing), lean, noise, quality);
                var (wide, tall) = (Length.Inches(drawing.Extent.Wide), Length.Inches(drawing.Extent.Tall));
                var plan = PicturePlan.Read(picture, wide, tall, storey.Id, Length.Feet(8), a.Job.Frame);
                plan.Problem.ShouldBe("", $"{name}, {storey.Name}");
                Math.Abs(plan.LeansDegrees - lean).ShouldBeLessThan(0.15, $"{name}, {storey.Name}");
                var truth = a.House.Rooms.Where(r => r.Room.Storey == storey.Id && !r.Room.Kind.OpenAir()).ToList();
                var shapes = plan.Rooms.Select(r => new RoomShape(r)).ToList();
                var missed = truth.Where(t => !shapes.Exists(s => Same(t, s, drawing.Extent))).Select(t => t.Room.Name).ToList();
                rooms += truth.Count;
                found += truth.Count - missed.Count;
                var there = truth
                    .SelectMany(r =>
                        r.Openings.Where(o => o.Opening.Room == r.Room.Id && o.Opening.Kind == OpeningKind.Hinged).Select(o => (r, o))
                    )
                    .ToList();
                var wrong = there.Where(d => !plan.Openings.Any(o => IsThat(plan, o, d.r, d.o, drawing.Extent))).ToList();
                doors += there.Count;
                right += there.Count - wrong.Count;
                output.WriteLine($"{name} {storey.Name}: missed {string.Join(", ", missed)}; doors {wrong.Count}");
            }
        }

        output.WriteLine($"{found} of {rooms} rooms, {right} of {doors} doors");
        ((double)found / rooms).ShouldBeGreaterThanOrEqualTo(0.9);
        ((double)right / doors).ShouldBeGreaterThanOrEqualTo(0.8);
    }

    private static bool Same(RoomShape truth, RoomShape read, Area extent) =>
        Off(truth.MinX, read.MinX, extent.X0) <= Near
        && Off(truth.MaxX, read.MaxX, extent.X0) <= Near
        && Off(truth.MinY, read.MinY, extent.Y0) <= Near
        && Off(truth.MaxY, read.MaxY, extent.Y0) <= Near
        && Math.Abs((truth.AreaSqFt / read.AreaSqFt) - 1) < 0.06;

    private static double Off(Length truth, Length read, double origin) => Math.Abs(truth.InInches - origin - read.InInches);

    private static bool IsThat(PicturePlan plan, Opening read, RoomShape room, RoomOpening truth, Area extent)
    {
        if (read.Kind != OpeningKind.Hinged)
            return false;
        var there = new RoomShape(plan.Rooms.Single(r => r.Id == read.Room)).Walls[read.Wall].At(read.From + (read.Width / 2));
        var at = room.Walls[truth.Wall].At(truth.From + (truth.Opening.Width / 2));
        var (dx, dy) = (at.X.InInches - extent.X0 - there.X.InInches, at.Y.InInches - extent.Y0 - there.Y.InInches);
        if (Math.Sqrt((dx * dx) + (dy * dy)) >= 12 || (read.Width - truth.Opening.Width).Abs() > Length.Inches(4))
            return false;

        // It swings to the same side, about the same jamb.
        var shape = new RoomShape(plan.Rooms.Single(r => r.Id == read.Room));
        var (hinge, leaf) = Leaf(shape, read.Wall, read.From, read.Width, read.Hinge, read.SwingsIn);
        var (jamb, tip) = Leaf(room, truth.Wall, truth.From, truth.Opening.Width, truth.Hinge, truth.SwingsIn);
        return IsNear(hinge, jamb, extent) && IsNear(leaf, tip, extent);
    }

    private static (Point Hinge, Point Tip) Leaf(RoomShape room, int wall, Length from, Length width, End hinge, bool swingsIn)
    {
        var at = hinge == End.Start ? from : from + width;
        return (room.On(wall, at), room.On(wall, at, swingsIn ? width.InInches : -width.InInches));
    }

    // Which face of the wall a jamb is measured on differs by who says it.
    private static bool IsNear(Point read, Point truth, Area extent) =>
        Math.Abs(truth.X.InInches - extent.X0 - read.X.InInches) < 14 && Math.Abs(truth.Y.InInches - extent.Y0 - read.Y.InInches) < 14;

    // As a phone or a scanner would give it: turned on its white sheet, with noise, compressed.
    private static byte[] Taken(byte[] png, double lean, int noise, int quality)
    {
        using var sharp = SKBitmap.Decode(png);
        using var sheet = new SKBitmap(sharp.Width, sharp.Height, SKColorType.Rgba8888, SKAlphaType.Opaque);
        using (var canvas = new SKCanvas(sheet))
        {
            canvas.Clear(SKColors.White);
            canvas.RotateDegrees((float)lean, sharp.Width / 2f, sharp.Height / 2f);
            using var image = SKImage.FromBitmap(sharp);
            canvas.DrawImage(image, 0, 0, new SKSamplingOptions(SKCubicResampler.Mitchell));
        }

        var random = new Random(5);
        var bytes = sheet.Bytes;
        for (var i = 0; noise > 0 && i < bytes.Length; i += 4)
        {
            var shade = (byte)Math.Clamp(bytes[i] + random.Next(-noise, noise + 1) - (noise / 2), 0, 255);
            (bytes[i], bytes[i + 1], bytes[i + 2]) = (shade, shade, shade);
        }

        System.Runtime.InteropServices.Marshal.Copy(bytes, 0, sheet.GetPixels(), bytes.Length);
        using var data = sheet.Encode(quality == 100 ? SKEncodedImageFormat.Png : SKEncodedImageFormat.Jpeg, quality);
        return data.ToArray();
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
        var (taken, _) = PictureTaking.Into(a.Job, under, plan, new HashSet<int> { 0, 1, 2 });
        taken.ShouldNotBeNull();
        JobRules.Check(taken).ShouldBeEmpty();
        taken.Rooms.Length.ShouldBe(a.Job.Rooms.Length + 3);
        taken.Rooms[^1].Outline.ShouldAllBe(p => p.X >= under.At.X && p.Y >= under.At.Y);
        taken.Openings.Length.ShouldBeGreaterThan(a.Job.Openings.Length);
        PictureTaking.Into(a.Job, under, plan, new HashSet<int>()).Job.ShouldBe(a.Job);
        var over = under with { At = new(Length.Inches(drawing.Extent.X0), Length.Inches(drawing.Extent.Y0)) };
        PictureTaking.Into(a.Job, over, plan, new HashSet<int> { 0 }).Problem.ShouldContain("would lie over");
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
