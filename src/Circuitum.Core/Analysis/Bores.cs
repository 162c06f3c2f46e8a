using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Analysis;

/// <summary>
/// How cables that come together are shared out over holes: no more in one than the job allows, and no hole larger than its member takes.
/// </summary>
internal static class Bores
{
    internal const double StudDeepIn = 3.5,
        WideStudDeepIn = 5.5;

    // Of a stud's depth, in a bearing wall and in any other (R602.6).
    private const double OfBearing = 0.4,
        OfOther = 0.6;

    // The bits on the truck, in sixteenths.
    private static readonly int[] Bits = [10, 12, 14, 16, 18, 20, 24, 28, 32];

    /// <summary>The largest hole in the studs of a wall in inches; infinite in steel, which is punched in the works.</summary>
    internal static double LargestIn(WallBody body) =>
        body.Build == WallBuild.MetalStud ? double.PositiveInfinity : DepthIn(body) * (body.Bearing ? OfBearing : OfOther);

    /// <summary>How deep the studs of a wall are, in inches.</summary>
    internal static double DepthIn(WallBody body) => body.Thickness >= Length.Inches(WideStudDeepIn) ? WideStudDeepIn : StudDeepIn;

    /// <summary>The holes, each with what goes through it.</summary>
    /// <param name="cables">What comes together in one place.</param>
    /// <param name="inches">How thick one is.</param>
    /// <param name="most">Most in one hole.</param>
    /// <param name="largestIn">The largest hole in inches.</param>
    internal static List<T[]> Holes<T>(IEnumerable<T> cables, Func<T, double> inches, int most, double largestIn)
    {
        List<List<T>> holes = [];
        foreach (var cable in cables)
        {
            var last = holes.Count > 0 ? holes[^1] : null;
            if (last is not null && last.Count < most && BitFor([.. last.Append(cable).Select(inches)]) / 16.0 <= largestIn)
                last.Add(cable);
            else
                holes.Add([cable]);
        }

        return [.. holes.Select(h => h.ToArray())];
    }

    /// <summary>
    /// The bit for cables of some thicknesses, in sixteenths of an inch: they fill at most some three fifths of a hole that they can still
    /// be pulled through.
    /// </summary>
    internal static int BitFor(double[] inches)
    {
        var area = inches.Sum(i => i * i * 0.45);
        var least = Math.Max(inches.Max() + 0.1, Math.Sqrt(area / 0.6 * 4 / Math.PI));
        return Bits.FirstOrDefault(b => b / 16.0 >= least, 32);
    }
}
