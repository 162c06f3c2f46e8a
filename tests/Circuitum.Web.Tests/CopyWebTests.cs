using System.Net;

namespace Circuitum.Web.Tests;

/// <summary>What is taken over from other jobs: a room, a house to begin with.</summary>
public sealed class CopyWebTests() : WebHouse(shared: false)
{
    private const string Rooms = "/jobs/gull-cottage/rooms?storey=ground";

    [Fact]
    public async Task A_room_of_another_job_is_chosen_and_brought()
    {
        var rooms = await Web.GetStringAsync("/jobs/gull-cottage/rooms?handler=RoomsOf&from=tamarack-row");
        rooms.ShouldContain("<option value=\"kitchen\">");
        (await Web.GetStringAsync("/jobs/gull-cottage/rooms?handler=RoomsOf&from=nowhere")).ShouldContain("choose the job first");
        (string, string)[] bring =
        [
            ("do", "bring-room"),
            ("from", "tamarack-row"),
            ("storey", "ground"),
            ("on", "West"),
            ("name", "Galley"),
        ];
        (await (await Post(Rooms, [.. bring, ("room", "moon"), ("beside", "living")])).Content.ReadAsStringAsync()).ShouldContain(
            "Choose a room"
        );
        (await Post(Rooms, [.. bring, ("room", "kitchen"), ("beside", "living")])).StatusCode.ShouldBe(HttpStatusCode.OK);
        (await Web.GetStringAsync("/jobs/gull-cottage/files/job.json")).ShouldContain("\"Galley\"");
    }

    [Fact]
    public async Task A_house_is_saved_to_begin_with_and_a_new_job_begins_with_it()
    {
        (await Post("/company", ("do", "keep-starter"), ("job", "tamarack-row"), ("name", "The <usual>"))).StatusCode.ShouldBe(
            HttpStatusCode.OK
        );
        var page = await Web.GetStringAsync("/");
        page.ShouldContain("The &lt;usual&gt;");
        var made = await Post("/?handler=New", ("name", "Lot 9"), ("start", "own:0"));
        var job = await Web.GetStringAsync(
            $"{made.RequestMessage!.RequestUri!.AbsolutePath.Replace("/rooms", "", StringComparison.Ordinal)}/files/job.json"
        );
        job.ShouldContain("\"Lot 9\"");
        job.ShouldContain("\"kitchen\"");
        (await Post("/?handler=New", ("name", "Lot 10"), ("start", "own:7"))).StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
        (await Post("/company", ("do", "keep-starter"), ("job", "nowhere"), ("name", "x"))).StatusCode.ShouldBe(
            HttpStatusCode.UnprocessableEntity
        );
        (await Post("/company", ("do", "drop-starter"), ("number", "0"))).StatusCode.ShouldBe(HttpStatusCode.OK);
        (await Web.GetStringAsync("/")).ShouldNotContain("The &lt;usual&gt;");
    }
}
