using System.Collections.Concurrent;
using System.Diagnostics;
using Circuitum.Core.Planning;
using Circuitum.Core.Review;
using Circuitum.Generated;

namespace Circuitum.Benchmarks;

/// <summary>Plans many made-up houses and looks for a hard rule that was broken.</summary>
internal static class ManyHouses
{
    /// <summary>Tries as many houses as asked for, each made from a number, on all cores.</summary>
    /// <param name="count">How many.</param>
    /// <param name="first">The number of the first.</param>
    /// <returns>0 when nothing was broken, else 1.</returns>
    internal static int Run(int count, int first = 0)
    {
        var watch = Stopwatch.StartNew();
        var (broken, done) = (0, 0);
        Parallel.ForEach(Partitioner.Create(Enumerable.Range(first, count), EnumerablePartitionerOptions.NoBuffering), seed =>
        {
            foreach (var what in GeneratedHouse.Try(seed))
            {
                if (Interlocked.Increment(ref broken) <= 30)
                    Console.WriteLine($"house {seed}: {what}");
            }

            if (Interlocked.Increment(ref done) % 500 == 0)
                Console.WriteLine($"{done} houses, {broken} breaches");
        });
        Console.WriteLine($"{count} houses from {first} on, {broken} breaches, {watch.Elapsed.TotalSeconds:0} s");
        return broken == 0 ? 0 : 1;
    }
}
