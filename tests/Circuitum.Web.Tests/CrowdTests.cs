using System.Threading.RateLimiting;
using Circuitum.Web.Access;
using Microsoft.AspNetCore.Http;

namespace Circuitum.Web.Tests;

/// <summary>How many are served at once.</summary>
public sealed class CrowdTests
{
    [Fact]
    public async Task So_many_are_served_so_many_wait_and_windows_that_follow_are_not_among_them()
    {
        await using var limiter = Crowd.Limited();
        var (asks, follows) = (Context("/jobs/x/circuits"), Context("/jobs/x/follow"));
        var served = new List<RateLimitLease>();
        while (limiter.AttemptAcquire(asks) is { IsAcquired: true } lease)
            served.Add(lease);
        served.Count.ShouldBe(Crowd.MostAtOnce);
        var waiting = Enumerable.Range(0, Crowd.MostWaiting).Select(_ => limiter.AcquireAsync(asks).AsTask()).ToList();
        waiting.ShouldAllBe(w => !w.IsCompleted);
        (await limiter.AcquireAsync(asks)).IsAcquired.ShouldBeFalse();
        (await limiter.AcquireAsync(follows)).IsAcquired.ShouldBeTrue();

        // Who waited longest is served as soon as one has gone.
        served[0].Dispose();
        (await waiting[0]).IsAcquired.ShouldBeTrue();
        waiting[1].IsCompleted.ShouldBeFalse();
    }

    private static DefaultHttpContext Context(string path) => new() { Request = { Path = path } };
}
