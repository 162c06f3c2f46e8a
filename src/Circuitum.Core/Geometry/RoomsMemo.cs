using System.Collections.Concurrent;
using System.Collections.Immutable;
using System.Runtime.CompilerServices;
using System.Runtime.InteropServices;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Geometry;

/// <summary>
/// Keeps what was worked out from the rooms' outlines alone. Most edits leave the very same list of rooms in the job, and
/// joining outlines is the dearest geometry of an analysis. What is kept goes when the list of rooms goes.
/// </summary>
/// <typeparam name="T">What is kept.</typeparam>
internal sealed class RoomsMemo<T>
{
    private readonly ConditionalWeakTable<Room[], ConcurrentDictionary<string, T>> kept = [];

    /// <summary>What was worked out from these rooms under a key, or works it out.</summary>
    internal T Of(ImmutableArray<Room> rooms, string key, Func<T> work) =>
        ImmutableCollectionsMarshal.AsArray(rooms) is { } list ? kept.GetOrCreateValue(list).GetOrAdd(key, _ => work()) : work();
}
