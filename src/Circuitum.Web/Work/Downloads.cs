using System.Text;
using Circuitum.Formats.Documents;
using Circuitum.Formats.Exports;
using Circuitum.Formats.Pdf;
using Circuitum.Web.Access;
using Circuitum.Web.Field;
using Circuitum.Web.Supply;

namespace Circuitum.Web.Work;

/// <summary>Files of a job.</summary>
internal static class Downloads
{
    // Spreadsheet programs take a list for what it is when its first letters say so.
    private static readonly byte[] Mark = Encoding.UTF8.GetPreamble();

    internal static void Map(WebApplication app)
    {
        // The document as it is stored, also when this version cannot open it.
        app.MapGet("/jobs/{id}/document", async (string id, JobDesk desk, CancellationToken cancel) =>
            await desk.DocumentAsync(id, cancel) is { } text
                ? Results.File(Encoding.UTF8.GetBytes(text), "application/json", $"{id}.json")
                : Results.NotFound()
        );
        app.MapGet("/jobs/{id}/files/{what}", Send);
    }

    private static async Task<IResult> Send(
        string id,
        string what,
        JobDesk desk,
        HttpRequest request,
        string? storey,
        string? size,
        int? since,
        string[]? option,
        SupplyDesk supply,
        FieldDesk fieldDesk,
        PhotoDesk photos,
        Reach reach,
        WorkQueue queue,
        CancellationToken cancel
    )
    {
        if (await desk.OpenAsync(id, cancel) is not { } job)
            return Results.NotFound();
        if (what == "stickers.pdf")
            return Results.File(
                PdfSheet.Make($"Stickers, {job.Analysis.Job.Name}", StickerChoice.Of(request.Query).For(reach, id).Pages(job.Analysis)),
                "application/pdf",
                $"{id}-{what}"
            );
        if (
            ExportList.ByFile(what) is not { } export
            || (
                Papers.Names.Contains(export.Name)
                && !Papers.AppliesTo(export.Name, job.Analysis.Edition)
                && export.File.EndsWith(".pdf", StringComparison.Ordinal)
            )
            || (export.OfStorey && job.Analysis.Job.StoreyById(storey) is null)
        )
            return Results.NotFound();
        var ask = new ExportRequest(job.Analysis)
        {
            Storey = storey,
            Size = PaperSizes.Of(size),
            Change = job.Stored.Stamp,
            Set = await desk.SetAsync(id, job.Stored.Stamp, cancel),
            Field = await fieldDesk.StateAsync(id, cancel),
            Photos = export.Name == "as-built" ? await photos.AllAsync(id, cancel) : [],
            Money = await Pages.Jobs.Papers.PaperPageModel.MoneyOf(desk, supply, id, since, option, cancel),
        };
        var bytes = await queue.WaitAsync(
            $"file {request.HttpContext.TraceIdentifier}",
            watch => export.Write(ask with { Cancel = watch.Ended }),
            cancel
        );
        if (bytes is null)
            return Results.StatusCode(StatusCodes.Status503ServiceUnavailable);
        var name =
            export.Name == "job" ? $"{id}.json"
            : export.OfStorey ? $"{id}-{storey}.{export.Extension}"
            : $"{id}-{export.File}";
        return Results.File(export.Extension == "csv" ? [.. Mark, .. bytes] : bytes, export.MediaType, name);
    }
}
