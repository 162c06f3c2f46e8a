using System.Text;
using Circuitum.Formats;

namespace Circuitum.Web.Work;

/// <summary>The takeoff of a job over HTTP, to be read only.</summary>
internal static class MaterialApi
{
    internal static void Map(WebApplication app) =>
        app.MapGet("/api/jobs/{id}/material", async (string id, JobDesk desk, CancellationToken cancel) =>
                await desk.OpenAsync(id, cancel) is { } job
                    ? Results.Text(MaterialJson.Write(job.Analysis), "application/json", Encoding.UTF8)
                    : Results.Text("""{"problem":"There is no such job."}""", "application/json", Encoding.UTF8, 404)
            )
            .WithTags("job")
            .WithSummary("The takeoff of a job: what it needs, from what, what is bought, and which cut comes off which reel.")
            .WithName("job-material")
            .Produces(200, contentType: "application/json")
            .Produces(404, contentType: "application/json");
}
