using System.Threading.RateLimiting;
using Microsoft.AspNetCore.RateLimiting;
using Microsoft.AspNetCore.Server.Kestrel.Core;

namespace Circuitum.Web.Access;

/// <summary>How many are served at once, and how long one of them may take.</summary>
public static class Crowd
{
    /// <summary>Answers that are worked on at once.</summary>
    public const int MostAtOnce = 64;

    /// <summary>Those that wait for their turn; the next one is told to come again.</summary>
    public const int MostWaiting = 512;

    private const int MostConnections = 2000;

    // The longest work that is asked for, a plan of the largest house, is done in far less.
    private static readonly TimeSpan Longest = TimeSpan.FromMinutes(3);

    /// <summary>The limit of all answers together; windows that follow a job hold theirs open and are counted by themselves.</summary>
    public static PartitionedRateLimiter<HttpContext> Limited() =>
        PartitionedRateLimiter.Create<HttpContext, bool>(context =>
            Follows(context) ? RateLimitPartition.GetNoLimiter(true) : RateLimitPartition.GetConcurrencyLimiter(false, _ => new()
                    {
                        PermitLimit = MostAtOnce,
                        QueueLimit = MostWaiting,
                        QueueProcessingOrder = QueueProcessingOrder.OldestFirst,
                    })
        );

    internal static void Add(IServiceCollection services) =>
        services.AddRequestTimeouts(o =>
            o.DefaultPolicy = new() { Timeout = Longest, TimeoutStatusCode = StatusCodes.Status504GatewayTimeout }
        );

    internal static void Bound(KestrelServerLimits limits) => limits.MaxConcurrentConnections = MostConnections;

    // Too many attempts at a door are one thing, too many people another.
    internal static ValueTask Turned(OnRejectedContext context, CancellationToken cancel)
    {
        if (context.HttpContext.GetEndpoint()?.Metadata.GetMetadata<EnableRateLimitingAttribute>() is null)
            context.HttpContext.Response.StatusCode = StatusCodes.Status503ServiceUnavailable;
        return ValueTask.CompletedTask;
    }

    private static bool Follows(HttpContext context) => context.Request.Path.Value?.EndsWith("/follow", StringComparison.Ordinal) == true;
}
