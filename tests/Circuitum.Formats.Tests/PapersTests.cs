using System.Text;
using Circuitum.Core.Analysis;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Planning;
using Circuitum.Core.Review;
using Circuitum.Formats.Documents;
using Circuitum.Formats.Pdf;

namespace Circuitum.Formats.Tests;

/// <summary>Papers as PDF: what they say, that their text can be selected, and that anything may be written in a job.</summary>
public class PapersTests
{
    private static readonly Job Planned = Planner.PlanAll(JobFileTests.Demo("tamarack-row.json"));

    private static readonly JobAnalysis A = Analyzer.Analyze(
        Planner.PlanSpaces(new PutOnWall("sub-panel", "sitting", 0, Length.Feet(2), default).Apply(Planned).Job!, afresh: true)
    );

    private static string Latin(byte[] pdf) => Encoding.Latin1.GetString(pdf);

    [Fact]
    public void Every_paper_is_a_pdf_with_its_own_fonts_and_selectable_text_on_either_page()
    {
        foreach (var name in Papers.Names)
        {
            var letter = Latin(Papers.Make(A, name, 7, PaperSize.Letter));
            letter.ShouldStartWith("%PDF-");
            letter.ShouldContain("/FontFile2");
            letter.ShouldContain("/ToUnicode");
            letter.ShouldContain("[0 0 612 792]");
            Latin(Papers.Make(A, name, 7, PaperSize.A4)).ShouldNotContain("612 792");
        }

        Should.Throw<ArgumentException>(() => Papers.Make(A, "moon", 1, PaperSize.A4));
    }

    [Fact]
    public void The_schedule_and_the_directory_name_every_circuit_and_feeder_with_its_space()
    {
        var schedule = string.Join('\n', Papers.Of(A, "schedule", 7).Words);
        foreach (var c in A.Circuits)
            schedule.ShouldContain($"{c.Breaker} A, {c.Poles}-pole");
        schedule.ShouldContain("Feeder to Sitting nook panel");
        schedule.ShouldContain("Panel schedule: Sitting nook panel");
        var directory = Papers.Of(A, "directory", 7).Words;
        foreach (var p in A.Panels)
            directory.Count(l => l == $"{p.Panel.Spaces}").ShouldBeGreaterThan(0);
        directory.ShouldContain(l => l.Contains("Fed from Main panel") && l.Contains("spaces"));
    }

    [Fact]
    public void The_load_sheet_shows_the_numbers_of_the_analysis()
    {
        var load = Papers.Of(A, "load", 7).Words;
        load.ShouldContain($"{A.ServiceLoads[0].Total}, {A.ServiceLoads[0].Current.Value:0.0} A");
        load.ShouldContain($"{A.ServiceLoads[1].Total}, {A.ServiceLoads[1].Current.Value:0.0} A");
        load.ShouldContain(ServiceSheet.Of(A).Neutral.Result);
        var runs = string.Join('\n', Papers.Of(A, "home-runs", 7).Words);
        foreach (var c in A.Circuits.Where(c => !c.Carried))
            runs.ShouldContain($"HR-{c.Number:00}");
        string.Join('\n', Papers.Of(A, "feeders", 7).Words).ShouldContain(A.Panels[1].Feeder!.Made);
    }

    [Fact]
    public void Home_runs_are_followed_by_what_is_drilled_with_bushings_where_studs_are_of_metal()
    {
        var walls = Planned.Rooms.SelectMany(r =>
            Enumerable
                .Range(0, r.Outline.Length)
                .Select(w => new WallFact
                {
                    Room = r.Id,
                    Wall = w,
                    Build = WallBuild.MetalStud,
                })
        );
        string Said(Job job) => string.Join('\n', Papers.Of(Analyzer.Analyze(job), "home-runs", 7).Words);
        Said(Planned).ShouldContain("nail plates");
        Said(Planned).ShouldNotContain("bushings");
        var steel = Said(Planned with { Walls = [.. walls] });
        steel.ShouldContain(" bushings in metal studs");
        steel.ShouldContain("bushings in the holes");
    }

    [Fact]
    public void The_one_line_drawing_shows_service_meter_panels_feeder_and_electrode()
    {
        var svg = System.Xml.Linq.XDocument.Parse(Circuitum.Formats.Drawings.SvgWriter.Text(OneLine.Of(A))).Root!;
        var texts = svg.Descendants().Where(e => e.Name.LocalName == "text").Select(e => e.Value).ToList();
        texts.ShouldContain("Utility");
        texts.ShouldContain("Main panel");
        texts.ShouldContain("Sitting nook panel");
        texts.ShouldContain(t => t.Contains(A.Panels[1].Feeder!.Made) && t.Contains($"{A.Panels[1].Feeder!.Breaker} A"));
        texts.ShouldContain(t => t.Contains("neutral bonded"));
        texts.ShouldContain("4 copper or 2 aluminum");
        Stroke.Of(OneLine.Of(A)).Count(s => s.Kind == StrokeKind.Box).ShouldBe(A.Panels.Length);
    }

    [Fact]
    public void The_packet_holds_them_all()
    {
        var packet = Latin(Papers.Make(A, "packet", 7, PaperSize.Letter));
        var said = string.Join('\n', Papers.Of(A, "packet", 7).Words);
        foreach (
            var heading in new[]
            {
                "Tamarack Row",
                "Load sheet",
                "Panel schedule: Main panel",
                "Directory: Main panel",
                "First floor: boxes with their circuits",
                "Second floor: boxes with their circuits",
                "Home runs",
                "Feeders",
                "Box fills over 80 percent",
                "Open findings",
                "Cautions",
            }
        )
            said.ShouldContain(heading);
        System.Text.RegularExpressions.Regex.Count(packet, @"/Type /Page\b").ShouldBeGreaterThan(10);
    }

    [Theory]
    [InlineData("")]
    [InlineData("<script>alert(1)</script> \u0000\u202e (quoted) \\ %PDF endobj")]
    [InlineData("WWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWWW")]
    [InlineData("\u4e2d\u6587 \ud83d\udd0c")]
    public void Any_text_can_stand_in_a_paper(string name)
    {
        var job = Planned with
        {
            Name = name,
            Place = name,
            Panels = [Planned.Panels[0] with { Name = name, BreakerFamily = name }],
            Rooms = [.. Planned.Rooms.Select(r => r with { Name = name })],
        };
        foreach (var paper in Papers.Names)
            Latin(Papers.Make(Analyzer.Analyze(job), paper, 1, PaperSize.Letter)).TrimEnd().ShouldEndWith("%%EOF");
    }

    [Fact]
    public void A_job_without_anything_has_papers_too()
    {
        var empty = Analyzer.Analyze(new Job { Name = "Empty", Storeys = [new Storey { Id = "first", Name = "First" }] });
        foreach (var paper in Papers.Names)
            Papers.Make(empty, paper, 0, PaperSize.Letter).Length.ShouldBeGreaterThan(500);
    }
}
