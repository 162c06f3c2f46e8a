using Circuitum.Formats;
using Circuitum.Web.Access;
using Microsoft.AspNetCore.Antiforgery;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Circuitum.Web.Work;

/// <summary>Pictures of paper plans: laid under a storey, and given to the plan.</summary>
internal static class Pictures
{
    internal static void Map(WebApplication app)
    {
        app.MapGet(
                "/jobs/{id}/pictures/{hash:regex(^[0-9a-f]{{64}}$)}",
                async Task<Results<FileContentHttpResult, NotFound>> (string id, string hash, JobDesk desk, CancellationToken cancel) =>
                    await desk.PictureAsync(id, hash, cancel) is { } picture
                        ? TypedResults.File(picture.Bytes, picture.MediaType)
                        : TypedResults.NotFound()
            )
            .RequireAuthorization(Roles.Reader);
        app.MapPost(
            "/jobs/{id}/pictures",
            async (string id, HttpContext context, IAntiforgery tokens, JobDesk desk, Notes notes, CancellationToken cancel) =>
            {
                if (!await tokens.IsRequestValidAsync(context))
                    return Results.BadRequest();
                var form = await context.Request.ReadFormAsync(cancel);
                var storey = form["storey"].ToString();
                _ = int.TryParse(form["stamp"], out var stamp);
                var problem = "Choose a picture.";
                if (form.Files.GetFile("file") is { } file)
                {
                    if (file.Length > PictureFile.MostBytes)
                        problem = $"The picture is larger than {PictureFile.MostBytes / 1_000_000} MB. Save it smaller.";
                    else
                    {
                        using var bytes = new MemoryStream();
                        await file.CopyToAsync(bytes, cancel);
                        problem = await desk.LayUnderAsync(id, stamp, storey, bytes.ToArray(), cancel);
                    }
                }

                var back = $"/jobs/{Uri.EscapeDataString(id)}/rooms?storey={Uri.EscapeDataString(storey)}";
                return Results.Redirect(problem.Length == 0 ? $"{back}#picture" : $"{back}&note={notes.Keep(problem)}");
            }
        );
    }
}
