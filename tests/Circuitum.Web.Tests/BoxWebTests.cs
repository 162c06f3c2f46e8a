using System.Net;
using AngleSharp.Html.Dom;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Planning;
using Circuitum.Core.Review;
using Circuitum.Formats;
using Circuitum.Formats.Edits;
using Circuitum.Web.Work;
using Microsoft.AspNetCore.Http;
using Microsoft.Extensions.Primitives;

namespace Circuitum.Web.Tests;

/// <summary>The Boxes stage over the web: edits, reach while dragging, papers, changed parts only, fixes of findings.</summary>
public sealed class BoxWebTests : WebHouse
{
    private const string Boxes = "/jobs/gull-cottage/boxes?storey=ground";

    private const string File = "/jobs/gull-cottage/files/job.json";

    private Task<IHtmlDocument> Edit(string act, params (string Name, string Value)[] fields) => Edit(Boxes, act, fields);

    private async Task<Job> Stored() => JobFile.Read(await Web.GetStringAsync("/jobs/gull-cottage/files/job.json")).Job.ShouldNotBeNull();

    private async Task<Job> Proposed()
    {
        Alert(await Edit("propose-boxes")).ShouldBe("");
        return await Stored();
    }

    [Fact]
    public async Task The_reach_is_told_while_a_box_is_dragged_and_nothing_is_changed()
    {
        var job = await Proposed();
        var box = job.Decisions.Boxes.First(b => b.Kind == BoxKind.Receptacle && b.Room == "living");
        var here = Places.Of(Circuitum.Core.Geometry.HouseShape.Of(job), box);
        string Ask(double x, double y, string id) => $"/jobs/gull-cottage/preview/reach?storey=ground&box={id}&x={x:0.##}&y={y:0.##}";
        var still = await Web.GetAsync(Ask(here.X.InInches, here.Y.InInches, box.Id));
        still.Headers.GetValues("X-Worst").Single().ShouldBe("");
        (await still.Content.ReadAsStringAsync()).ShouldContain("part-reach");
        var other = job.Decisions.Boxes.Last(b => b.Kind == BoxKind.Receptacle && b.Room == "living" && b.Wall != box.Wall);
        var there = Places.Of(Circuitum.Core.Geometry.HouseShape.Of(job), other);
        var moved = await Web.GetAsync(Ask(there.X.InInches, there.Y.InInches, box.Id));
        Uri.UnescapeDataString(moved.Headers.GetValues("X-Worst").Single()).ShouldContain("out of reach");
        (await moved.Content.ReadAsStringAsync()).ShouldContain("reach far");
        (await Web.GetAsync(Ask(1e9, 0, box.Id))).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await Web.GetAsync(Ask(1, 1, "none"))).StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
        JobFile.Write(await Stored()).ShouldBe(JobFile.Write(job));
    }

    [Fact]
    public async Task The_papers_of_the_boxes_are_there_and_empty_ones_say_so()
    {
        Parse(await Web.GetStringAsync("/jobs/gull-cottage/box-schedule")).Body!.TextContent.ShouldContain("No boxes yet");
        var job = await Proposed();
        Alert(await Edit("hold-box", ("box", "bath.l1"), ("waits", "mirror <height>"), ("ask", "owner"), ("slack", "2'"))).ShouldBe("");
        var page = Parse(await Web.GetStringAsync("/jobs/gull-cottage/box-schedule"));
        page.QuerySelectorAll(".room-sheet").Length.ShouldBe(job.Decisions.Boxes.Select(b => b.Room).Distinct().Count());
        page.QuerySelectorAll(".strip-drawing").Length.ShouldBeGreaterThan(10);
        page.Body!.TextContent.ShouldContain("mirror <height>");
        page.Body.TextContent.ShouldContain("from the left corner");
        page.Body.TextContent.ShouldContain("planning aid");
        (await Web.GetStringAsync("/jobs/gull-cottage/files/boxes.csv")).ShouldContain("mirror <height>");
        Parse(await Web.GetStringAsync("/jobs/gull-cottage/editions?one=us-2023&other=us-2017"))
            .QuerySelectorAll("tbody tr")
            .Length.ShouldBeGreaterThan(3);
        (await Web.GetAsync("/jobs/none/box-schedule")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await Web.GetAsync("/jobs/none/editions")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task Another_edition_is_chosen_on_the_job()
    {
        var form = Parse(await Web.GetStringAsync("/jobs/gull-cottage/job"))
            .QuerySelectorAll("form")
            .Single(f => f.QuerySelector("[name=edition]") is not null);
        var fields = form.QuerySelectorAll("input[name], select[name]")
            .ToDictionary(e => e.GetAttribute("name")!, e => e is IHtmlSelectElement s ? s.Value : e.GetAttribute("value") ?? "");
        fields["edition"] = "us-2017";
        fields["pref.receptacleReach"] = "4'";
        var page = Parse(
            await (await Web.PostAsync("/jobs/gull-cottage/job", new FormUrlEncodedContent(fields))).Content.ReadAsStringAsync()
        );
        Alert(page).ShouldBe("");
        var job = await Stored();
        (job.CodeEdition, job.Preferences.ReceptacleReach).ShouldBe(("us-2017", Length.Feet(4)));
        fields["edition"] = "us-1999";
        fields["stamp"] = "2";
        Alert(Parse(await (await Web.PostAsync("/jobs/gull-cottage/job", new FormUrlEncodedContent(fields))).Content.ReadAsStringAsync()))
            .ShouldContain("us-1999");
    }

    [Fact]
    public async Task A_page_that_shows_the_last_drawing_gets_only_what_changed()
    {
        await Proposed();
        var whole = await Web.GetStringAsync(Boxes);
        var stamp = Parse(whole).QuerySelector("#work")!.GetAttribute("data-stamp");
        async Task<HttpResponseMessage> Ask(string shown)
        {
            var fields = await Fields(Boxes);
            var request = new HttpRequestMessage(HttpMethod.Post, Boxes)
            {
                Content = new FormUrlEncodedContent(
                    new Dictionary<string, string>(fields) { ["do"] = "accept-box", ["box"] = "living.r1" }
                ),
            };
            request.Headers.Add("HX-Request", "true");
            request.Headers.Add("X-Drawn", Uri.EscapeDataString(shown));
            return await Web.SendAsync(request);
        }

        var part = await Ask($"{stamp}|boxes|ground||");
        part.Headers.GetValues("X-Plan").Single().ShouldBe("part");
        var groups = Parse(await part.Content.ReadAsStringAsync()).QuerySelectorAll(".plan > g").Select(g => g.Id).ToList();
        groups.ShouldBe(["part-marks-living"]);
        var other = await Ask("99|boxes|ground|");
        other.Headers.Contains("X-Plan").ShouldBeFalse("the page shows something else");
        Parse(await other.Content.ReadAsStringAsync()).QuerySelectorAll(".plan > g").Length.ShouldBeGreaterThan(20);
    }

    // A house without a box, and then one bent in many ways: press each fix that is offered until none is left.
    [Theory]
    [InlineData("us-2023")]
    [InlineData("us-2020")]
    [InlineData("us-2017")]
    public async Task Every_fix_clears_the_finding_that_offers_it(string edition)
    {
        var job = (await Stored()) with { CodeEdition = edition };
        var kinds = new HashSet<string>();
        Clear(job);
        var planned = Planner.PlanAll(job);
        Clear(Bend(planned, b => b.Kind == BoxKind.Receptacle && b.Room == "living" && b.Wall == 0 ? null : b));
        Clear(Bend(planned, b => b.Kind == BoxKind.Switch && b.Room == "living" ? null : b));
        Clear(Bend(planned, b => b.Kind == BoxKind.SmokeAlarm ? b with { CarbonMonoxide = false } : b));
        Clear(Bend(planned, b => b.Kind == BoxKind.Receptacle ? b with { Rating = 30, Size = "nm-1g-18" } : b));
        Clear(Bend(planned, b => b.Kind == BoxKind.Light && b.Wall is null ? b with { Size = "nm-round-20" } : b));
        Clear(Bend(planned, b => b.Appliance == "range" ? b with { Wall = 2, Along = Length.Feet(1) } : b));
        Clear(Bend(planned, b => b.Kind == BoxKind.Receptacle && b.Room == "bath" ? b with { Wall = 1, Along = Length.Inches(20) } : b));
        Clear(Bend(planned, b => b.Kind == BoxKind.SmokeAlarm
                    ? b with
                    {
                        At = Places.Of(
                            Circuitum.Core.Geometry.HouseShape.Of(planned)["bedroom"],
                            new Spot
                            {
                                Wall = 0,
                                From = Length.Feet(1),
                                Width = Length.Feet(1),
                            },
                            2
                        ),
                    }
                    : b));
        Clear(planned with { Preferences = planned.Preferences with { ReceptacleReach = Length.Feet(3), SwitchReach = Length.Feet(3) } });
        kinds.Count.ShouldBeGreaterThanOrEqualTo(7, string.Join(" ", kinds));

        static Job Bend(Job job, Func<Box, Box?> to) =>
            job with
            {
                Decisions = BoxProposal.DropLost(job.Decisions with { Boxes = [.. job.Decisions.Boxes.Select(to).OfType<Box>()] }),
            };

        void Clear(Job bent)
        {
            for (var pressed = 0; pressed < 80; pressed++)
            {
                if (
                    Analyzer
                        .Analyze(bent)
                        .Findings.FirstOrDefault(f => f.RuleId.StartsWith("box.", StringComparison.Ordinal) && f.Fix is not null)
                    is not { } finding
                )
                    return;
                var asked = EditCodec.Write(finding.Fix!.Edit);
                var fields = asked.Fields.Append((Name: "do", Value: asked.Word)).ToDictionary(f => f.Name, f => new StringValues(f.Value));
                var (command, problem) = new EditForm(new FormCollection(fields)).Read();
                command.ShouldNotBeNull($"{finding.RuleId}: {problem}");
                var result = command.Apply(bent);
                bent = result.Job.ShouldNotBeNull($"{finding.Sentence} {finding.Fix.Title}: {result.Problem}");
                Analyzer
                    .Analyze(bent)
                    .Findings.ShouldNotContain(
                        f => f.RuleId == finding.RuleId && f.Sentence == finding.Sentence,
                        $"{finding.RuleId} {finding.Fix.Title}"
                    );
                kinds.Add(finding.RuleId);
            }

            Analyzer
                .Analyze(bent)
                .Findings.Where(f => f.RuleId.StartsWith("box.", StringComparison.Ordinal) && f.Fix is not null)
                .ShouldBeEmpty();
        }
    }

    [Fact]
    public async Task Plans_are_compared_and_one_is_taken_and_the_house_is_seen_without_a_breaker()
    {
        await Proposed();
        const string Circuits = "/jobs/gull-cottage/circuits?storey=ground";
        Alert(Parse(await (await Post(Circuits, ("do", "plan-circuits"))).Content.ReadAsStringAsync())).ShouldBe("");
        var plans = Parse(await Web.GetStringAsync("/jobs/gull-cottage/plans"));
        while (plans.QuerySelector("[hx-trigger='load delay:1s']") is not null)
            plans = Parse(await Web.GetStringAsync("/jobs/gull-cottage/plans"));
        plans.QuerySelectorAll(".columns section").Length.ShouldBe(5);
        plans.QuerySelectorAll(".small-plan svg").Length.ShouldBe(5);
        var form = plans
            .QuerySelectorAll("form:not(:has([name=part]))")[^1]
            .QuerySelectorAll("input[name]")
            .ToDictionary(i => i.GetAttribute("name")!, i => i.GetAttribute("value") ?? "");
        var taken = await Web.PostAsync("/jobs/gull-cottage/plans", new FormUrlEncodedContent(form));
        taken.RequestMessage!.RequestUri!.AbsolutePath.ShouldEndWith("/circuits");
        (await taken.Content.ReadAsStringAsync()).ShouldContain("Undo take plan");

        // Sent again it is the same plan; of a state that nobody remembers it is not made.
        var same = await Stored();
        await Web.PostAsync("/jobs/gull-cottage/plans", new FormUrlEncodedContent(form));
        JobFile.Write(await Stored()).ShouldBe(JobFile.Write(same));
        form["stamp"] = "999";
        Parse(await (await Web.PostAsync("/jobs/gull-cottage/plans", new FormUrlEncodedContent(form))).Content.ReadAsStringAsync())
            .QuerySelector("[role=alert]")!
            .TextContent.ShouldContain("changed meanwhile");
        var lights = (await Stored()).Decisions.Circuits.First(c => c.Purpose == CircuitPurpose.Lighting);
        var dark = Parse(await Web.GetStringAsync($"{Circuits}&pick=circuit:{lights.Number}&dark=circuit:{lights.Number}"));
        dark.QuerySelectorAll(".mark.dead").Length.ShouldBe(lights.Boxes.Length);
        dark.QuerySelectorAll(".floor.unlit").Length.ShouldBeGreaterThan(0);
        dark.Body!.TextContent.ShouldContain("What goes dark");
        Parse(await Web.GetStringAsync($"{Circuits}&dark=circuit:999")).QuerySelectorAll(".mark.dead").ShouldBeEmpty();
        Alert(
                Parse(
                    await (
                        await Post(Circuits, ("do", "lock-circuit"), ("circuit", $"{lights.Number}"), ("locked", "yes"))
                    ).Content.ReadAsStringAsync()
                )
            )
            .ShouldBe("");
        (await Stored()).Decisions.Circuits.Single(c => c.Number == lights.Number).Locked.ShouldBeTrue();
        Alert(
                Parse(
                    await (
                        await Post(Circuits, ("do", "merge-circuits"), ("circuit", $"{lights.Number}"), ("into", "1"))
                    ).Content.ReadAsStringAsync()
                )
            )
            .ShouldContain("locked");
        (await Web.GetStringAsync("/jobs/gull-cottage/why?key=plan")).ShouldContain(
            "No division that keeps rooms whole and zones together is cheaper"
        );
    }

    [Fact]
    public async Task The_rules_page_lists_every_rule_in_every_edition()
    {
        var page = Parse(await Web.GetStringAsync("/rules"));
        page.QuerySelectorAll("tbody tr").Length.ShouldBe(Circuitum.Core.Codes.CodeLibrary.Edition("us-2023").Rules.Count);
        page.GetElementById("protect.sump")!.TextContent.ShouldContain("not in force");
        page.GetElementById("service.surge")!.TextContent.ShouldContain("left to the inspector");
        page.Body!.TextContent.ShouldNotContain("{");
        page.GetElementById("box.wall")!.TextContent.ShouldContain("checked");
    }
}
