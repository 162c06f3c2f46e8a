using System.Collections.Concurrent;
using Circuitum.Core.Circuits;

namespace Circuitum.Web.Work;

/// <summary>What is known of work that was asked for.</summary>
/// <typeparam name="T">What it makes.</typeparam>
/// <param name="Done">What it made; none while it goes on.</param>
/// <param name="Says">How far it is.</param>
public sealed record WorkTurn<T>(T? Done, string Says)
    where T : class;

/// <summary>
/// Work that may take long: begun once for all who ask for the same, a few at a time, told how far it is, and ended when nobody has
/// asked for it for a while.
/// </summary>
public sealed class WorkQueue : IDisposable
{
    /// <summary>Most works that are begun or wait; one more is told to come again.</summary>
    public const int Most = 40;

    // A page waits this long before it says how far the work is.
    private static readonly TimeSpan Patience = TimeSpan.FromSeconds(1.5);

    // A page that waits asks every second; what was not asked for in this time nobody waits for.
    private static readonly TimeSpan Unasked = TimeSpan.FromSeconds(8);

    private readonly TimeProvider clock;
    private readonly ITimer sweeper;
    private readonly SemaphoreSlim slots = new(Environment.ProcessorCount);
    private readonly ConcurrentDictionary<string, Entry> entries = new();

    // Nobody joins work in the moment in which the last one who waited leaves it.
    private readonly Lock gate = new();

    /// <summary>An empty queue.</summary>
    /// <param name="clock">Says how long nobody asked.</param>
    public WorkQueue(TimeProvider clock)
    {
        this.clock = clock;
        sweeper = clock.CreateTimer(_ => Sweep(), null, Unasked / 4, Unasked / 4);
    }

    private sealed class Entry : IDisposable
    {
        private readonly Lazy<Task<object>> task;

        internal Entry(Func<PlanWatch, Task<object>> make) => task = new(() => make(Watch));

        internal PlanWatch Watch { get; } = new();

        internal Task<object> Task => task.Value;

        internal long Asked { get; set; }

        internal int Waiting { get; set; }

        public void Dispose() => Watch.Dispose();
    }

    /// <summary>How many works are begun, wait, or are done and not yet fetched.</summary>
    public int Count => entries.Count;

    /// <summary>Asks for work and waits a moment for it.</summary>
    /// <typeparam name="T">What it makes.</typeparam>
    /// <param name="key">What makes it the same work: what is made of which state of which job.</param>
    /// <param name="make">Makes it; told by the watch when it shall end.</param>
    /// <param name="cancel">The one who asks has gone.</param>
    public async Task<WorkTurn<T>> AskAsync<T>(string key, Func<PlanWatch, T> make, CancellationToken cancel)
        where T : class
    {
        if (Begun(key, make) is not { } entry)
            return new(null, "Many others are being served just now. This is begun as soon as one of them has what it waits for.");
        try
        {
            // Whichever is first: done, out of patience, or the one who asked has gone.
            await Task.WhenAny(entry.Task, Task.Delay(Patience, clock, cancel));
            cancel.ThrowIfCancellationRequested();
            return entry.Task.IsCompleted ? new((T)await entry.Task, "") : new(null, entry.Watch.Says);
        }
        finally
        {
            Left(key, entry, keep: true);
        }
    }

    /// <summary>Asks for work and waits until it is done; it ends when the last one who waits has gone.</summary>
    /// <typeparam name="T">What it makes.</typeparam>
    /// <param name="key">What makes it the same work.</param>
    /// <param name="make">Makes it; told by the watch when it shall end.</param>
    /// <param name="cancel">The one who asks has gone.</param>
    /// <returns>What it made; none when there is too much else to do.</returns>
    public async Task<T?> WaitAsync<T>(string key, Func<PlanWatch, T> make, CancellationToken cancel)
        where T : class
    {
        if (Begun(key, make) is not { } entry)
            return null;
        try
        {
            return (T)await entry.Task.WaitAsync(cancel);
        }
        finally
        {
            // Fetched by all who waited, or left by the last of them.
            Left(key, entry, keep: false);
        }
    }

    /// <summary>Ends what nobody has asked for in a while, and lets go of what nobody fetched.</summary>
    public void Sweep()
    {
        using var _ = gate.EnterScope();
        foreach (var (key, entry) in entries)
        {
            if (entry.Waiting == 0 && clock.GetElapsedTime(entry.Asked) > Unasked)
                End(key, entry);
        }
    }

    /// <inheritdoc/>
    public void Dispose()
    {
        sweeper.Dispose();
        foreach (var (key, entry) in entries)
            End(key, entry);
        slots.Dispose();
    }

    // The work, with one more who waits for it; none when there is too much else to do.
    private Entry? Begun<T>(string key, Func<PlanWatch, T> make)
        where T : class
    {
        using var _ = gate.EnterScope();
        if (!entries.ContainsKey(key) && entries.Values.Count(e => !e.Task.IsCompleted) >= Most)
            return null;
        var entry = entries.GetOrAdd(key, New);

        // What failed or was ended is begun anew by the next one who asks.
        if ((entry.Task.IsFaulted || entry.Task.IsCanceled) && entries.TryRemove(new(key, entry)))
            entry = entries.GetOrAdd(key, New);
        entry.Asked = clock.GetTimestamp();
        entry.Waiting++;
        return entry;

        Entry New(string _) => new(watch => Run(watch, make)) { Asked = clock.GetTimestamp() };
    }

    private void Left(string key, Entry entry, bool keep)
    {
        using var _ = gate.EnterScope();
        entry.Waiting--;
        entry.Asked = clock.GetTimestamp();
        if (!keep && entry.Waiting == 0)
            End(key, entry);
    }

    private async Task<object> Run<T>(PlanWatch watch, Func<PlanWatch, T> make)
        where T : class
    {
        if (slots.CurrentCount == 0)
            watch.Say("Others are being served first.");
        await slots.WaitAsync(watch.Ended);
        try
        {
            return await Task.Run(() => make(watch), watch.Ended);
        }
        finally
        {
            slots.Release();
        }
    }

    private void End(string key, Entry entry)
    {
        if (!entries.TryRemove(new(key, entry)))
            return;
        entry.Watch.Stop();
        entry.Task.ContinueWith(
            done =>
            {
                // Nobody is there to be told.
                _ = done.Exception;
                entry.Dispose();
            },
            TaskScheduler.Default
        );
    }
}
