using Circuitum.Core.Entry;
using Circuitum.Core.Geometry;
using Circuitum.Core.Intake;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using CsCheck;

namespace Circuitum.Core.Tests;

/// <summary>Rooms that are typed a line each.</summary>
public class TypedRoomTests
{
    private const string Ranch = """
        Great room 20 x 18, 2 windows 5-0 n, door n
        Kitchen 14-6 x 16 e of Great room, opening 6 to Great room, window 4 n, furnished
        Hall 4 x 20 s of Great room     # goes down to the bedrooms
        Bath 9 x 6 e of Hall, door 2-6 to Hall, window e, furnished
        Bedroom 2 12 x 11 w of Hall, door to Hall, 2 windows w, closet 6 x 2 s
        Garage 22 x 24 e of Kitchen, door to Kitchen, garage door 16 s, furnished
        Workshop 24 x 20 e of Garage 30 e, door w, furnish it later
        """;

    private static Job Empty => Sample.House();

    private static (Job Job, IReadOnlyList<LineProblem> Problems) Take(string text) =>
        RoomList.Take(Empty, "first", text.Split('\n')) is var (job, problems) ? (job, problems) : default;

    private static Job Good(string text)
    {
        var (job, problems) = Take(text);
        problems.ShouldBeEmpty();
        JobRules.Check(job).ShouldBeEmpty();
        return job;
    }

    [Fact]
    public void A_storey_is_made_of_lines_with_its_doors_windows_and_closets()
    {
        var job = Good(Ranch.Replace(", furnish it later", "", StringComparison.Ordinal));
        job.Rooms.Select(r => (r.Name, r.Kind))
            .ShouldBe([
                ("Great room", RoomKind.Living),
                ("Kitchen", RoomKind.Kitchen),
                ("Hall", RoomKind.Hallway),
                ("Bath", RoomKind.Bathroom),
                ("Bedroom 2", RoomKind.Bedroom),
                ("Garage", RoomKind.Garage),
                ("Workshop", RoomKind.AccessoryBuilding),
                ("Bedroom 2 closet", RoomKind.Closet),
            ]);
        var kitchen = new RoomShape(job.RoomById("kitchen")!);
        (kitchen.MaxX - kitchen.MinX).ShouldBe(Length.Feet(14, 6));
        kitchen.MinX.ShouldBe(Length.Feet(20) + job.Frame.Partition);
        new RoomShape(job.RoomById("workshop")!).MinX.ShouldBe(
            new RoomShape(job.RoomById("garage")!).MaxX + job.Frame.OutsideWall + Length.Feet(30)
        );

        // Two windows side by side stand evenly, and all windows look outside.
        job.Openings.Where(o => o.Kind == OpeningKind.Window).ShouldAllBe(o => o.To == Opening.Outside);
        job.Openings.Count(o => o.Kind == OpeningKind.Window && o.Room == "great-room").ShouldBe(2);

        // The bedroom's door is hung in the bedroom, a hinge's breadth from a corner, and swings into it.
        var door = job.Openings.Single(o => o.Room == "bedroom-2" && o.To == "hall");
        door.SwingsIn.ShouldBeTrue();
        var wall = new RoomShape(job.RoomById("bedroom-2")!).Walls[door.Wall];
        new[] { door.From, wall.Length - door.From - door.Width }.Min().ShouldBe(Doors.FromCorner);
        (door.From < wall.Length / 2).ShouldBe(door.Hinge == End.Start);

        // The closet has its sliding door from the bedroom.
        job.Openings.Single(o => o.To == "bedroom-2-closet").Kind.ShouldBe(OpeningKind.Sliding);
        new RoomShape(job.RoomById("bedroom-2-closet")!).AreaSqFt.ShouldBe(12, 0.01);
    }

    [Fact]
    public void A_metric_room_keeps_its_millimetres_when_a_closet_is_taken_out_of_it()
    {
        const string Lines = "Hall 6 x 1.2\nBed 1 4.2 x 3.8 s of Hall, door to Hall, closet 1.8 x 0.6 w";
        var (job, problems) = RoomList.Take(Empty with { Units = LengthUnits.Metric }, "first", Lines.Split('\n'));
        problems.ShouldBeEmpty();
        var corners = job.Rooms.SelectMany(r => r.Outline).SelectMany(p => new[] { p.X, p.Y });
        corners.ShouldAllBe(c => c.Units % (Length.UnitsPerMillimetre / 10) == 0);
        var closet = new RoomShape(job.RoomById("bed-1-closet")!);
        (closet.MaxX - closet.MinX).ShouldBe(Length.Millimetres(600));
        (closet.MaxY - closet.MinY).ShouldBe(Length.Millimetres(1800));
        var bed = new RoomShape(job.RoomById("bed-1")!);
        (bed.MaxX - bed.MinX, bed.MaxY - bed.MinY).ShouldBe((Length.Millimetres(4200), Length.Millimetres(3800)));
    }

    [Theory]
    [InlineData("Kitchen", "Line 1, size: 'Kitchen' has no size")]
    [InlineData("Kitchen 12 y 14", "Line 1, size")]
    [InlineData("Kitchen 9999999 x 14", "Line 1, size: '9999999' is longer")]
    [InlineData("Hall 4 x 20\nKitchen 12 x 14 e of Foyer", "Line 2, place: there is no room called 'Foyer'. There are: Hall.")]
    [InlineData("Hall 4 x 20\nKitchen 12 x 14 left", "Line 2, place: 'left' is no place")]
    [InlineData("Hall 4 x 20\nKitchen 12 x 14 e\nDen 5 x 5 e of Hall", "Line 3, place: it would lie over Kitchen")]
    [InlineData("Hall 4 x 20, dor n", "Line 1, dor n: it is not known")]
    [InlineData("Hall 4 x 20, window", "Line 1, window: say where")]
    [InlineData("Hall 4 x 20, window 30 n", "Line 1, window 30 n: the longest free wall there is 4'-0\"")]
    [InlineData("Hall 4 x 20\nDen 12 x 10 e 40 e, door to Hall", "Line 2, door to Hall: Den and Hall have no free wall between them")]
    [InlineData("Hall 4 x 20, furnished", "Line 1, furnished: There is no usual furniture for Hall")]
    [InlineData("Den 9 x 9 (rocket)", "Line 1, kind: 'rocket' is no kind of room")]
    [InlineData("Den 9 x 9, heater n", "Line 1, heater n: it is not known")]
    [InlineData("Bath 2 x 2, panel n", "Line 1, panel n: there is no free wall for it on that side")]
    [InlineData("Den 9 x 9, closet 12 x 2 w", "")]
    [InlineData("Den 9 x 9, closet 6 x 20 w", "Line 1, closet 6 x 20 w: It would reach out of the room")]
    public void What_is_wrong_is_told_with_its_line_and_part(string text, string sentence)
    {
        var (_, problems) = Take(text);
        if (sentence.Length == 0)
            problems.ShouldBeEmpty();
        else
            $"{problems.Single()}".ShouldStartWith(sentence);
    }

    [Fact]
    public void A_line_that_waits_for_a_wrong_one_says_so_and_the_rest_is_drawn()
    {
        var (job, problems) = Take("Hall 4 x 20\nKitchen 12 y 14\nDen 9 x 9 e of Kitchen\nBath 6 x 9 w of Hall");
        problems.Select(p => p.Line).ShouldBe([2, 3]);
        problems[1].Sentence.ShouldBe("the line of Kitchen has to be right first.");
        job.Rooms.Select(r => r.Name).ShouldBe(["Hall", "Bath"]);
    }

    [Theory]
    [InlineData("14-6 x 16")]
    [InlineData("14'6 x 16")]
    [InlineData("14'6\" x 16'")]
    [InlineData("14'-6\" by 16'-0\"")]
    [InlineData("14.5' × 192 in")]
    [InlineData("174 in x 16 ft")]
    public void Sizes_are_read_as_they_are_said(string size)
    {
        var shape = new RoomShape(Good($"Bedroom 2 {size}").Rooms.Single());
        shape.Room.Name.ShouldBe("Bedroom 2");
        (shape.MaxX - shape.MinX, shape.MaxY - shape.MinY).ShouldBe((Length.Feet(14, 6), Length.Feet(16)));
    }

    [Fact]
    public void Things_stand_on_the_side_that_is_said_and_a_sub_panel_brings_the_panel_it_is_fed_from()
    {
        var job = Good(
            """
            Garage 22 x 24, garage door s, water heater n, ev charger w at 3, ceiling fan
            Workshop 24 x 16 e 30 e, door w, sub-panel e, air compressor n
            """
        );
        Side? On(int? wall, string room) =>
            new RoomShape(job.RoomById(room)!) is var r
                ? Enum.GetValues<Side>().Cast<Side?>().FirstOrDefault(s => Looks(r, r.Walls[wall!.Value], s!.Value))
                : null;
        On(job.ApplianceById("water-heater")!.Spot.Wall, "garage").ShouldBe(Side.North);
        var charger = job.ApplianceById("ev-charger")!.Spot;
        On(charger.Wall, "garage").ShouldBe(Side.West);
        new RoomShape(job.RoomById("garage")!).On(charger.Wall!.Value, charger.From + charger.Width).Y.ShouldBe(Length.Feet(3));
        job.ApplianceById("ceiling-fan")!.Spot.At.ShouldNotBeNull();
        On(job.Panels.Single(p => p.FedFrom == "main").Wall, "workshop").ShouldBe(Side.East);
        job.Panels[0].Room.ShouldBe("garage");

        static bool Looks(RoomShape room, Wall wall, Side side)
        {
            var (x, y) = (-room.InX(wall), -room.InY(wall));
            return side switch
            {
                Side.North => y < -0.7,
                Side.South => y > 0.7,
                Side.East => x > 0.7,
                _ => x < -0.7,
            };
        }
    }

    [Fact]
    public void A_list_goes_on_over_storeys_and_tells_lines_by_their_own_number()
    {
        var job = Good("Hall 4 x 20\nstorey Attic 9-6\nAttic 20 x 20 over Hall\nstorey Cellar -8\nCellar 12 x 12, sump pump n");
        job.Storeys.Select(s => (s.Name, s.Floor))
            .ShouldBe([("First floor", Length.Zero), ("Attic", Length.Feet(9, 6)), ("Cellar", Length.Feet(-8))]);
        job.Rooms.Select(r => (r.Name, r.Storey)).ShouldBe([("Hall", "first"), ("Attic", "attic"), ("Cellar", "cellar")]);
        $"{Take("Hall 4 x 20\nstorey Attic 9-6\nAttic 20 x 20 over Den").Problems.Single()}".ShouldStartWith(
            "Line 3, place: there is no room called 'Den'"
        );
        $"{Take("Hall 4 x 20\nstorey Attic 9999999").Problems[0]}".ShouldStartWith("Line 2, ");
    }

    [Fact]
    public void A_line_without_a_size_adds_to_a_room_that_is_there()
    {
        var job = Good("Hall 4 x 20\nDen 12 x 10 e");
        var (more, problems) = RoomList.Take(job, "first", ["Den, door to Hall, window e"]);
        problems.ShouldBeEmpty();
        more.Rooms.Length.ShouldBe(2);
        more.Openings.Length.ShouldBe(2);
    }

    [Fact]
    public void Too_much_is_refused_with_a_sentence()
    {
        RoomList
            .Take(Empty, "first", [.. Enumerable.Repeat("", RoomList.MostLines + 1)])
            .Problems.Single()
            .Sentence.ShouldContain("more than 200 lines");
        RoomList
            .Take(Empty, "first", [new string('x', RoomList.LongestLine + 1)])
            .Problems.Single()
            .Sentence.ShouldContain("more than 300 letters");
        var full = Empty with { Rooms = [.. Enumerable.Range(1, JobRules.MostRooms - 5).Select(Far)] };
        var many = Enumerable.Range(1, 25).Select(n => $"Room {n} 3 x 3 e").ToList();
        var (job, problems) = RoomList.Take(full, "first", many);
        job.Rooms.Length.ShouldBe(JobRules.MostRooms);
        problems.Length.ShouldBe(20);

        Room Far(int n)
        {
            var (x, y) = (Length.Feet(n % 40 * 5), Length.Feet(n / 40 * 5));
            var (right, low) = (x + Length.Feet(4), y + Length.Feet(4));
            return new()
            {
                Id = $"far{n}",
                Name = $"Far {n}",
                Storey = "first",
                Outline = [new(x, y), new(right, y), new(right, low), new(x, low)],
            };
        }
    }

    // Whatever is typed, a list is read to its end in a moment and leaves a job that is right.
    [Fact]
    public void Whatever_is_typed_the_job_stays_right()
    {
        string[] words =
        [
            "Kitchen",
            "Hall",
            "12",
            "x",
            "10",
            "e",
            "of",
            ",",
            "door",
            "to",
            "window",
            "s",
            "2",
            "closet",
            "6-0",
            "n",
            "at",
            "3'6",
            "flush",
            "(den)",
            "over",
            "furnished",
            "\u202e",
            "'",
            "9999",
        ];
        Gen.Int[0, words.Length - 1]
            .Array[1, 14]
            .Array[1, 6]
            .Sample(
                lines =>
                {
                    var (job, _) = RoomList.Take(Empty, "first", [.. lines.Select(l => string.Join(' ', l.Select(i => words[i])))]);
                    JobRules.Check(job).ShouldBeEmpty();
                },
                iter: 400
            );
    }

    [Fact]
    public void Every_name_that_a_kind_has_in_words_is_guessed_as_that_kind()
    {
        RoomNames.KindOf("Hall bath").ShouldBe(RoomKind.Bathroom);
        RoomNames.KindOf("Master closet").ShouldBe(RoomKind.Closet);
        RoomNames.KindOf("BR 3").ShouldBe(RoomKind.Bedroom);
        RoomNames.KindOf("W.C.").ShouldBe(RoomKind.Living);
        RoomNames.KindOf("Mudroom").ShouldBe(RoomKind.Foyer);
        RoomNames.KindOf("Unfinished basement").ShouldBe(RoomKind.UnfinishedBasement);
        RoomNames.KindOf("Finished basement").ShouldBe(RoomKind.FinishedBasement);
        RoomNames.KindOf("Garden room").ShouldBe(RoomKind.Living);
        RoomNames.Known("Zebra").ShouldBeNull();
    }
}
