using System.IO.Compression;
using System.Xml.Linq;
using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;
using Circuitum.Core.Planning;
using Circuitum.Core.Review;
using MiniExcelLibs;

namespace Circuitum.Formats.Tests;

/// <summary>The workbook: the same numbers as the analysis, numbers as numbers, and no cell that runs.</summary>
public class ListsTests
{
    private static readonly Job Planned = Planner.PlanAll(JobFileTests.Demo("tamarack-row.json"));

    private static readonly JobAnalysis A = Analyzer.Analyze(Planned);

    private static List<IDictionary<string, object?>> Rows(byte[] book, string sheet) =>
        [.. new MemoryStream(book).Query(useHeaderRow: true, sheetName: sheet).Cast<IDictionary<string, object?>>()];

    [Fact]
    public void The_workbook_holds_the_numbers_of_the_analysis()
    {
        var book = ListsXlsx.Write(A);
        var schedule = Rows(book, "Main panel");
        schedule.Count.ShouldBe(A.Panel!.Spaces);
        schedule.Sum(r => Convert.ToDouble(r["Leg A VA"] ?? 0.0)).ShouldBe(A.Lines[0].Value, A.Circuits.Length);
        schedule
            .Where(r => r["Breaker A"] is not null)
            .Select(r => Convert.ToInt32(r["Circuit"]))
            .Order()
            .ShouldBe(A.Circuits.Select(c => c.Number).Order());
        Rows(book, "Home runs")
            .Sum(r => (double)r["Feet"]!)
            .ShouldBe(A.Circuits.Where(c => !c.Carried).Sum(c => c.Run.Segments[0].Cut.InFeet), 2);
        Rows(book, "Box to box").Count.ShouldBe(A.Circuits.Sum(c => c.Run.Cables.Count(h => h.From is not null)));
        Rows(book, "Cable").Sum(r => (double)r["Feet to cut"]!).ShouldBe(A.Cable.ByType.Sum(t => t.Cut.InFeet), 1);
        Rows(book, "Boxes").Count.ShouldBe(Planned.Decisions.Boxes.Length);
    }

    [Theory]
    [InlineData("=HYPERLINK(\"x\")")]
    [InlineData("+1")]
    [InlineData("a[b]:*?/\\'c \u0001 \ud83d\udd0c a name that is much longer than a sheet may be called")]
    [InlineData("")]
    public void Text_stays_text_and_any_name_makes_a_sheet(string name)
    {
        var job = Planned with
        {
            Panels = [Planned.Panels[0] with { Name = name }],
            Decisions = Planned.Decisions with
            {
                Circuits = Planned.Decisions.Circuits.SetItem(
                    0,
                    Planned.Decisions.Circuits[0] with
                    {
                        Label = name.Length > 0 ? name : null,
                    }
                ),
            },
        };
        var book = ListsXlsx.Write(Analyzer.Analyze(job));
        using var zip = new ZipArchive(new MemoryStream(book));
        foreach (
            var entry in zip.Entries.Where(e =>
                e.FullName.StartsWith("xl/worksheets/", StringComparison.Ordinal) && e.Name.EndsWith(".xml", StringComparison.Ordinal)
            )
        )
        {
            using var stream = entry.Open();
            XDocument.Load(stream).Descendants().ShouldNotContain(e => e.Name.LocalName == "f", entry.FullName);
        }

        new MemoryStream(book).GetSheetNames().ShouldAllBe(n => n.Length > 0 && n.Length <= 31);
    }

    [Fact]
    public void Each_list_is_csv_too_with_the_cells_of_the_workbook()
    {
        var book = ListsXlsx.Write(A);
        Lists.Of(A).Select(l => l.Name).ShouldBe(Lists.Names);
        foreach (var list in Lists.Of(A))
        {
            var lines = Lists.Csv(A, list.Name).TrimEnd().Split("\r\n");
            lines.Length.ShouldBe(list.Rows.Count + 1);
            lines[0].ShouldStartWith(list.Columns[0]);
            if (list.Rows.Count > 0)
                Rows(book, list.Title).Count.ShouldBe(list.Rows.Count);
        }

        Should.Throw<ArgumentException>(() => Lists.Csv(A, "moon"));
    }
}
