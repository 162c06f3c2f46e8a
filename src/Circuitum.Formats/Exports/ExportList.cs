using System.Collections.Immutable;
using System.Text;
using Circuitum.Formats.Documents;
using Circuitum.Formats.Drawings;
using Circuitum.Formats.Dxf;
using Circuitum.Formats.Pdf;
using Circuitum.Formats.Supply;

namespace Circuitum.Formats.Exports;

/// <summary>All exports.</summary>
public static class ExportList
{
    private const string Csv = "text/csv";
    private const string Json = "application/json";
    private const string Pdf = "application/pdf";
    private const string Svg = "image/svg+xml";
    private const string Workbook = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet";

    /// <summary>The exports.</summary>
    public static ImmutableArray<Export> All { get; } =
    [
        Text("job", "json", Json, r => JobFile.Write(r.Analysis.Job)),
        Text("analysis", "json", Json, r => AnalysisJson.Write(r.Analysis)),
        Text("schedule", "csv", Csv, r => ScheduleCsv.Write(r.Analysis)),
        Text("tests", "csv", Csv, r => TestReportCsv.Write(r.Analysis, r.Field)),
        Text("boxes", "csv", Csv, r => BoxScheduleCsv.Write(r.Analysis)),
        .. Lists.Names.Select(name => Text(name, "csv", Csv, r => Lists.Csv(r.Analysis, name))),
        Text("material", "json", Json, r => MaterialJson.Write(r.Analysis)),
        new("material", "xlsx", Workbook, r => MaterialXlsx.Write(r.Analysis, r.Money.Prices)),
        Text("order", "json", Json, r => OrderFiles.Wanted(r.Analysis, r.Money.Prices)),
        new("lists", "xlsx", Workbook, r => ListsXlsx.Write(r.Analysis)),
        Text("schedule", "svg", Svg, r => SvgWriter.Text(PanelDrawing.Of(r.Analysis), Looks.Styles)),
        Text("plan", "svg", Svg, r => PlanSvg.Draw(r.Analysis, new PlanView(r.Storey!, PlanStage.Circuits, StandAlone: true))) with
        {
            OfStorey = true,
        },
        Text("plan", "dxf", "application/dxf", r => DxfWriter.Write(r.Analysis, r.Storey!)) with
        {
            OfStorey = true,
        },
        new("plan", "png", "image/png", r =>
            PngWriter.Write(PlanComposer.Compose(r.Analysis, new(r.Storey!, PlanStage.Circuits, StandAlone: true)))
        )
        {
            OfStorey = true,
        },
        .. Papers.Names.Select(name => new Export(name, "pdf", Pdf, r =>
            Papers.Make(r.Analysis, name, r.Change, r.Size, r.Set, r.Money, r.Field, r.Photos, r.Cancel)
        )),
        new("breaker-stickers", "pdf", Pdf, r => Stickers(r, breakers: true)),
        new("cable-stickers", "pdf", Pdf, r => Stickers(r, breakers: false)),
    ];

    /// <summary>The export whose file has a name, or none.</summary>
    /// <param name="file">Such as <c>schedule.csv</c>.</param>
    public static Export? ByFile(string file) => All.FirstOrDefault(e => e.File == file);

    /// <summary>The export that the command line calls so, or none.</summary>
    /// <param name="form">Such as <c>schedule-csv</c>.</param>
    public static Export? ByForm(string form) => All.FirstOrDefault(e => e.Form == form);

    private static Export Text(string name, string extension, string type, Func<ExportRequest, string> write) =>
        new(name, extension, type, r => Encoding.UTF8.GetBytes(write(r))) { IsText = true };

    private static byte[] Stickers(ExportRequest r, bool breakers)
    {
        var stock = StickerSheet.Stocks.Where(s => s.Size == r.Size).ToList();
        var stickers = breakers ? StickerSheet.Breakers(r.Analysis) : StickerSheet.Cables(r.Analysis);
        return PdfSheet.Make(
            $"Stickers, {r.Analysis.Job.Name}",
            StickerSheet.Of(stickers, breakers ? stock[^1] : stock[0], 1, lines: false)
        );
    }
}
