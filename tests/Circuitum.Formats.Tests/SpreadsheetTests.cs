using System.Diagnostics;
using System.Globalization;
using System.Text;
using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;
using Circuitum.Core.Planning;
using Circuitum.Core.Review;
using CsvHelper;

namespace Circuitum.Formats.Tests;

/// <summary>
/// The workbook and the CSV are opened by a spreadsheet program and written out again: the numbers are the same, and text stays text.
/// </summary>
public sealed class SpreadsheetTests : IDisposable
{
    private const string Evil = "=1+1";

    private static readonly Job Planned = Planner.PlanAll(JobFileTests.Demo("tamarack-row.json"));

    private static readonly JobAnalysis A = Analyzer.Analyze(
        Planned with
        {
            Decisions = Planned.Decisions with
            {
                Circuits = Planned.Decisions.Circuits.SetItem(0, Planned.Decisions.Circuits[0] with { Label = Evil }),
            },
        }
    );

    private readonly string folder = Directory.CreateTempSubdirectory("circuitum-sheets-").FullName;

    public void Dispose() => Directory.Delete(folder, true);

    // Each sheet of a file as the program has read it, by its name.
    private Dictionary<string, List<string[]>> Opened(byte[] file, string name)
    {
        foreach (var old in Directory.GetFiles(folder))
            File.Delete(old);
        File.WriteAllBytes(Path.Combine(folder, name), file);
        using var program = Process.Start(
            new ProcessStartInfo("ssconvert", ["--export-file-per-sheet", name, "out-%s.csv"])
            {
                WorkingDirectory = folder,
                RedirectStandardError = true,
                RedirectStandardOutput = true,
                Environment = { ["LC_ALL"] = "C.UTF-8" },
            }
        )!;
        var said = program.StandardError.ReadToEndAsync();
        program.WaitForExit(60_000).ShouldBeTrue();
        program.ExitCode.ShouldBe(0, said.Result);
        return Directory
            .GetFiles(folder, "out-*.csv")
            .ToDictionary(
                f => Path.GetFileNameWithoutExtension(f)[4..],
                f =>
                {
                    using var csv = new CsvParser(new StringReader(File.ReadAllText(f)), CultureInfo.InvariantCulture);
                    var rows = new List<string[]>();
                    while (csv.Read())
                        rows.Add(csv.Record!);
                    return rows;
                }
            );
    }

    private static double Number(string cell) => cell.Length == 0 ? 0 : double.Parse(cell, CultureInfo.InvariantCulture);

    [Fact]
    public void The_workbook_opens_with_the_same_numbers()
    {
        var sheets = Opened(ListsXlsx.Write(A), "lists.xlsx");
        var panel = sheets[A.Panel!.Name];
        panel.Count.ShouldBe(A.Panel.Spaces + 1);
        foreach (var (row, cells) in A.Schedule.Zip(panel.Skip(1)))
        {
            cells[0].ShouldBe(row.Place);
            Number(cells[7]).ShouldBe(Math.Round(row.Load[0].Value));
            Number(cells[8]).ShouldBe(Math.Round(row.Load[1].Value));
            if (row is { Circuit: { } c, SecondPole: false })
                (cells[1], cells[2], cells[3], cells[6]).ShouldBe(($"{c.Number}", c.Label, $"{c.Breaker}", $"{c.Cable}"));
        }

        var runs = sheets["Home runs"].Skip(1).ToDictionary(r => r[0]);
        foreach (var c in A.Circuits.Where(c => !c.Carried))
            Number(runs[$"{c.Number}"][5]).ShouldBe(c.Run.Segments[0].Cut.InFeet, 0.051);
        sheets["Boxes"].Count.ShouldBe(Planned.Decisions.Boxes.Length + 1);
        foreach (var cells in sheets["Boxes"].Skip(1))
            Number(cells[3]).ShouldBe(A.Specs[cells[0]].Fill is { } fill ? Math.Round(fill.Inches3, 2) : 0, 0.001);
        sheets["Cable"].Skip(1).Sum(r => Number(r[1])).ShouldBe(A.Cable.ByType.Sum(t => t.Cut.InFeet), 0.1 * A.Cable.ByType.Length);
    }

    [Fact]
    public void A_label_that_looks_like_a_formula_is_not_worked_out()
    {
        Opened(ListsXlsx.Write(A), "lists.xlsx")[A.Panel!.Name].SelectMany(r => r).ShouldContain(Evil);
        var csv = Opened(Encoding.UTF8.GetBytes("\uFEFF" + ScheduleCsv.Write(A)), "schedule.csv").Single().Value;
        csv.SelectMany(r => r).ShouldContain(c => c.EndsWith(Evil, StringComparison.Ordinal));
    }
}
