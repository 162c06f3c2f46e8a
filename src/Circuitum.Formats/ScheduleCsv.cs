using System.Globalization;
using Circuitum.Core.Analysis;
using CsvHelper;
using CsvHelper.Configuration;

namespace Circuitum.Formats;

/// <summary>The panel schedule as CSV. A cell that a spreadsheet would take for a formula is made text.</summary>
public static class ScheduleCsv
{
    /// <summary>Writes the schedule with its totals.</summary>
    public static string Write(JobAnalysis analysis)
    {
        using var text = new StringWriter(CultureInfo.InvariantCulture);
        using (var csv = new CsvWriter(text, new CsvConfiguration(CultureInfo.InvariantCulture) { NewLine = "\r\n" }))
        {
            Row(csv, "Space", "Circuit", "Label", "Breaker A", "Poles", "Protection", "Home run", "Cable ft", "Leg A VA", "Leg B VA");
            foreach (var (at, row) in analysis.Panels.SelectMany(p => p.Schedule.Select(r => (p, r))))
            {
                if (row.Space == 1 && analysis.Panels.Length > 1)
                    Row(
                        csv,
                        "",
                        "",
                        at.Panel.Name
                            + (
                                at.Feeder is { } from
                                    ? $", fed from {analysis.PanelById(from.From)!.Panel.Name}, {from.Breaker} A, {from.Made}"
                                    : ""
                            ),
                        "",
                        "",
                        "",
                        "",
                        "",
                        "",
                        ""
                    );
                var space = row.Place;
                if (row.Feeder is { } feeder)
                    Row(
                        csv,
                        space,
                        "",
                        $"Feeder to {analysis.PanelById(feeder.To)!.Panel.Name}{(row.SecondPole ? " (second pole)" : "")}",
                        row.SecondPole ? "" : Number(feeder.Breaker),
                        row.SecondPole ? "" : "2",
                        "",
                        row.SecondPole ? "" : feeder.Made,
                        row.SecondPole ? "" : Va(feeder.Cut.InFeet),
                        Va(row.LegA.Value),
                        Va(row.LegB.Value)
                    );
                else if (row.Circuit is not { } c)
                    Row(csv, space, "", "Spare", "", "", "", "", "", "", "");
                else if (row.SecondPole)
                    Row(
                        csv,
                        space,
                        Number(c.Number),
                        $"{c.Label} (second pole)",
                        "",
                        "",
                        "",
                        "",
                        "",
                        Va(row.LegA.Value),
                        Va(row.LegB.Value)
                    );
                else
                    Row(
                        csv,
                        space,
                        Number(c.Number),
                        c.Label,
                        Number(c.Breaker),
                        Number(c.Poles),
                        c.Protection.Mark,
                        $"{c.Cable}",
                        Va(c.Run.Cut.InFeet),
                        Va(row.LegA.Value),
                        Va(row.LegB.Value)
                    );
            }

            Row(
                csv,
                "",
                "",
                "Connected load",
                "",
                "",
                "",
                "",
                Va(analysis.Circuits.Sum(c => c.Run.Cut.InFeet)),
                Va(analysis.LegA.Value),
                Va(analysis.LegB.Value)
            );
            Row(csv, "", "", $"Service load, optional method: {analysis.Optional.Current.Value:0.0} A", "", "", "", "", "", "", "");
            Row(csv, "", "", $"Service load, standard method: {analysis.Standard.Current.Value:0.0} A", "", "", "", "", "", "", "");
        }

        return text.ToString();
    }

    /// <summary>Lines of cells, each cell safe to open.</summary>
    internal static string Lines(IEnumerable<string[]> lines)
    {
        using var text = new StringWriter(CultureInfo.InvariantCulture);
        using (var csv = new CsvWriter(text, new CsvConfiguration(CultureInfo.InvariantCulture) { NewLine = "\r\n" }))
        {
            foreach (var line in lines)
                Row(csv, line);
        }

        return text.ToString();
    }

    /// <summary>A cell that no spreadsheet runs: a leading sign, at or control character gets an apostrophe before it.</summary>
    public static string Safe(string cell) =>
        cell.Length > 0 && (cell[0] is '=' or '+' or '-' or '@' or '\t' or '\r' or '\n') ? "'" + cell : cell;

    private static void Row(CsvWriter csv, params string[] cells)
    {
        foreach (var cell in cells)
            csv.WriteField(Safe(cell));
        csv.NextRecord();
    }

    private static string Number(int value) => value.ToString(CultureInfo.InvariantCulture);

    private static string Va(double value) => value.ToString("0", CultureInfo.InvariantCulture);
}
