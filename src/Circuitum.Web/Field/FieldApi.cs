using System.Text.Json;
using System.Text.Json.Serialization;
using Circuitum.Core.Field;
using Circuitum.Web.Access;
using Microsoft.AspNetCore.Antiforgery;

namespace Circuitum.Web.Field;

/// <summary>What a phone sends, and what it asks for to work without network.</summary>
internal static class FieldApi
{
    /// <summary>Most entries that come at once.</summary>
    public const int MostAtOnce = 100;

    private const int MostBytes = 400_000;

    private static readonly JsonSerializerOptions Json = new(JsonSerializerDefaults.Web)
    {
        Converters = { new JsonStringEnumConverter(JsonNamingPolicy.KebabCaseLower, allowIntegerValues: false) },
        MaxDepth = 8,
    };

    private sealed record Sent(string? Id, string? Task, FieldSaid State, string? Value, string? Mark, DateTime At);

    private sealed record Batch(DateTime Now, Sent[]? Entries);

    internal static void Map(WebApplication app)
    {
        app.MapPost("/jobs/{id}/field/entries", Take).RequireAuthorization(Roles.Checker);
        app.MapGet("/jobs/{id}/field/pages", Pages).RequireAuthorization(Roles.Crew);
        app.MapGet("/jobs/{id}/run/{number:int}", Run).RequireAuthorization(Roles.Crew);

        // A page that was kept for hours has an old proof of where it came from; a phone that is back asks for a new one.
        app.MapGet("/field/token", (HttpContext context, IAntiforgery tokens) =>
            {
                context.Response.Headers.CacheControl = "no-store";
                return Results.Json(new { token = tokens.GetAndStoreTokens(context).RequestToken });
            })
            .RequireAuthorization(Roles.Checker);
    }

    private static async Task<IResult> Take(string id, HttpContext context, IAntiforgery tokens, FieldDesk field, CancellationToken cancel)
    {
        if (!await tokens.IsRequestValidAsync(context))
            return Refuse("This page is too old to send from. Load it again; nothing that was kept is lost.");
        if (context.Request.ContentLength is not <= MostBytes)
            return Refuse("That is more than is taken at once.");
        Batch? batch;
        try
        {
            batch = await JsonSerializer.DeserializeAsync<Batch>(context.Request.Body, Json, cancel);
        }
        catch (JsonException)
        {
            return Refuse("That cannot be read as entries from the field.");
        }

        if (batch?.Entries is not { } entries || entries.Length > MostAtOnce || entries.Any(e => e is null))
            return Refuse($"Entries come in lists of {MostAtOnce} at most.");

        // A device whose clock is wrong is as wrong now as it was when somebody pressed.
        var late = DateTime.UtcNow - batch.Now.ToUniversalTime();
        var answers = new List<FieldAnswer>();
        foreach (var e in entries)
            answers.Add(
                !Roles.MaySay(context.User, e.Task)
                    ? new(e.Id ?? "", 0, "That is the crew's to say.")
                    : await field.TakeAsync(
                        id,
                        new(
                            e.Id ?? "",
                            e.Task ?? "",
                            e.State,
                            (e.Value ?? "").Trim(),
                            e.Mark ?? "",
                            Roles.NameOf(context.User),
                            FieldClock.Right(e.At, late)
                        ),
                        cancel
                    )
            );
        return Results.Json(new { answers, upTo = (await field.StateAsync(id, cancel)).UpTo }, Json);
    }

    // What stands in the code of a sticker is short, so its squares are large: where the run ends is looked up.
    private static async Task<IResult> Run(string id, int number, FieldDesk field, CancellationToken cancel) =>
        (await field.OpenAsync(id, cancel))?.Tasks.FirstOrDefault(t => t.HomeRun == number) is { } task
            ? Results.Redirect($"/jobs/{id}/field/{Uri.EscapeDataString(task.Room)}?work={FieldWork.Pull}#{task.Key}")
            : Results.NotFound();

    // The pages of a job that a phone keeps, with the state of the plan and of the work that they show.
    private static async Task<IResult> Pages(string id, FieldDesk field, CancellationToken cancel)
    {
        if (await field.OpenAsync(id, cancel) is not { } job)
            return Results.NotFound();
        var at = $"/jobs/{id}/field";
        return Results.Json(
            new
            {
                stamp = job.Job.Stored.Stamp,
                upTo = job.State.UpTo,
                pages = new[] { at, $"/jobs/{id}/tests", $"/jobs/{id}/check-off", $"/jobs/{id}/field-plan" }.Concat(
                    job.Tasks.Select(t => t.Room).Distinct().Select(r => $"{at}/{Uri.EscapeDataString(r)}")
                ),
            },
            Json
        );
    }

    private static IResult Refuse(string problem) => Results.Json(new { problem }, Json, statusCode: StatusCodes.Status400BadRequest);
}

/// <summary>When something was said, by a device whose clock may be wrong.</summary>
public static class FieldClock
{
    /// <summary>The time put right; never later than now.</summary>
    /// <param name="at">By the device.</param>
    /// <param name="late">How far the device is behind.</param>
    public static DateTime Right(DateTime at, TimeSpan late)
    {
        var now = DateTime.UtcNow;
        var said = at.ToUniversalTime();
        if (
            Math.Abs(late.TotalDays) > 36_500
            || (late > TimeSpan.Zero && said > DateTime.MaxValue - late)
            || (late < TimeSpan.Zero && said < DateTime.MinValue - late)
        )
            return now;
        var right = said + late;
        return right > now ? now : right;
    }
}
