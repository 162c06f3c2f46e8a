using System.Net;
using System.Text.Json;
using Circuitum.Core.Jobs;
using Circuitum.Formats;

namespace Circuitum.Web.Tests;

/// <summary>Circuits by hand, preferences of job, company and circuit, and local amendments, over the web.</summary>
public sealed class CircuitWebTests : WebHouse
{
    private const string Circuits = "/jobs/gull-cottage/circuits?storey=ground";

    private const string File = "/jobs/gull-cottage/files/job.json";

    private async Task<Job> Stored(string id = "gull-cottage") =>
        JobFile.Read(await Web.GetStringAsync($"/jobs/{id}/files/job.json")).Job.ShouldNotBeNull();

    private async Task<Job> Planned()
    {
        Alert(await Edit("/jobs/gull-cottage/boxes", "propose-boxes")).ShouldBe("");
        Alert(await Edit(Circuits, "plan-circuits")).ShouldBe("");
        return await Stored();
    }

    [Fact]
    public async Task While_boxes_are_dragged_every_circuit_says_what_it_would_be_and_nothing_is_changed()
    {
        var job = await Planned();
        var before = await Web.GetStringAsync(File);
        using var all = JsonDocument.Parse(await Web.GetStringAsync("/jobs/gull-cottage/preview/moves?box=living.r1"));
        all.RootElement.EnumerateArray()
            .Select(c => c.GetProperty("number").GetInt32())
            .Order()
            .ShouldBe(job.Decisions.Circuits.Select(c => c.Number).Order());
        using var room = JsonDocument.Parse(await Web.GetStringAsync("/jobs/gull-cottage/preview/moves?room=living"));
        room.RootElement.GetArrayLength().ShouldBeGreaterThan(0);
        var bath = job.Decisions.Circuits.First(c => c.Purpose == CircuitPurpose.Bathroom).Number;
        (await Web.GetStringAsync($"/jobs/gull-cottage/preview/move?box=living.r1&circuit={bath}")).ShouldContain("may not be on circuit");
        (await Web.GetStringAsync("/jobs/gull-cottage/preview/move?box=living.r1&circuit=new")).ShouldContain(", new");
        (await Web.GetStringAsync("/jobs/gull-cottage/preview/move?box=living.r1&circuit=99")).ShouldContain("There is no circuit 99.");
        (await Web.GetAsync("/jobs/gull-cottage/preview/moves?room=ghost")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await Web.GetStringAsync(File)).ShouldBe(before);
        (await Web.GetStringAsync("/jobs/gull-cottage/why?key=afresh")).ShouldContain("Planning afresh");
    }

    [Fact]
    public async Task What_holds_for_the_company_is_what_a_new_job_begins_with_and_old_ones_keep_theirs()
    {
        var before = await Web.GetStringAsync(File);
        await Post(
            "/company",
            ("do", "edit-company"),
            ("name", "Fernhollow Wiring"),
            ("pref.generalWire", "fourteen-throughout"),
            ("pref.receptacleBottom", "16 in")
        );
        await Post("/company", ("do", "take-layer"), ("name", "Alder County amendments (made-up sample)"));
        (await Web.GetStringAsync("/company")).ShouldContain("Fernhollow Wiring");
        await Web.PostAsync(
            "/?handler=New",
            new FormUrlEncodedContent(
                new Dictionary<string, string>(await Fields("/"))
                {
                    ["name"] = "New house",
                    ["storey"] = "First floor",
                    ["start"] = "",
                }
            )
        );
        var job = await Stored("new-house");
        (job.Preferences.GeneralWire, job.Preferences.ReceptacleBottom.InInches, job.Amendments.Single().Authority).ShouldBe(
            (GeneralWire.FourteenThroughout, 16, "Alder County, an invented place")
        );
        (await Web.GetStringAsync(File)).ShouldBe(before);
        (await Web.GetStringAsync("/jobs/gull-cottage/job")).ShouldContain("2 of");
        Alert(await Edit("/jobs/gull-cottage/job", "company-preferences")).ShouldBe("");
        (await Stored()).Preferences.GeneralWire.ShouldBe(GeneralWire.FourteenThroughout);
    }

    [Theory]
    [InlineData("do=edit-company&pref.ambientC=900", "type a whole number from 10 to 80")]
    [InlineData("do=edit-company&pref.receptacleBottom=tall", "Bottom of receptacle boxes")]
    [InlineData("do=nonsense", "not something this page can do")]
    public async Task A_wrong_edit_of_the_company_is_told(string fields, string sentence)
    {
        var answer = await Post("/company", Split(fields));
        answer.StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
        Alert(Parse(await answer.Content.ReadAsStringAsync())).ShouldContain(sentence);
        (await Web.GetStringAsync("/company")).ShouldContain("name=\"stamp\" value=\"0\"");
    }

    [Fact]
    public async Task A_stale_edit_of_the_company_is_told()
    {
        await Post("/company", ("do", "edit-company"), ("name", "One"));
        var answer = await Post("/company", ("do", "edit-company"), ("name", "Two"), ("stamp", "0"));
        Alert(Parse(await answer.Content.ReadAsStringAsync())).ShouldContain("changed meanwhile");
        (await Web.GetStringAsync("/company")).ShouldContain("value=\"One\"");
    }

    private const string Layers = "/jobs/gull-cottage/amendments";

    private async Task<string> Amend(params (string Name, string Value)[] fields) =>
        Alert(Parse(await (await Post(Layers, fields)).Content.ReadAsStringAsync()));

    [Fact]
    public async Task A_layer_is_made_amended_switched_off_and_taken_away_and_each_step_can_be_undone()
    {
        (await Amend(("do", "add-layer"), ("name", "City"), ("authority", "Fernhollow"))).ShouldBe("");
        (
            await Amend(
                ("do", "add-change"),
                ("layer", "0"),
                ("kind", "Number"),
                ("number", "wallReachIn"),
                ("value", "60"),
                ("citation", "12-1"),
                ("note", "as the inspector said")
            )
        ).ShouldBe("");
        (await Amend(("do", "add-change"), ("layer", "0"), ("kind", "Off"), ("rule", "box.hallway"), ("citation", "12-2"))).ShouldBe("");
        (
            await Amend(
                ("do", "add-change"),
                ("layer", "0"),
                ("kind", "Add"),
                ("title", "Utility rooms"),
                ("text", "Ground-fault protection there."),
                ("demand", "GroundFault"),
                ("room", "Utility"),
                ("citation", "12-3")
            )
        ).ShouldBe("");
        var page = await Web.GetStringAsync(Layers);
        page.ShouldContain("Farthest from a receptacle along a wall: 60 in instead of 72");
        page.ShouldContain("Hallway receptacle: switched off");
        (await Stored()).Amendments[0].Changes.Length.ShouldBe(3);
        var rules = await Web.GetStringAsync("/rules?job=gull-cottage");
        rules.ShouldContain("210.52(A); City, 12-1");
        rules.ShouldContain("off: City");
        rules.ShouldContain("Added by the authority");
        (await Amend(("do", "remove-change"), ("layer", "0"), ("change", "1"))).ShouldBe("");
        (await Amend(("do", "edit-layer"), ("layer", "0"), ("name", "City"), ("authority", ""))).ShouldBe("");
        (await Stored()).Amendments[0].On.ShouldBeFalse();
        (await Amend(("do", "remove-layer"), ("layer", "0"))).ShouldBe("");
        Alert(await Edit("/jobs/gull-cottage/job", "undo")).ShouldBe("");
        (await Stored()).Amendments[0].Changes.Length.ShouldBe(2);
    }

    [Theory]
    [InlineData("do=add-layer&name=", "Give the layer a name.")]
    [InlineData("do=add-change&layer=4&kind=Off&rule=box.wall&citation=1", "not there any more")]
    [InlineData("do=remove-layer&layer=x", "Place: type a whole number.")]
    [InlineData("do=add-change&layer=0&kind=Rocket", "What it does: choose one of the list.")]
    [InlineData("do=take-layer&name=nothing", "not something this page can do")]
    public async Task A_wrong_amendment_is_told_and_changes_nothing(string fields, string sentence)
    {
        var before = await Web.GetStringAsync(File);
        (await Amend(Split(fields))).ShouldContain(sentence);
        (await Web.GetStringAsync(File)).ShouldBe(before);
        (await Web.GetAsync("/jobs/ghost/amendments")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await Web.GetAsync("/rules?job=ghost")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task Home_runs_are_listed_ticked_off_and_taken_back()
    {
        const string Pull = "/jobs/gull-cottage/pull";
        (await Web.GetStringAsync(Pull)).ShouldContain("No circuits yet");
        var job = await Planned();
        var page = Parse(await Web.GetStringAsync(Pull));
        page.QuerySelectorAll(".pulls li").Length.ShouldBe(job.Decisions.Circuits.Length);
        page.Body!.TextContent.ShouldContain("Drill and protect");
        page.QuerySelectorAll(".stickers p").Length.ShouldBe(2 * job.Decisions.Circuits.Length);
        var ticked = Parse(await (await Post(Pull, ("do", "pulled"), ("circuit", "1"), ("measured", "38'6"))).Content.ReadAsStringAsync());
        ticked.QuerySelector("#run-1.done")!.TextContent.ShouldContain("took 39 ft");
        (await Stored()).Decisions.Pulled.Single().Measured.ShouldBe(Core.Measure.Length.Inches(462));
        Alert(Parse(await (await Post(Pull, ("do", "pulled"), ("circuit", "1"), ("measured", "long"))).Content.ReadAsStringAsync()))
            .ShouldContain("Length");
        Alert(Parse(await (await Post(Pull, ("do", "pulled"), ("circuit", "77"))).Content.ReadAsStringAsync()))
            .ShouldContain("no home run");
        Alert(Parse(await (await Post(Pull, ("do", "remove-circuit"), ("circuit", "1"))).Content.ReadAsStringAsync()))
            .ShouldContain("not something this page can do");
        (await Post(Pull, ("do", "pulled"), ("circuit", "1"), ("pulled", "no"))).EnsureSuccessStatusCode();
        (await Stored()).Decisions.Pulled.ShouldBeEmpty();
        (await Web.GetAsync("/jobs/ghost/pull")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task Cables_are_led_locked_kept_out_of_walls_and_told_of_outside()
    {
        const string Runs = "/jobs/gull-cottage/runs";
        var job = await Planned();
        var first = Core
            .Review.Analyzer.Analyze(job)
            .Circuits.Where(c => c.Run.HomeRun > Core.Measure.Length.Feet(10))
            .MaxBy(c => c.Run.HomeRun)!;
        var page = Parse(await Web.GetStringAsync($"{Runs}?pick=run:{first.Run.First}"));
        page.QuerySelector(".ticket")!.TextContent.ShouldContain("The shortest way.");
        page.QuerySelectorAll(".run-rows tbody tr").Length.ShouldBe(job.Decisions.Circuits.Length);
        Alert(await Edit(Runs, "lead-over-room", ("from", ""), ("to", first.Run.First!), ("room", "attic")))
            .ShouldContain("not there any more");
        Alert(await Edit(Runs, "lead-cable", ("from", ""), ("to", "nobody"), ("storey", "ground"), ("x", "1"), ("y", "1")))
            .ShouldContain("no such cable");
        (
            await Web.GetAsync($"/jobs/gull-cottage/preview/lead?storey=ground&from=&to={first.Run.First}&x=1e9&y=0")
        ).IsSuccessStatusCode.ShouldBeFalse();
        Alert(await Edit(Runs, "lock-run", ("circuit", $"{first.Number}"))).ShouldBe("");
        (await Stored()).Decisions.Circuits.Single(c => c.Number == first.Number).Run!.Value.Length.ShouldBe(first.Run.Cables.Count());
        Alert(await Edit(Runs, "lead-over-room", ("from", ""), ("to", first.Run.First!), ("room", "kitchen"))).ShouldContain("is locked");
        Alert(await Edit(Runs, "lock-run", ("circuit", "77"))).ShouldContain("no circuit 77");
        Alert(await Edit(Runs, "close-wall", ("room", "kitchen"), ("wall", "9"))).ShouldContain("not there any more");
        Alert(await Edit(Runs, "close-wall", ("room", "kitchen"), ("wall", "0"))).ShouldBe("");
        Parse(await Web.GetStringAsync(Runs)).QuerySelector(".chips")!.TextContent.ShouldContain("Kitchen");
        Alert(await Edit(Runs, "outside-run", ("to", first.Run.First!), ("bends", "90 200"))).ShouldContain("Bends: type degrees");
        Alert(await Edit(Runs, "outside-run", ("to", first.Run.First!), ("bends", "90 / 45")))
            .ShouldContain("No cable to that box leaves the house");
        Parse(await Web.GetStringAsync("/jobs/gull-cottage/pull"))
            .QuerySelectorAll("details.branches tbody tr")
            .Length.ShouldBe(Core.Review.Analyzer.Analyze(await Stored()).Circuits.Sum(c => c.Run.Cables.Count() - 1));
        Parse(await Web.GetStringAsync("/jobs/gull-cottage/walls")).QuerySelectorAll("svg .cable").Length.ShouldBeGreaterThan(10);
    }

    [Fact]
    public async Task A_set_is_issued_and_later_told_what_has_changed_since()
    {
        const string Page = "/jobs/gull-cottage/issued";
        var job = await Planned();
        (await Web.GetStringAsync(Page)).ShouldContain("No set yet");
        Alert(Parse(await (await Post(Page, ("name", " "))).Content.ReadAsStringAsync())).ShouldContain("Name: say in 1 to 80 characters");
        (await Post(Page, ("name", "Permit <b>"))).EnsureSuccessStatusCode();
        var list = await Web.GetStringAsync(Page);
        list.ShouldContain("Permit &lt;b&gt;");
        (await Web.GetStringAsync($"{Page}?since=1")).ShouldContain("Nothing has changed.");
        var box = job.Decisions.Boxes.First(b => b.Kind == BoxKind.Receptacle);
        await Edit("/jobs/gull-cottage/boxes?storey=ground", "remove-box", ("box", box.Id));
        (await Web.GetStringAsync($"{Page}?since=1")).ShouldContain($"Box {box.Id}: gone.");

        // The set stays what it was; papers say that they are no longer it.
        (await Post(Page, ("name", "Rough inspection"))).EnsureSuccessStatusCode();
        Parse(await Web.GetStringAsync(Page)).QuerySelectorAll("tbody tr").Length.ShouldBe(2);
        (await Web.GetAsync("/jobs/gull-cottage/files/schedule.pdf")).Content.Headers.ContentType!.MediaType.ShouldBe("application/pdf");
        (await Web.GetAsync("/jobs/gull-cottage/files/lists.xlsx")).StatusCode.ShouldBe(HttpStatusCode.OK);
        (await Web.GetAsync("/jobs/gull-cottage/files/moon.pdf")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await Web.GetAsync($"{Page}?since=9")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await Web.GetAsync("/jobs/ghost/issued")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        foreach (var paper in new[] { "load-sheet", "rough-test", "print" })
            (await Web.GetAsync($"/jobs/gull-cottage/{paper}")).StatusCode.ShouldBe(HttpStatusCode.OK, paper);
        foreach (var paper in new[] { "load-sheet", "rough-test" })
            (await Web.GetAsync($"/jobs/ghost/{paper}")).StatusCode.ShouldBe(HttpStatusCode.NotFound, paper);
    }

    [Fact]
    public async Task Two_circuits_share_a_home_run_and_the_ticket_says_so()
    {
        var job = await Planned();
        var two = job
            .Decisions.Circuits.Where(c =>
                c.Purpose is CircuitPurpose.SmallAppliance or CircuitPurpose.Receptacles or CircuitPurpose.Bathroom
            )
            .Select(c => c.Number)
            .Take(2)
            .ToList();
        var page = await Edit(Circuits, "pair-circuits", ("circuit", $"{two[0]}"), ("with", $"{two[1]}"), ("kind", "TwoNeutrals"));
        Alert(page).ShouldBe("");
        var ticket = await Web.GetStringAsync($"/jobs/gull-cottage/circuits?pick=circuit:{two[0]}");
        ticket.ShouldContain("four-wire, a neutral for each");
        ticket.ShouldContain($"with HR-{two[1]:00}");
    }
}
