using Circuitum.Core.Jobs;
using Circuitum.Formats;
using Circuitum.Web.Work;
using Microsoft.AspNetCore.Http;

namespace Circuitum.Web.Tests;

/// <summary>Edits of the plan as the pages send them, one after the other in one program.</summary>
public sealed class PlanEditsWebTests() : WebHouse(shared: true)
{
    private const string Rooms = "/jobs/gull-cottage/rooms?storey=ground";

    private const string File = "/jobs/gull-cottage/files/job.json";

    public static TheoryData<string, string, string> Edits =>
        new()
        {
            { "draw-room", "storey=ground&corners=600,0;720,120&name=Shed&kind=Utility", "Shed" },
            { "draw-room", "storey=ground&corners=600,0&size=10 x 9'6", "10'-0\" x 9'-6\"" },
            { "move-wall", "room=living&wall=3&by=1'", "Undo move wall" },
            { "move-wall", "room=living&wall=3&by=-6 in", "Undo move wall" },
            { "wall-length", "room=porch&wall=0&length=9'", "Undo set wall length" },
            { "dimension", "dim=wall:porch:0&length=9'", "Undo set dimension" },
            { "move-room", "room=porch&east=0&south=3 in", "Undo move room" },
            { "split-room", "room=living&wall=3&along=2'&name=Snug", "Snug" },
            { "join-rooms", "room=living&with=kitchen", "Undo join rooms" },
            { "turn-house", "how=QuarterTurn", "Undo turn the house" },
            { "copy-storey", "storey=ground&name=Loft&floor=9'", "Loft" },
            { "add-storey", "name=Cellar&floor=-8'", "Cellar" },
            { "edit-storey", "storey=ground&name=Main floor&floor=0&ceiling=9'", "Main floor" },
            { "edit-wall", "room=living&wall=0&build=Masonry&bearing=on&studs=2'&thickness=8 in", "Undo edit wall" },
            { "place", "what=window&storey=ground&x=364&y=106", "Window to outside" },
            { "place", "what=desk&storey=ground&x=60&y=150", "Wish: desk" },
            { "place", "what=island&storey=ground&x=70&y=60", "island" },
            { "type-rooms", "storey=ground&lines=Hut 10 x 9 e of Living 60 e, door w", "Hut" },
            { "plan-house", "x=", "What was decided" },
            { "arrange-opening", "opening=o4&way=Flipped", "Undo arrange opening" },
            { "exchange", "appliance=range&type=cooktop", "Undo exchange an appliance" },
            { "take-way", "way=lean", "Undo take a way of working" },
            { "room-ceiling", "room=living&shape=Vaulted&joists=EastWest&joistDepth=9 1/4 in", "Undo edit ceiling" },
        };

    [Theory]
    [MemberData(nameof(Edits))]
    public async Task An_edit_is_made_stored_and_can_be_undone(string act, string fields, string sign)
    {
        await IsMadeStoredAndUndone(Rooms, File, act, fields, sign);
    }

    [Theory]
    [InlineData("draw-room", "storey=ground&corners=1,2;x,y", "Corners")]
    [InlineData("draw-room", "storey=ground&corners=0,0;NaN,Infinity", "Corners")]
    [InlineData("draw-room", "storey=ground&corners=600,0&size=ten", "Size")]
    [InlineData("draw-room", "storey=nowhere&corners=0,0;100,100", "Pick a storey")]
    [InlineData("draw-room", "storey=ground&corners=600,0;720,120;720,0;600,120", "crosses")]
    [InlineData("move-wall", "room=living&wall=3&by=2000'", "1000 ft")]
    [InlineData("move-wall", "room=living&wall=99&by=1'", "not there")]
    [InlineData("wall-length", "room=living&wall=0&length=zero", "Length")]
    [InlineData("wall-length", "room=living&wall=0&length=0", "at least 1 in")]
    [InlineData("dimension", "dim=rubbish&length=3'", "not there")]
    [InlineData("split-room", "room=living&wall=0&along=1 in", "less than a foot")]
    [InlineData("join-rooms", "room=living&with=nobody", "not there")]
    [InlineData("turn-house", "how=Upside", "Turn")]
    [InlineData("remove-storey", "storey=ground", "still has rooms")]
    [InlineData("place", "what=window&storey=ground&x=9000&y=9000", "no room at that place")]
    [InlineData("place", "what=<b>&storey=ground&x=60&y=150", "not something")]
    [InlineData("type-rooms", "storey=ground&lines=Hut", "Line 1, size")]
    [InlineData("type-rooms", "storey=ground&lines=<b>Hut</b> 9 x 9, moat n", "Line 1, moat n")]
    [InlineData("type-rooms", "storey=ground&lines=", "Type a room to a line")]
    [InlineData("type-rooms", "storey=nowhere&lines=Hut 9 x 9", "Pick a storey")]
    [InlineData("furnish", "room=nobody", "not there")]
    [InlineData("add-closet", "room=living&wall=99&from=0&width=6'&depth=2'", "not there")]
    [InlineData("arrange-opening", "opening=none&way=Centred", "not there")]
    [InlineData("exchange", "appliance=none&type=range", "not there")]
    [InlineData("take-way", "way=moon", "Choose one")]
    [InlineData("move-thing", "thing=opening:none&x=1&y=1", "not there")]
    [InlineData("scale-picture", "storey=ground&ax=0&ay=0&bx=0&by=0&length=3'", "too close")]
    [InlineData("remove-picture", "storey=ground", "no picture")]
    public async Task A_wrong_edit_is_told_and_changes_nothing(string act, string fields, string sentence)
    {
        await IsToldAndChangesNothing(Rooms, File, act, fields, sentence);
    }
}

/// <summary>A job in metric units.</summary>
public sealed class MetricEditsWebTests() : WebHouse
{
    [Fact]
    public async Task A_bare_number_is_metres_or_millimetres_once_the_job_says_so()
    {
        const string Job = "/jobs/gull-cottage/job",
            File = "/jobs/gull-cottage/files/job.json";
        await Edit(Job, "edit-job", Split("name=Gull&edition=us-2023&front=North&under=Slab&units=Metric"));
        await Edit("/jobs/gull-cottage/rooms?storey=ground", "edit-storey", Split("storey=ground&name=Ground&floor=0&ceiling=2.6"));
        (await Web.GetStringAsync(File)).ShouldContain("2600 mm");
        (await Web.GetStringAsync("/length?text=300&units=Metric")).ShouldBe("11.811023622047244");
        (await Web.GetStringAsync("/length?text=14&units=FeetInches")).ShouldBe("168");
    }
}

/// <summary>Edits of boxes as the pages send them, one after the other in one program.</summary>
public sealed class BoxEditsWebTests() : WebHouse(shared: true)
{
    private const string Boxes = "/jobs/gull-cottage/boxes?storey=ground";

    private const string File = "/jobs/gull-cottage/files/job.json";

    private async Task Proposed()
    {
        if (IsNew)
            Alert(await Edit(Boxes, "propose-boxes")).ShouldBe("");
    }

    public static TheoryData<string, string, string> Edits =>
        new()
        {
            { "accept-boxes", "room=living", "Undo accept boxes" },
            { "edit-box", "box=living.r1&kind=Receptacle&style=Quad&height=30 in&side=Left&size=&rating=20", "Undo edit box" },
            { "hold-box", "box=living.r1&waits=cabinet drawing&ask=owner&slack=3'", "Undo hold box" },
            { "edit-box", "box=living.r1&state=RoughedIn", "Undo edit box" },
            { "room-reach", "room=living&reach=4'", "Undo set receptacle reach" },
            { "add-box", "room=living&kind=Receptacle&wall=0&along=3'", "Undo add box" },
            { "add-box", "room=living&kind=SmokeAlarm&wall=&along=", "Undo add box" },
        };

    [Theory]
    [MemberData(nameof(Edits))]
    public async Task A_box_edit_is_made_stored_and_can_be_undone(string act, string fields, string sign)
    {
        await Proposed();
        await IsMadeStoredAndUndone(Boxes, File, act, fields, sign);
    }

    [Theory]
    [InlineData("edit-box", "box=none&height=3'", "not there any more")]
    [InlineData("edit-box", "box=living.r1&height=tall", "Height")]
    [InlineData("edit-box", "box=living.r1&height=90'", "outside")]
    [InlineData("edit-box", "box=living.r1&size=bucket", "catalogue")]
    [InlineData("edit-box", "box=living.r1&rating=17", "rated")]
    [InlineData("edit-box", "box=living.r1&kind=Rocket", "Kind")]
    [InlineData("hold-box", "box=living.r1&waits=&ask=&slack=2'", "waits for")]
    [InlineData("hold-box", "box=living.r1&waits=x&ask=&slack=a lot", "Slack")]
    [InlineData("room-reach", "room=living&reach=20'", "outside")]
    [InlineData("add-box", "room=living&kind=Switch&wall=&along=", "hangs on a wall")]
    [InlineData("edit-box", "box=living.r1&kind=red", "choose one of the list")]
    [InlineData("add-switch", "room=living&opening=none", "not there any more")]
    public async Task A_wrong_box_edit_is_told_and_changes_nothing(string act, string fields, string sentence)
    {
        await Proposed();
        await IsToldAndChangesNothing(Boxes, File, act, fields, sentence);
    }
}

/// <summary>Edits of circuits as the pages send them, one after the other in one program.</summary>
public sealed class CircuitEditsWebTests() : WebHouse(shared: true)
{
    private const string Circuits = "/jobs/gull-cottage/circuits?storey=ground";

    private const string File = "/jobs/gull-cottage/files/job.json";

    private async Task<Job> Planned()
    {
        if (IsNew)
        {
            Alert(await Edit("/jobs/gull-cottage/boxes", "propose-boxes")).ShouldBe("");
            Alert(await Edit(Circuits, "plan-circuits")).ShouldBe("");
        }

        return JobFile.Read(await Web.GetStringAsync(File)).Job.ShouldNotBeNull();
    }

    public static TheoryData<string, string, string> Edits =>
        new()
        {
            { "assign-boxes", "box=living.r1&circuit=new", "Undo move to circuit" },
            { "assign-room", "room=living&circuit=new", "Undo move room to circuit" },
            { "split-circuit", "circuit={lights}", "Undo split circuit" },
            { "lock-circuit", "circuit={lights}&locked=yes", "Undo lock circuit" },
            {
                "edit-circuit",
                "circuit={lights}&label=&breaker=&protection=&own.generalWire=twelve-throughout&own.ambientC=45",
                "Undo edit circuit"
            },
            { "force-first", "circuit={receptacles}&box=living.r1", "Undo make first" },
            { "line-side", "box=living.r1&line=yes", "Undo feed from the line side" },
            { "take-part", "aim=least darkness&circuit={receptacles}", "Undo take part of a plan" },
        };

    [Theory]
    [MemberData(nameof(Edits))]
    public async Task A_circuit_edit_is_made_stored_and_can_be_undone(string act, string fields, string sign)
    {
        var job = await Planned();
        int Of(CircuitPurpose purpose) => job.Decisions.Circuits.First(c => c.Purpose == purpose).Number;
        await IsMadeStoredAndUndone(
            Circuits,
            File,
            act,
            fields
                .Replace("{lights}", $"{Of(CircuitPurpose.Lighting)}", StringComparison.Ordinal)
                .Replace("{receptacles}", $"{Of(CircuitPurpose.Receptacles)}", StringComparison.Ordinal),
            sign
        );
    }

    [Theory]
    [InlineData("assign-boxes", "box=ghost&circuit=new", "not there any more")]
    [InlineData("assign-boxes", "circuit=new", "Choose the boxes")]
    [InlineData("assign-boxes", "box=living.r1&circuit=", "type its number, or new")]
    [InlineData("assign-box", "box=living.r1&circuit=seven", "Circuit: type a whole number")]
    [InlineData("assign-boxes", "box=living.r1&circuit=77", "There is no circuit 77")]
    [InlineData("assign-room", "room=ghost&circuit=new", "not there any more")]
    [InlineData("force-first", "circuit=1&box=ghost", "is not on circuit 1")]
    [InlineData("split-circuit", "circuit=77", "There is no circuit 77")]
    [InlineData("edit-circuit", "circuit=1&own.ambientC=hot", "type a whole number from 10 to 80")]
    [InlineData("edit-circuit", "circuit=1&own.generalWire=rope", "choose one of the list")]
    [InlineData("pair-circuits", "circuit=1&with=1&kind=TwoNeutrals", "another circuit")]
    [InlineData("pair-circuits", "circuit=1&with=2&kind=Magic", "Kind")]
    [InlineData("unpair-circuits", "circuit=1", "for itself")]
    [InlineData("pin-rooms", "of=Lighting&pin=Alone&room=ghost", "not there any more")]
    [InlineData("pin-rooms", "of=Laundry&pin=Alone&room=living", "lighting, receptacles")]
    [InlineData("pin-rooms", "of=Lighting&pin=Together&room=living&other=living", "two different rooms")]
    [InlineData("pin-rooms", "of=Lighting&pin=Near&room=living", "Pin")]
    [InlineData("unpin-rooms", "of=Lighting&pin=Alone&room=living", "not there any more")]
    [InlineData("take-part", "aim=most magic&circuit=1", "no such plan")]
    public async Task A_wrong_circuit_edit_is_told_and_changes_nothing(string act, string fields, string sentence)
    {
        await Planned();
        await IsToldAndChangesNothing(Circuits, File, act, fields, sentence);
    }

    [Fact]
    public void What_a_page_reads_by_itself_is_cut_before_it_is_looked_at() =>
        new EditForm(new FormCollection(new() { ["name"] = new string('x', 100_000) })).Text("name").Length.ShouldBe(400);
}
