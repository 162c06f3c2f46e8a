using System.Collections.Concurrent;
using System.Collections.Immutable;
using System.Net.ServerSentEvents;
using System.Runtime.CompilerServices;
using System.Threading.Channels;

namespace Circuitum.Web.Work;

/// <summary>What others who look at a job are told.</summary>
/// <param name="Stamp">The change that the job stands at; 0 where only who is here has changed.</param>
/// <param name="By">Who made it.</param>
/// <param name="What">What was done.</param>
/// <param name="Here">Who looks at the job now, each window by itself.</param>
/// <param name="FromHouse">Whether something was said in the house: the plan is as it was, what the pages tell of the work is not.</param>
public sealed record JobNews(int Stamp, string By, string What, ImmutableArray<string> Here, bool FromHouse = false);

/// <summary>Tells everyone who looks at a job of edits as they are made, and who else is there.</summary>
public sealed class JobChanges
{
    /// <summary>Most windows that follow at once; one more is told to ask again later.</summary>
    public const int Most = 400;

    // A window that stops reading keeps no more than this for itself.
    private const int Waiting = 20;

    private readonly ConcurrentDictionary<Guid, (string Job, string Who, Channel<JobNews> News)> windows = new();

    /// <summary>Whether one more window may follow.</summary>
    public bool HasRoom => windows.Count < Most;

    /// <summary>Tells of an edit.</summary>
    public void Tell(string job, int stamp, string by, string what) => Tell(job, new(stamp, by, what, Here(job)));

    /// <summary>Tells that something was said in the house.</summary>
    public void TellFromHouse(string job, string by) => Tell(job, new(0, by, "", Here(job), true));

    private void Tell(string job, JobNews news)
    {
        foreach (var window in windows.Values.Where(w => w.Job == job))
            window.News.Writer.TryWrite(news);
    }

    private ImmutableArray<string> Here(string job) =>
        [.. windows.Values.Where(w => w.Job == job).Select(w => w.Who).Order(StringComparer.Ordinal)];

    /// <summary>Follows a job for as long as the window is open.</summary>
    /// <param name="job">The job.</param>
    /// <param name="who">Who looks.</param>
    /// <param name="cancel">Ends it.</param>
    public async IAsyncEnumerable<SseItem<JobNews>> Follow(string job, string who, [EnumeratorCancellation] CancellationToken cancel)
    {
        var key = Guid.NewGuid();
        var news = Channel.CreateBounded<JobNews>(new BoundedChannelOptions(Waiting) { FullMode = BoundedChannelFullMode.DropOldest });
        windows[key] = (job, who, news);
        try
        {
            Tell(job, 0, who, "");
            while (await Next(news.Reader, cancel))
            {
                while (news.Reader.TryRead(out var item))
                    yield return new(item, "news");
            }
        }
        finally
        {
            windows.TryRemove(key, out _);
            Tell(job, 0, who, "");
        }
    }

    // Closing the window is an end like any other.
    private static async Task<bool> Next(ChannelReader<JobNews> reader, CancellationToken cancel)
    {
        try
        {
            return await reader.WaitToReadAsync(cancel);
        }
        catch (OperationCanceledException)
        {
            return false;
        }
    }

    /// <summary>Adds the address.</summary>
    public static void Map(WebApplication app) =>
        app.MapGet("/jobs/{id}/follow", async (string id, JobDesk desk, HttpContext context, IHostApplicationLifetime life) =>
            {
                if (await desk.OpenAsync(id, context.RequestAborted) is null)
                    return Results.NotFound();
                if (!desk.Changes.HasRoom)
                    return Results.StatusCode(StatusCodes.Status429TooManyRequests);

                // The program that ends waits for nobody who only looks.
                var ended = CancellationTokenSource.CreateLinkedTokenSource(context.RequestAborted, life.ApplicationStopping);
                context.Response.RegisterForDispose(ended);
                return TypedResults.ServerSentEvents(desk.Changes.Follow(id, Access.Roles.NameOf(context.User), ended.Token));
            })
            .DisableRequestTimeout();
}
