using Circuitum.Core.Circuits;
using Circuitum.Web.Work;
using Microsoft.Extensions.Time.Testing;

namespace Circuitum.Web.Tests;

/// <summary>Work that takes long: made once, told how far it is, ended when nobody waits.</summary>
public sealed class WorkQueueTests : IDisposable
{
    private readonly FakeTimeProvider clock = new();
    private readonly WorkQueue queue;

    // Work that goes on until it is ended or let go.
    private readonly TaskCompletionSource go = new(TaskCreationOptions.RunContinuationsAsynchronously);
    private readonly TaskCompletionSource begun = new(TaskCreationOptions.RunContinuationsAsynchronously);
    private int times;

    public WorkQueueTests() => queue = new(clock);

    public void Dispose()
    {
        go.TrySetResult();
        queue.Dispose();
    }

    private string Long(PlanWatch watch)
    {
        Interlocked.Increment(ref times);
        watch.Say("half of it is done");
        begun.TrySetResult();
        go.Task.Wait(watch.Ended);
        return "made";
    }

    private async Task<WorkTurn<string>> Ask()
    {
        var asked = queue.AskAsync("one", Long, default);
        await begun.Task;
        while (!asked.IsCompleted)
        {
            clock.Advance(TimeSpan.FromSeconds(2));
            await Task.Yield();
        }

        return await asked;
    }

    [Fact]
    public async Task Who_asks_is_told_how_far_it_is_and_later_what_was_made()
    {
        (await Ask()).ShouldBe(new(null, "half of it is done"));
        go.SetResult();
        (await queue.WaitAsync("one", Long, default)).ShouldBe("made");
        times.ShouldBe(1);
    }

    [Fact]
    public async Task Two_who_ask_for_the_same_wait_for_one_work()
    {
        var both = Task.WhenAll(queue.WaitAsync("one", Long, default), queue.WaitAsync("one", Long, default));
        await begun.Task;
        go.SetResult();
        (await both).ShouldBe(["made", "made"]);
        times.ShouldBe(1);
    }

    [Fact]
    public async Task What_nobody_asks_for_any_more_ends()
    {
        await Ask();
        queue.Count.ShouldBe(1);
        clock.Advance(TimeSpan.FromSeconds(3));
        queue.Sweep();
        queue.Count.ShouldBe(1);
        clock.Advance(TimeSpan.FromSeconds(10));
        queue.Sweep();
        queue.Count.ShouldBe(0);
    }

    [Fact]
    public async Task Who_goes_away_leaves_it_to_those_who_stay()
    {
        using var gone = new CancellationTokenSource();
        var (left, stays) = (queue.WaitAsync("one", Long, gone.Token), queue.WaitAsync("one", Long, default));
        await begun.Task;
        await gone.CancelAsync();
        await Should.ThrowAsync<OperationCanceledException>(left);
        clock.Advance(TimeSpan.FromMinutes(5));
        queue.Sweep();
        go.SetResult();
        (await stays).ShouldBe("made");
    }

    [Fact]
    public async Task What_was_fetched_takes_no_room()
    {
        go.SetResult();
        for (var n = 0; n < 2 * WorkQueue.Most; n++)
            (await queue.WaitAsync($"file {n}", Long, default)).ShouldBe("made");
        queue.Count.ShouldBe(0);
    }

    [Fact]
    public async Task What_the_last_one_left_ends_at_once()
    {
        using var gone = new CancellationTokenSource();
        var left = queue.WaitAsync("one", Long, gone.Token);
        await begun.Task;
        await gone.CancelAsync();
        await Should.ThrowAsync<OperationCanceledException>(left);
        queue.Count.ShouldBe(0);
    }

    [Fact]
    public async Task What_failed_is_begun_anew_by_the_next_who_asks()
    {
        await Should.ThrowAsync<InvalidOperationException>(
            queue.WaitAsync<string>("one", _ => throw new InvalidOperationException(), default)
        );
        go.SetResult();
        (await queue.WaitAsync("one", Long, default)).ShouldBe("made");
    }

    [Fact]
    public async Task More_than_it_holds_is_told_to_come_again()
    {
        var all = Enumerable.Range(0, WorkQueue.Most).Select(i => queue.WaitAsync($"{i}", Long, default)).ToList();
        (await queue.WaitAsync("one more", Long, default)).ShouldBeNull();
        (await queue.AskAsync("one more", Long, default)).Says.ShouldContain("others are being served");
        go.SetResult();
        await Task.WhenAll(all);
    }
}
