using System.Diagnostics;
using System.Globalization;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Review;
using Circuitum.Formats;
using Circuitum.Formats.Drawings;
using Circuitum.Formats.Pictures;
using SkiaSharp;

namespace Circuitum.Benchmarks;

/// <summary>What reading a picture of a plan takes: seconds, and the most memory of a process that does nothing else.</summary>
internal static class PictureReading
{
    private static readonly int[] Megapixels = [4, 12, 40];

    internal static void Run(Job job)
    {
        var drawing = PlanComposer.Compose(Analyzer.Analyze(job), new PlanView(job.Storeys[0].Id, PlanStage.Rooms));
        using var plan = SKBitmap.Decode(PngWriter.Write(drawing));
        foreach (var size in Megapixels)
        {
            var by = Math.Sqrt(size * 0.99e6 / plan.Width / plan.Height);
            using var large = plan.Resize(
                new SKImageInfo((int)(plan.Width * by), (int)(plan.Height * by)),
                new SKSamplingOptions(SKFilterMode.Linear)
            );
            var file = Path.GetTempFileName();
            using (var jpeg = large.Encode(SKEncodedImageFormat.Jpeg, 85))
                File.WriteAllBytes(file, jpeg.ToArray());
            foreach (var what in new[] { "read", "flatten" })
            {
                var wide = drawing.Extent.Wide.ToString(CultureInfo.InvariantCulture);
                var tall = drawing.Extent.Tall.ToString(CultureInfo.InvariantCulture);
                using var alone = Process.Start(
                    Environment.ProcessPath!,
                    [
                        .. Environment
                            .GetCommandLineArgs()[..1]
                            .Where(a => a.EndsWith(".dll") && Environment.ProcessPath!.EndsWith("dotnet")),
                        "picture",
                        what,
                        file,
                        wide,
                        tall,
                    ]
                );
                alone.WaitForExit();
            }

            File.Delete(file);
        }
    }

    internal static void One(string what, string file, double wide, double tall)
    {
        var before = Peak();
        var bytes = File.ReadAllBytes(file);
        var clock = Stopwatch.StartNew();
        if (what == "read")
            PicturePlan.Read(bytes, Length.Inches(wide), Length.Inches(tall), "s", Length.Feet(8), new());
        else
            SquaredPicture.Of(bytes, [(0.12, 0.15), (0.85, 0.1), (0.9, 0.8), (0.15, 0.85)], 1.2);
        Console.WriteLine(
            $"{what} {bytes.Length / 1e6:0.0} MB: {clock.Elapsed.TotalSeconds:0.00} s, {before} MB before, {Peak()} MB at most"
        );
    }

    // The most memory that this process ever held.
    private static long Peak()
    {
        using var self = Process.GetCurrentProcess();
        self.Refresh();
        return self.PeakWorkingSet64 / 1_000_000;
    }
}
