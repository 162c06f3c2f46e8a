using System.Globalization;
using Circuitum.Core.Field;
using Circuitum.Web.Access;
using Microsoft.AspNetCore.Antiforgery;

namespace Circuitum.Web.Field;

/// <summary>Photographs that come from phones and go to pages.</summary>
internal static class PhotoApi
{
    internal static void Map(WebApplication app)
    {
        app.MapPost("/jobs/{id}/photos", Take).RequireAuthorization(Roles.Crew).DisableAntiforgery();
        app.MapGet("/jobs/{id}/photos/{number:int}/{size:regex(^(full|small)$)}", Show).RequireAuthorization(Roles.Reader);
    }

    private static async Task<IResult> Take(string id, HttpContext context, IAntiforgery tokens, PhotoDesk photos, CancellationToken cancel)
    {
        if (!await tokens.IsRequestValidAsync(context))
            return Refuse("", "This page is too old to send from. Load it again; nothing that was kept is lost.");
        var form = await context.Request.ReadFormAsync(cancel);
        var name = form["entry"].ToString();
        if (form.Files.GetFile("picture") is not { } file)
            return Refuse(name, "There is no picture in that.");
        var parsed = (
            At: DateTime.TryParse(form["at"], CultureInfo.InvariantCulture, DateTimeStyles.RoundtripKind, out var at)
                ? at
                : DateTime.UtcNow,
            Now: DateTime.TryParse(form["now"], CultureInfo.InvariantCulture, DateTimeStyles.RoundtripKind, out var now)
                ? now
                : DateTime.UtcNow
        );
        var entry = new FieldEntry(
            name,
            form["task"].ToString(),
            FieldSaid.Done,
            "",
            "",
            Roles.NameOf(context.User),
            FieldClock.Right(parsed.At, DateTime.UtcNow - parsed.Now.ToUniversalTime())
        );
        var answer = await photos.TakeAsync(id, entry, file, cancel);
        return Results.Json(new { answers = new[] { answer } }, statusCode: StatusCodes.Status200OK);
    }

    private static async Task<IResult> Show(
        string id,
        int number,
        string size,
        HttpContext context,
        PhotoDesk photos,
        CancellationToken cancel
    )
    {
        if (await photos.BytesAsync(id, number, size == "small", cancel) is not { } bytes)
            return Results.NotFound();

        // A photograph never changes: its number is given once.
        context.Response.Headers.CacheControl = "private, max-age=31536000, immutable";
        return Results.File(bytes, "image/jpeg");
    }

    private static IResult Refuse(string id, string problem) =>
        Results.Json(new { problem, answers = new[] { new FieldAnswer(id, 0, problem) } }, statusCode: StatusCodes.Status400BadRequest);
}
