using System.Text.Json.Nodes;
using Circuitum.Core.Intake;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Planning;
using Circuitum.Core.Review;
using NJsonSchema;

namespace Circuitum.Formats.Tests;

public partial class JobFileTests
{
    internal static string Root()
    {
        var at = new DirectoryInfo(AppContext.BaseDirectory);
        while (at is not null && !Directory.Exists(Path.Combine(at.FullName, "demo")))
            at = at.Parent;
        return at!.FullName;
    }

    internal static string DemoText(string name = "tamarack-row.json") => File.ReadAllText(Path.Combine(Root(), "demo", name));

    internal static Job Demo(string name = "tamarack-row.json") => JobFile.Read(DemoText(name)).Job.ShouldNotBeNull();

    [Fact]
    public async Task The_published_schema_has_the_limits_of_the_program()
    {
        var schema = await JsonSchema.FromFileAsync(Path.Combine(Root(), "docs", "job-format", "job.schema.json"), CancellationToken.None);
        var decisions = schema.Properties["decisions"].ActualSchema.Properties;
        schema.Properties["rooms"].MaxItems.ShouldBe(JobRules.MostRooms);
        schema.Properties["openings"].MaxItems.ShouldBe(JobRules.MostOpenings);
        foreach (var thing in new[] { "counters", "fixtures", "appliances" })
            schema.Properties[thing].MaxItems.ShouldBe(JobRules.MostThings);
        foreach (var boxes in new[] { "boxes", "refused" })
            decisions[boxes].MaxItems.ShouldBe(JobRules.MostBoxes);
        foreach (var circuits in new[] { "circuits", "spaces" })
            decisions[circuits].MaxItems.ShouldBe(JobRules.MostCircuits);
    }

    [Theory]
    [InlineData("tamarack-row.json")]
    [InlineData("gull-cottage.json")]
    public void A_planned_demo_job_reads_back_the_same(string name)
    {
        var text = JobFile.Write(Planner.PlanAll(Demo(name)));
        JobFile.Write(JobFile.Read(text).Job.ShouldNotBeNull()).ShouldBe(text);
    }

    [Theory]
    [InlineData("tamarack-row.json")]
    [InlineData("gull-cottage.json")]
    public async Task Demo_and_planned_jobs_follow_the_published_schema(string name)
    {
        var schema = await JsonSchema.FromFileAsync(Path.Combine(Root(), "docs", "job-format", "job.schema.json"), CancellationToken.None);
        schema.Validate(DemoText(name)).ShouldBeEmpty();
        schema.Validate(JobFile.Write(Planner.PlanAll(Demo(name)))).ShouldBeEmpty();
        schema
            .Validate(DemoText(name).Replace("\"kitchen\",\n      \"ceiling", "\"scullery\",\n      \"ceiling", StringComparison.Ordinal))
            .ShouldNotBeEmpty();
    }

    [Theory]
    [InlineData("tamarack-row.json")]
    [InlineData("gull-cottage.json")]
    public void A_planned_demo_job_has_no_must_finding(string name) =>
        Analyzer.Analyze(Planner.PlanAll(Demo(name))).Findings.Where(f => f.Severity == Core.Analysis.Severity.Must).ShouldBeEmpty();

    [Theory]
    [InlineData("tamarack-row.json", 1860)]
    [InlineData("gull-cottage.json", 620)]
    public void The_demo_houses_have_their_stated_area(string name, double area) =>
        Analyzer.Analyze(Demo(name)).AreaSqFt.ShouldBe(area, 0.5);

    [Fact]
    public void Unknown_fields_survive_at_every_level()
    {
        var node = JsonNode.Parse(DemoText())!;
        node["later"] = "x";
        node["rooms"]![0]!["paint"] = new JsonObject { ["wall"] = "white" };
        node["appliances"]![0]!["nameplate"]!["serial"] = 7;
        node["preferences"]!["radio"] = true;
        var back = JsonNode.Parse(JobFile.Write(JobFile.Read(node.ToJsonString()).Job.ShouldNotBeNull()))!;
        back["later"]!.GetValue<string>().ShouldBe("x");
        back["rooms"]![0]!["paint"]!["wall"]!.GetValue<string>().ShouldBe("white");
        back["appliances"]![0]!["nameplate"]!["serial"]!.GetValue<int>().ShouldBe(7);
        back["preferences"]!["radio"]!.GetValue<bool>().ShouldBeTrue();
    }

    public static TheoryData<string, string, string> Bad =>
        new()
        {
            { "not JSON", "hello", "" },
            { "an array", "[]", "" },
            { "nothing", "", "" },
            { "another format", """{"format":"x","version":1}""", "format" },
            { "a later version", """{"format":"circuitum-job","version":2}""", "version" },
            { "no name", Edit(n => n["name"] = ""), "name" },
            { "an edition that is not shipped", Edit(n => n["codeEdition"] = "us-1999"), "codeEdition" },
            { "a negative length", Edit(n => n["openings"]![0]!["from"] = "-3'0"), "openings[0].from" },
            { "a negative width", Edit(n => n["openings"]![0]!["width"] = "-3'0"), "openings[0].width" },
            { "an absurd length", Edit(n => n["rooms"]![0]!["ceilingHeight"] = "99999999999"), "rooms[0].ceilingHeight" },
            { "a ceiling of 90 ft", Edit(n => n["rooms"]![0]!["ceilingHeight"] = "90'"), "rooms[0].ceilingHeight" },
            { "a length that is a number", Edit(n => n["rooms"]![0]!["ceilingHeight"] = 8), "rooms[0].ceilingHeight" },
            {
                "an outline that crosses itself",
                Edit(n => n["rooms"]![0]!["outline"] = JsonNode.Parse("""[["0'","0'"],["10'","10'"],["10'","0'"],["0'","10'"]]""")),
                "rooms[0].outline"
            },
            {
                "an outline of two corners",
                Edit(n => n["rooms"]![0]!["outline"] = JsonNode.Parse("""[["0'","0'"],["10'","10'"]]""")),
                "rooms[0].outline"
            },
            {
                "a wall of no length",
                Edit(n => n["rooms"]![0]!["outline"]![1] = n["rooms"]![0]!["outline"]![0]!.DeepClone()),
                "rooms[0].outline[0]"
            },
            { "a door off its wall", Edit(n => n["openings"]![0]!["from"] = "30'"), "openings[0].from" },
            { "a door on no wall", Edit(n => n["openings"]![0]!["wall"] = 9), "openings[0].wall" },
            { "a door to no room", Edit(n => n["openings"]![0]!["to"] = "attic"), "openings[0].to" },
            { "the same id twice", Edit(n => n["rooms"]![1]!["id"] = "kitchen"), "rooms[1].id" },
            { "an id with markup", Edit(n => n["rooms"]![1]!["id"] = "<b>"), "rooms[1].id" },
            { "an unknown room kind", Edit(n => n["rooms"]![0]!["kind"] = "dungeon"), "rooms[0].kind" },
            { "a kind that is a number", Edit(n => n["rooms"]![0]!["kind"] = 3), "rooms[0].kind" },
            { "a null list", Edit(n => n["rooms"] = null), "rooms" },
            {
                "an appliance of 1e300 VA",
                Edit(n => n["appliances"]![0]!["nameplate"]!["voltAmperes"] = 1e300),
                "appliances[0].nameplate.voltAmperes"
            },
            { "an unknown appliance", Edit(n => n["appliances"]![0]!["type"] = "flux"), "appliances[0].type" },
            { "a panel of 7 spaces", Edit(n => n["panels"]![0]!["spaces"] = 7), "panels[0].spaces" },
            {
                "a circuit with a box that is not there",
                Edit(n =>
                    n["decisions"] = JsonNode.Parse("""{"circuits":[{"number":1,"purpose":"laundry","boxes":[{"box":"nobody"}]}]}""")
                ),
                "decisions.circuits[0].boxes"
            },
            {
                "ten thousand rooms",
                Edit(n => n["rooms"] = new JsonArray([.. Enumerable.Range(0, 10_000).Select(i => n["rooms"]![0]!.DeepClone())])),
                "rooms"
            },
            { "a name over 120 characters", Edit(n => n["rooms"]![0]!["name"] = new string('x', 121)), "rooms[0].name" },
            { "deep nesting", """{"format":"circuitum-job","version":1,"x":""" + new string('[', 200) + new string(']', 200) + "}", "" },
        };

    [Theory]
    [MemberData(nameof(Bad))]
    public void Bad_input_names_the_field(string what, string text, string field)
    {
        var reading = JobFile.Read(text);
        reading.Job.ShouldBeNull(what);
        var problem = reading.Problems.Count > 0 ? reading.Problems[0] : throw new InvalidOperationException(what);
        problem.Field.ShouldBe(field, what);
        problem.Sentence.Length.ShouldBeGreaterThan(10, what);
        problem.Sentence.ShouldNotContain("System.", Case.Sensitive, what);
    }

    [Fact]
    public async Task A_50_MB_file_is_refused_without_reading_it_all()
    {
        using var stream = new MemoryStream(new byte[50_000_000]);
        var reading = await JobFile.ReadAsync(stream);
        reading.Problems.Single().Sentence.ShouldContain("larger than 8 MB");
        stream.Position.ShouldBeLessThan(9_000_000);
    }

    [Fact]
    public void Markup_and_formulas_stay_text_in_every_paper()
    {
        const string Evil = "=cmd|<script>alert(1)</script>&\"'";
        var job = Planner.PlanAll(JobFile.Read(Edit(n => n["rooms"]![0]!["name"] = Evil)).Job!);
        job = job with
        {
            Decisions = job.Decisions with
            {
                Circuits = job.Decisions.Circuits.SetItem(0, job.Decisions.Circuits[0] with { Label = Evil }),
            },
        };
        var a = Analyzer.Analyze(job);
        ScheduleCsv.Write(a).ShouldContain("\"'=cmd");
        foreach (
            var svg in new[]
            {
                PlanSvg.Draw(a, new("first", PlanStage.Circuits, StandAlone: true)),
                Drawings.SvgWriter.Text(Drawings.PanelDrawing.Of(a)),
            }
        )
        {
            svg.ShouldNotContain("<script");
            svg.ShouldContain("&lt;script");
            System.Xml.Linq.XDocument.Parse(svg).Root!.Name.LocalName.ShouldBe("svg");
        }
    }

    [Fact]
    public void The_csv_has_a_row_a_space_and_its_totals_add_up()
    {
        var a = Analyzer.Analyze(Planner.PlanAll(Demo()));
        var lines = ScheduleCsv.Write(a).Split("\r\n", StringSplitOptions.RemoveEmptyEntries);
        lines.Length.ShouldBe(1 + 40 + 3);
        a.Lines.Total.Value.ShouldBe(a.Circuits.Sum(c => c.Load.Connected.Value), 0.01);
    }

    private static string Edit(Action<JsonNode> edit)
    {
        var node = JsonNode.Parse(DemoText())!;
        edit(node);
        return node.ToJsonString();
    }

    [Fact]
    public void Pictures_are_looked_at_before_they_are_kept()
    {
        var png = File.ReadAllBytes(Path.Combine(Root(), "docs", "screenshots", "rooms.png"));
        PictureFile
            .Look(png)
            .Picture.ShouldNotBeNull()
            .ShouldSatisfyAllConditions(
                p => p.MediaType.ShouldBe("image/png"),
                p => p.Width.ShouldBe(1280),
                p => p.Hash.Length.ShouldBe(64)
            );
        PictureFile.Look(png[..^40]).Problem.ShouldContain("breaks off");
        using var drawn = SkiaSharp.SKBitmap.Decode(png);
        using var encoded = drawn.Encode(SkiaSharp.SKEncodedImageFormat.Jpeg, 80);
        var jpeg = encoded.ToArray();
        PictureFile.Look(jpeg).Picture.ShouldNotBeNull().MediaType.ShouldBe("image/jpeg");
        foreach (var part in new[] { 0.3, 0.7, 0.95 })
            PictureFile.Look(jpeg[..(int)(jpeg.Length * part)]).Problem.ShouldContain("breaks off");
        PictureFile.Look([1, 2, 3]).Problem.ShouldContain("not a PNG or JPEG");
        PictureFile.Look(new byte[PictureFile.MostBytes + 1]).Problem.ShouldContain("larger than");
        var wide = (byte[])png.Clone();
        (wide[16], wide[17], wide[18], wide[19]) = (0, 0, 0x75, 0x30);
        var (picture, problem) = PictureFile.Look(wide);
        picture.ShouldBeNull();
        problem.ShouldNotBeEmpty();
    }
}
