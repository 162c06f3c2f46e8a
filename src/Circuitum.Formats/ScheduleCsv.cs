using System.Globalization;
using Circuitum.Core.Analysis;
using Circuitum.Core.Measure;
using Circuitum.Core.Panels;
using CsvHelper;
using CsvHelper.Configuration;

namespace Circuitum.Formats;

/// <summary>The panel schedule as CSV. A cell that a spreadsheet would take for a formula is made text.</summary>
public static class ScheduleCsv
{
    // Columns before those of the lines.
    private const int Before = 8;

    /// <summary>Writes the schedule with its totals.</summary>
    public static string Write(JobAnalysis analysis)
    {
        if (analysis.Edition.Board is not null)
            return Boards(analysis);
        using var text = new StringWriter(CultureInfo.InvariantCulture);
        using (var csv = new CsvWriter(text, new CsvConfiguration(CultureInfo.InvariantCulture) { NewLine = "\r\n" }))
        {
            Row(
                csv,
                analysis.Edition.Supply,
                [
                    "Space",
                    "Circuit",
                    "Label",
                    "Breaker A",
                    "Poles",
                    "Protection",
                    "Home run",
                    $"Cable {LengthText.FarWord(analysis.Units)}",
                    .. analysis.Edition.Supply.Headings("VA"),
                ]
            );
            foreach (var (at, row) in analysis.Panels.SelectMany(p => p.Schedule.Select(r => (p, r))))
            {
                if (row.Space == 1 && analysis.Panels.Length > 1)
                    Row(csv, analysis.Edition.Supply, ["", "", Title(analysis, at)]);
                Row(csv, analysis.Edition.Supply, Cells(analysis, row));
            }

            Row(
                csv,
                analysis.Edition.Supply,
                [
                    "",
                    "",
                    "Connected load",
                    "",
                    "",
                    "",
                    "",
                    LengthText.FarNumber(analysis.Circuits.Sum(c => c.Run.Cut.InFeet), analysis.Units),
                    .. Lines(analysis.Lines),
                ]
            );
            foreach (var load in analysis.ServiceLoads.Reverse())
                Row(csv, analysis.Edition.Supply, ["", "", $"Service load, {load.Name}: {load.Current.Value:0.0} A"]);
        }

        return text.ToString();
    }

    private static string Boards(JobAnalysis a)
    {
        var lines = new List<string[]>();
        foreach (var sheet in a.Panels.Select(at => BoardSheet.Of(a, at)).OfType<BoardSheet>())
        {
            lines.Add([sheet.At.Panel.Name]);
            lines.AddRange(BoardLines.Over(a, sheet).Select(l => new[] { l }));
            lines.Add([.. BoardLines.Heads(sheet, a.Units)]);
            lines.AddRange(
                BoardLines.Of(a, sheet).Select(l => l.Cells.Select(c => c.Replace(",", "", StringComparison.Ordinal)).ToArray())
            );
            lines.AddRange(BoardLines.Under(sheet).Select(l => new[] { l }));
        }

        return Lines(lines);
    }

    /// <summary>Lines of cells, each cell safe to open.</summary>
    internal static string Lines(IEnumerable<string[]> lines)
    {
        using var text = new StringWriter(CultureInfo.InvariantCulture);
        using (var csv = new CsvWriter(text, new CsvConfiguration(CultureInfo.InvariantCulture) { NewLine = "\r\n" }))
        {
            foreach (var line in lines)
                Line(csv, line);
        }

        return text.ToString();
    }

    /// <summary>A cell that no spreadsheet runs: a leading sign, at or control character gets an apostrophe before it.</summary>
    public static string Safe(string cell) =>
        cell.Length > 0 && (cell[0] is '=' or '+' or '-' or '@' or '\t' or '\r' or '\n') ? "'" + cell : cell;

    private static string Title(JobAnalysis a, PanelAnalysis at) =>
        at.Panel.Name + (at.Feeder is { } from ? $", fed from {a.PanelById(from.From)!.Panel.Name}, {from.Breaker} A, {from.Made}" : "");

    private static string[] Cells(JobAnalysis a, PanelRow row) =>
        row switch
        {
            { Feeder: { } f, SecondPole: false } =>
            [
                row.Place,
                "",
                $"Feeder to {a.PanelById(f.To)!.Panel.Name}",
                Number(f.Breaker),
                "2",
                "",
                f.Made,
                LengthText.FarNumber(f.Cut, a.Units),
                .. Lines(row.Load),
            ],
            { Feeder: { } f } =>
            [
                row.Place,
                "",
                $"Feeder to {a.PanelById(f.To)!.Panel.Name} (second pole)",
                "",
                "",
                "",
                "",
                "",
                .. Lines(row.Load),
            ],
            { Circuit: { } c, SecondPole: true } =>
            [
                row.Place,
                Number(c.Number),
                $"{c.Label} (second pole)",
                "",
                "",
                "",
                "",
                "",
                .. Lines(row.Load),
            ],
            { Circuit: { } c } =>
            [
                row.Place,
                Number(c.Number),
                c.Label,
                Number(c.Breaker),
                Number(c.Poles),
                c.Protection.Mark,
                $"{c.Cable}",
                LengthText.FarNumber(c.Run.Cut, a.Units),
                .. Lines(row.Load),
            ],
            _ => [row.Place, "", "Spare"],
        };

    private static IEnumerable<string> Lines(LineLoads loads) => loads.Each.Select(l => Va(l.Value));

    // A row ends in as many empty cells as it is short of the head.
    private static void Row(CsvWriter csv, Core.Codes.Supply supply, IEnumerable<string> cells)
    {
        var filled = cells.ToList();
        Line(csv, [.. filled, .. Enumerable.Repeat("", Math.Max(0, Before + supply.Names.Length - filled.Count))]);
    }

    private static void Line(CsvWriter csv, params string[] cells)
    {
        foreach (var cell in cells)
            csv.WriteField(Safe(cell));
        csv.NextRecord();
    }

    private static string Number(int value) => value.ToString(CultureInfo.InvariantCulture);

    private static string Va(double value) => value.ToString("0", CultureInfo.InvariantCulture);
}
