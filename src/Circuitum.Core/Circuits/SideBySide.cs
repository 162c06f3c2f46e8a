using System.Collections.Concurrent;
using System.Collections.Immutable;

namespace Circuitum.Core.Circuits;

/// <summary>
/// Work that is done on all cores at once, one within another too. Whoever asks works along: a query that only waits for other threads
/// holds one while it waits, and when all wait for each other nothing is done until more threads come, one in a quarter of a second.
/// </summary>
public static class SideBySide
{
    /// <summary>What is made of each, in their order.</summary>
    /// <param name="items">Each is taken by itself, by whoever is free.</param>
    /// <param name="make">Makes one; it is called from several threads.</param>
    /// <param name="ended">Ends it: what is not begun is not made.</param>
    /// <exception cref="OperationCanceledException">It was ended.</exception>
    /// <exception cref="AggregateException">One could not be made.</exception>
    public static ImmutableArray<TMade> Make<TItem, TMade>(
        IReadOnlyList<TItem> items,
        Func<TItem, TMade> make,
        CancellationToken ended = default
    )
    {
        var made = new TMade[items.Count];
        var one = Partitioner.Create(Enumerable.Range(0, items.Count), EnumerablePartitionerOptions.NoBuffering);
        // More of them begun than there are cores would only take more memory.
        var most = new ParallelOptions { CancellationToken = ended, MaxDegreeOfParallelism = Environment.ProcessorCount };
        Parallel.ForEach(one, most, i => made[i] = make(items[i]));
        return [.. made];
    }
}
