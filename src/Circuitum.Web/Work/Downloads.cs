using System.Text;
using Circuitum.Core.Analysis;
using Circuitum.Formats;
using Circuitum.Formats.Dxf;
using Circuitum.Formats.Pdf;

namespace Circuitum.Web.Work;

/// <summary>Files of a job.</summary>
internal static class Downloads
{
    internal static void Map(WebApplication app)
    {
        // The document as it is stored, also when this version cannot open it.
        app.MapGet("/jobs/{id}/document", async (string id, JobDesk desk, CancellationToken cancel) =>
            await desk.DocumentAsync(id, cancel) is { } text
                ? Results.File(System.Text.Encoding.UTF8.GetBytes(text), "application/json", $"{id}.json")
                : Results.NotFound()
        );
        Files(app);
    }

    private static void Files(WebApplication app) =>
        app.MapGet(
            "/jobs/{id}/files/{what}",
            async (string id, string what, JobDesk desk, HttpRequest request, CancellationToken cancel, string? storey, string? size) =>
            {
                if (await desk.OpenAsync(id, cancel) is not { } job)
                    return Results.NotFound();
                var a = job.Analysis;
                if (what.EndsWith(".pdf", StringComparison.Ordinal) && Papers.Names.Contains(what[..^4]))
                {
                    var set = await desk.SetAsync(id, job.Stored.Stamp, cancel);
                    return Results.File(
                        Papers.Make(a, what[..^4], job.Stored.Stamp, size == "a4" ? PaperSize.A4 : PaperSize.Letter, set),
                        "application/pdf",
                        $"{id}-{what}"
                    );
                }

                if (what is "stickers.pdf")
                    return StickerPdf(id, a, request);
                return what switch
                {
                    _ when what.EndsWith(".csv", StringComparison.Ordinal) && Lists.Names.Contains(what[..^4]) => File(
                        "\uFEFF" + Lists.Csv(a, what[..^4]),
                        "text/csv",
                        $"{id}-{what}"
                    ),
                    "job.json" => File(JobFile.Write(a.Job), "application/json", $"{id}.json"),
                    "schedule.csv" => File("\uFEFF" + ScheduleCsv.Write(a), "text/csv", $"{id}-schedule.csv"),
                    "boxes.csv" => File("\uFEFF" + BoxScheduleCsv.Write(a), "text/csv", $"{id}-boxes.csv"),
                    "lists.xlsx" => Results.File(
                        ListsXlsx.Write(a),
                        "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet",
                        $"{id}-lists.xlsx"
                    ),
                    "schedule.svg" => File(ScheduleSvg.Draw(a), "image/svg+xml", $"{id}-schedule.svg"),
                    "analysis.json" => File(AnalysisJson.Write(a), "application/json", $"{id}-analysis.json"),
                    "plan.dxf" when a.Job.StoreyById(storey) is not null => File(
                        DxfWriter.Write(a, storey!),
                        "application/dxf",
                        $"{id}-{storey}.dxf"
                    ),
                    "plan.svg" when a.Job.StoreyById(storey) is not null => File(
                        PlanSvg.Draw(a, new PlanView(storey!, PlanStage.Circuits, StandAlone: true)),
                        "image/svg+xml",
                        $"{id}-{storey}.svg"
                    ),
                    _ => Results.NotFound(),
                };
            }
        );

    private static IResult StickerPdf(string id, JobAnalysis a, HttpRequest request)
    {
        var choice = StickerChoice.Of(request.Query);
        return Results.File(PdfSheet.Make($"Stickers, {a.Job.Name}", choice.Pages(a)), "application/pdf", $"{id}-stickers.pdf");
    }

    private static IResult File(string text, string type, string name) => Results.File(Encoding.UTF8.GetBytes(text), type, name);
}
