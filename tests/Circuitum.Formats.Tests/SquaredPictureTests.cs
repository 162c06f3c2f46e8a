using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Formats.Drawings;
using Circuitum.Formats.Pictures;
using SkiaSharp;
using Xunit.Abstractions;

namespace Circuitum.Formats.Tests;

/// <summary>Pictures taken at a slant, laid flat by four corners.</summary>
public class SquaredPictureTests(ITestOutputHelper output)
{
    // A camera over a table: leaned back, leaned aside, turned about its axis, in degrees.
    [Fact]
    public void Rooms_are_read_out_of_a_plan_that_was_photographed_at_a_slant()
    {
        var (back, aside, turned) = (18, -12, 4);
        var tally = new PlanPictures.Tally();
        foreach (var name in new[] { "tamarack-row", "starters/two-storey" })
        {
            var a = Analyzer.Analyze(JobFileTests.Demo($"{name}.json"));
            var storey = a.Job.Storeys[0].Id;
            var drawing = PlanComposer.Compose(a, new PlanView(storey, PlanStage.Rooms));
            SKMatrix? lens = null;
            var picture = PlanPictures.Seen(
                PngWriter.Write(drawing),
                12,
                80,
                (wide, tall) => (lens = Camera(wide, tall, back, aside, turned)).Value,
                photograph: true
            );
            using var size = SKBitmap.Decode(picture);

            // The corners of the house by its outer walls, as a hand would click them, two pixels off here and there.
            var rooms = a.House.Rooms.Where(r => r.Room.Storey == storey && !r.Room.Kind.OpenAir()).ToList();
            var (x0, x1) = (rooms.Min(r => r.MinX).InInches, rooms.Max(r => r.MaxX).InInches);
            var (y0, y1) = (rooms.Min(r => r.MinY).InInches, rooms.Max(r => r.MaxY).InInches);
            var perInch = size.Width / drawing.Extent.Wide;
            var seen = new[] { (x0, y0), (x1, y0), (x1, y1), (x0, y1) }
                .Select(p =>
                    lens!.Value.MapPoint((float)((p.Item1 - drawing.Extent.X0) * perInch), (float)((p.Item2 - drawing.Extent.Y0) * perInch))
                )
                .Select((p, i) => ((p.X + (i % 2)) / (double)size.Width, (p.Y - (i / 2)) / (double)size.Height))
                .Reverse()
                .ToList();
            var (flat, problem) = SquaredPicture.Of(picture, seen, (x1 - x0) / (y1 - y0));
            flat.ShouldNotBeNull(problem);
            var wide = (x1 - x0) / flat.Width;
            var tall = (y1 - y0) / flat.Height;
            var plan = PicturePlan.Read(flat.Png, Length.Inches(wide), Length.Inches(tall), storey, Length.Feet(8), a.Job.Frame);
            plan.Problem.ShouldBe("", name);
            var extent = new Area(x0 - (flat.Left * wide), y0 - (flat.Top * tall), x1, y1);
            tally.Add(a, storey, plan, extent);
        }

        output.WriteLine(tally.ToString());
        ((double)tally.Found / tally.Rooms).ShouldBeGreaterThanOrEqualTo(0.9);
        ((double)tally.Right / tally.Doors).ShouldBeGreaterThanOrEqualTo(0.8);
    }

    // A sheet leaned before a lens as long as the picture is wide.
    private static SKMatrix Camera(double wide, double tall, double back, double aside, double turned)
    {
        var (b, s, t) = (back * Math.PI / 180, aside * Math.PI / 180, turned * Math.PI / 180);
        var lens = wide * 1.1;
        (double X, double Y) See(double x, double y)
        {
            var (u, v) = (x - (wide / 2), y - (tall / 2));
            (u, v) = ((Math.Cos(t) * u) - (Math.Sin(t) * v), (Math.Sin(t) * u) + (Math.Cos(t) * v));
            var (p, z) = (Math.Cos(b) * v, -Math.Sin(b) * v);
            (u, z) = ((Math.Cos(s) * u) + (Math.Sin(s) * z), (Math.Cos(s) * z) - (Math.Sin(s) * u));
            var near = lens / (lens * 1.3 + z);
            return ((wide / 2) + (u * near), (tall / 2) + (p * near));
        }

        // The matrix that flattens what is seen, the other way round.
        var flatten = Perspective.Onto([See(0, 0), See(wide, 0), See(wide, tall), See(0, tall)], 0, 0, wide, tall);
        flatten.TryInvert(out var seen).ShouldBeTrue();
        return seen;
    }

    // Leaned both ways, a rectangle itself tells how wide it is by its height.
    [Fact]
    public void The_proportion_of_a_rectangle_is_estimated_where_nobody_measured_it()
    {
        foreach (var (wide, tall) in new[] { (1500.0, 1000.0), (1000.0, 1000.0), (900.0, 1400.0) })
        {
            var camera = Camera(2000, 1600, 22, 16, 3);
            var quad = new[] { (0.0, 0.0), (wide, 0.0), (wide, tall), (0.0, tall) }
                .Select(p => camera.MapPoint((float)(p.Item1 + 200), (float)(p.Item2 + 100)))
                .Select(p => ((double)p.X, (double)p.Y))
                .ToArray();
            (Perspective.Proportion(quad, 1000, 800) / (wide / tall)).ShouldBeInRange(0.98, 1.02);
        }
    }

    [Fact]
    public void Corners_that_are_none_are_told()
    {
        using var blank = new SKBitmap(400, 300);
        blank.Erase(SKColors.White);
        using var png = blank.Encode(SKEncodedImageFormat.Png, 100);
        string Of(params (double, double)[] corners) => SquaredPicture.Of(png.ToArray(), corners).Problem;
        Of((0.1, 0.1), (0.9, 0.1), (0.9, 0.9), (0.1, 0.9)).ShouldBe("");
        Of((0.9, 0.9), (0.1, 0.1), (0.9, 0.1), (0.1, 0.9)).ShouldBe("");
        Of((0.1, 0.1), (0.9, 0.1), (0.9, 0.9)).ShouldContain("four points");
        Of((0.1, 0.1), (0.5, 0.5), (0.9, 0.9), (0.2, 0.2)).ShouldContain("four points");
        Of((0.1, 0.1), (0.12, 0.1), (0.12, 0.12), (0.1, 0.12)).ShouldContain("too close");
        Of((0.1, 0.1), (0.9, 0.1), (0.9, 0.9), (double.NaN, 0.9)).ShouldContain("four points");
        SquaredPicture.Of(png.ToArray(), [(0, 0), (1, 0), (1, 1), (0, 1)], 1000).Problem.ShouldContain("do not go together");
        SquaredPicture.Of([1, 2], [(0, 0), (1, 0), (1, 1), (0, 1)]).Problem.ShouldContain("not a PNG");
    }

    // The same arrow in all eight ways in which a camera may write it comes out upright.
    [Fact]
    public void A_picture_that_was_written_lying_stands_upright()
    {
        foreach (var turn in Enumerable.Range(1, 8))
        {
            using var lying = new SKBitmap(turn > 4 ? 40 : 80, turn > 4 ? 80 : 40);
            lying.Erase(SKColors.White);

            // The dark corner that is the upper left one when the picture is seen as meant.
            var (x, y) = turn switch
            {
                1 or 5 => (0, 0),
                2 or 8 => (lying.Width - 20, 0),
                3 or 7 => (lying.Width - 20, lying.Height - 20),
                _ => (0, lying.Height - 20),
            };
            using (var canvas = new SKCanvas(lying))
                canvas.DrawRect(x, y, 20, 20, new SKPaint { Color = SKColors.Black });
            using var jpeg = lying.Encode(SKEncodedImageFormat.Jpeg, 95);
            var upright = PictureFile.Upright(WithOrientation(jpeg.ToArray(), turn));
            using var seen = SKBitmap.Decode(upright);
            (seen.Width, seen.Height).ShouldBe((80, 40), $"orientation {turn}");
            ((int)seen.GetPixel(8, 8).Red).ShouldBeLessThan(60, $"orientation {turn}");
            ((int)seen.GetPixel(60, 30).Red).ShouldBeGreaterThan(200, $"orientation {turn}");
        }
    }

    // A JPEG with the camera's note of how to turn it.
    private static byte[] WithOrientation(byte[] jpeg, int orientation)
    {
        byte[] exif =
        [
            .. "Exif\0\0"u8,
            .. "MM\0*"u8,
            0,
            0,
            0,
            8,
            0,
            1,
            0x01,
            0x12,
            0,
            3,
            0,
            0,
            0,
            1,
            0,
            (byte)orientation,
            0,
            0,
            0,
            0,
            0,
            0,
        ];
        return [0xFF, 0xD8, 0xFF, 0xE1, 0, (byte)(exif.Length + 2), .. exif, .. jpeg[2..]];
    }
}
