using Circuitum.Core.Analysis;
using Circuitum.Core.Circuits;
using Circuitum.Core.Codes;
using Circuitum.Core.Commands;
using Circuitum.Core.Entry;
using Circuitum.Core.Geometry;
using Circuitum.Core.Intake;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Tests;

/// <summary>A house that is planned in one step, and openings that are put where people say they go.</summary>
public class PlanHouseTests
{
    private static readonly string[] Lines =
    [
        "Great room 22 x 18, 2 windows 5-0 n, door 3-0 w",
        "Kitchen 14 x 18 e, opening 8 to Great room, window 4 n, furnished",
        "Hall 36-4 1/2 x 4 s of Great room, opening 5 to Great room",
        "Bedroom 15 x 14 s of Hall, door to Hall, 2 windows s, closet 6 x 2 w",
        "Bath 9 x 10 e of Bedroom, door to Hall, window s, furnished",
        "Laundry 11-7 1/2 x 9 e of Bath, door to Hall, furnished",
    ];

    private static Job House(params string[] more)
    {
        var (job, problems) = RoomList.Take(Sample.House(), "first", [.. Lines, .. more]);
        problems.ShouldBeEmpty();
        return job;
    }

    [Fact]
    public void In_one_step_a_house_gets_panel_boxes_circuits_and_spaces_without_anything_that_must_be_mended()
    {
        var before = Analyzer.Analyze(House("Garage 22 x 24 e of Kitchen, door to Kitchen, garage door 16 n, furnished"));
        var planned = Analyzer.Analyze(new PlanHouse().Apply(before.Job).Job.ShouldNotBeNull());
        planned.Findings.Where(f => f.Severity == Severity.Must).ShouldBeEmpty();
        planned.Job.Panels.Single().Room.ShouldBe("garage");
        planned.Circuits.Length.ShouldBeGreaterThan(12);

        // What was decided is told, and what only a person can say is asked: the panel's wall and two nameplates.
        var told = HousePlanned.Of(before, planned);
        told.Count(t => t.Again).ShouldBe(4);
        told[0].What.ShouldStartWith("The panel hangs on the ");
        told.Select(t => t.What).ShouldContain(t => t.StartsWith($"{planned.Job.Decisions.Boxes.Length} boxes"));
    }

    // Wherever a panel is proposed it may hang: in a hundred made-up houses whose own was taken away.
    [Fact]
    public void A_proposed_panel_has_its_working_space_and_hangs_where_it_may()
    {
        var edition = Codes.CodeLibrary.Editions.Keys.Max()!;
        foreach (var seed in Enumerable.Range(0, 300).Where(s => s % 3 == 0))
        {
            var job = GeneratedHouse.MakeWithShed(seed) with { Panels = [] };
            // A garage that stands apart draws no panel to it.
            if (seed % 2 == 0)
                job = job with
                {
                    Rooms = [.. job.Rooms.Select(r => r.Kind == RoomKind.AccessoryBuilding ? r with { Kind = RoomKind.Garage } : r)],
                };
            if (PanelPlace.Find(job) is not var (room, wall, along))
                continue;
            HouseShape.Of(job).MainBuilding.ShouldContain(room, $"house {seed}");
            var hung = new PutOnWall("panel", room, wall, along, default).Apply(job).Job.ShouldNotBeNull($"house {seed}");
            Analyzer
                .Analyze(hung with { CodeEdition = edition })
                .Findings.Where(f => f.RuleId is "panel.space" or "panel.place" or "panel.clear" or "panel.handle")
                .ShouldBeEmpty($"house {seed}");
        }
    }

    [Fact]
    public void A_house_without_a_wall_for_a_panel_says_so()
    {
        var (job, _) = RoomList.Take(Sample.House(), "first", ["Bath 6 x 9"]);
        new PlanHouse().Apply(job).Problem.ShouldContain("space to work at a panel");
        new PlanHouse().Apply(Sample.House()).Problem.ShouldContain("no room yet");
    }

    [Fact]
    public void A_panel_that_is_there_stays_and_the_watch_can_end_it_early()
    {
        var job = new PutOnWall("panel", "laundry", 1, Length.Feet(7), default).Apply(House()).Job.ShouldNotBeNull();
        using var watch = new PlanWatch();
        watch.Stop();
        var planned = new PlanHouse { Watch = watch }
            .Apply(job)
            .Job.ShouldNotBeNull();
        planned.Panels.ShouldBe(job.Panels);
        Analyzer.Analyze(planned).Findings.ShouldNotContain(f => f.RuleId == "circuit.unassigned");
    }

    [Fact]
    public void A_new_width_grows_about_the_middle_and_slides_where_a_corner_is_in_the_way()
    {
        var job = House();
        var window = job.Openings.First(o => o is { Kind: OpeningKind.Window, Room: "bedroom" });
        Opening Edited(Job j, Length width) =>
            new EditOpening(window.Id, window.Kind, window.From, width, window.Hinge, true, null)
                .Apply(j)
                .Job.ShouldNotBeNull()
                .Openings.Single(o => o.Id == window.Id);
        var wider = Edited(job, window.Width + Length.Feet(1));
        (wider.From + (wider.Width / 2)).ShouldBe(window.From + (window.Width / 2));

        var alone = job with { Openings = job.Openings.RemoveAll(o => o.Kind == OpeningKind.Window && o.Id != window.Id) };
        var wall = new RoomShape(alone.RoomById("bedroom")!).Walls[window.Wall];
        Edited(alone, wall.Length).From.ShouldBe(Length.Zero);
    }

    [Fact]
    public void An_opening_is_centred_on_the_wall_or_the_sink_paired_and_hung_in_four_ways()
    {
        var job = new PlaceHere("opening:window", "first", new(Length.Feet(2), Length.Feet(1))).Apply(House()).Job.ShouldNotBeNull();
        var placed = job.Openings[^1];
        Job After(OpeningWay way, string? id = null, Job? j = null) =>
            new ArrangeOpening(id ?? placed.Id, way).Apply(j ?? job).Job.ShouldNotBeNull();

        var bath = job.Openings.First(o => o is { Kind: OpeningKind.Window, Room: "bath" });
        var off = job with { Openings = job.Openings.Replace(bath, bath with { From = Length.Inches(3) }) };
        var centred = After(OpeningWay.Centred, bath.Id, off).Openings.Single(o => o.Id == bath.Id);
        (centred.From + (centred.Width / 2)).ShouldBe(new RoomShape(off.RoomById("bath")!).Walls[bath.Wall].Length / 2);

        var kitchen = job.Openings.First(o => o is { Kind: OpeningKind.Window, Room: "kitchen" });
        var sink = job.Fixtures.Single(f => f.Kind == FixtureKind.Sink);
        var apart = job with
        {
            Openings = job.Openings.RemoveAll(o => o.Id == placed.Id).Replace(kitchen, kitchen with { From = Length.Feet(1) }),
        };
        var over = After(OpeningWay.OnSink, kitchen.Id, apart).Openings.Single(o => o.Id == kitchen.Id);
        ((over.From + (over.Width / 2)) - (sink.Spot.From + (sink.Spot.Width / 2))).Abs().ShouldBeLessThan(Length.Inches(1));

        var pair = After(OpeningWay.Paired, kitchen.Id, apart)
            .Openings.Where(o => o.Kind == OpeningKind.Window && o.Room == "kitchen")
            .ToList();
        pair.Count.ShouldBe(2);
        (pair[1].From - pair[0].From).Abs().ShouldBe(kitchen.Width + Length.Inches(4.5));

        var door = job.Openings.First(o => o is { Kind: OpeningKind.Hinged, Room: "bedroom" });
        var ways = new HashSet<(End, bool)>();
        for (var (j, i) = (job, 0); i < 4; i++)
        {
            j = After(OpeningWay.Flipped, door.Id, j);
            ways.Add(j.Openings.Single(o => o.Id == door.Id) is var o ? (o.Hinge, o.SwingsIn) : default);
        }

        ways.Count.ShouldBe(4);
    }

    [Fact]
    public void A_door_that_is_put_down_from_the_hall_swings_into_the_room_it_serves()
    {
        var job = House();
        var hall = new RoomShape(job.RoomById("hall")!);
        var bare = job with { Openings = job.Openings.RemoveAll(o => o.To == "hall" || o.Room == "hall") };
        var put = new PlaceHere("opening:hinged", "first", new(Length.Feet(4), hall.MaxY - Length.Inches(6)))
            .Apply(bare)
            .Job.ShouldNotBeNull();
        var door = put.Openings[^1];
        (door.Room, door.To, door.SwingsIn).ShouldBe(("hall", "bedroom", false));
    }

    // A change of mind late in the day: the cooktop gets its wire and breaker, and what was planned elsewhere stays.
    [Fact]
    public void A_cooktop_for_a_range_gets_its_own_circuit_and_the_rest_stays()
    {
        var planned = new PlanHouse().Apply(House()).Job.ShouldNotBeNull();
        var range = planned.Appliances.Single(a => a.Type == "range");
        var after = Analyzer.Analyze(new ExchangeAppliance(range.Id, "cooktop").Apply(planned).Job.ShouldNotBeNull());
        after.Findings.Where(f => f.Severity == Severity.Must).ShouldBeEmpty();
        var circuit = after.Circuits.Single(c => c.Boxes.Any(b => b.Appliance == range.Id));
        circuit.Boxes.Length.ShouldBe(1);
        after.Job.ApplianceById(range.Id)!.Spot.Wall.ShouldBe(range.Spot.Wall);
        var others = planned.Decisions.Circuits.Where(c =>
            c.Boxes.All(b => planned.Decisions.Boxes.First(x => x.Id == b.Box).Appliance != range.Id)
        );
        foreach (var c in others)
            after.Job.Decisions.Circuits.Single(n => n.Number == c.Number).Boxes.Select(b => b.Box).ShouldBe(c.Boxes.Select(b => b.Box));
        new ExchangeAppliance(range.Id, "range").Apply(planned).Problem.ShouldContain("another appliance");
    }

    // What compares whole plans takes the longest of all; nobody who left is planned for.
    [Fact]
    public void What_is_ended_compares_no_plans()
    {
        var planned = Planner.PlanAll(GeneratedHouse.Make(7));
        using var watch = new PlanWatch();
        watch.Stop();
        Should.Throw<OperationCanceledException>(() => PlanChoices.Of(planned, watch));
        Should.Throw<OperationCanceledException>(() => PlanChoices.Saving(Analyzer.Analyze(planned), watch));
        Should.Throw<OperationCanceledException>(() =>
            EditionCompare.Of(planned, planned.CodeEdition, CodeLibrary.EditionIds.First(e => e != planned.CodeEdition), watch)
        );
    }

    // The largest house that is taken: twelve times as many rooms take less than the square of that.
    [Fact]
    public void Five_hundred_rooms_are_taken()
    {
        var job = RowsOfRooms(JobRules.MostRooms);
        JobRules.Check(job).ShouldBeEmpty();
        var planned = Planner.PlanAll(job);
        JobRules.Check(planned).ShouldBeEmpty();
        planned.Decisions.Boxes.Length.ShouldBeGreaterThan(4 * JobRules.MostRooms);
        planned.Decisions.Circuits.SelectMany(c => c.Boxes).Count().ShouldBe(planned.Decisions.Boxes.Length);
    }

    private static Job RowsOfRooms(int count) =>
        new()
        {
            Name = "Rows",
            Storeys = [new Storey { Id = "first", Name = "First" }],
            Rooms =
            [
                .. Enumerable
                    .Range(0, count)
                    .Select(i =>
                    {
                        var (x, y) = (Length.Feet(i % 22 * 12.5), Length.Feet(i / 22 * 12.5));
                        var (right, low) = (x + Length.Feet(12), y + Length.Feet(12));
                        return new Room
                        {
                            Id = $"r{i}",
                            Name = $"Room {i}",
                            Storey = "first",
                            Kind = RoomKind.Den,
                            Outline = [new(x, y), new(right, y), new(right, low), new(x, low)],
                        };
                    }),
            ],
            Panels =
            [
                new Panel
                {
                    Id = "main",
                    Name = "Main",
                    Room = "r0",
                    Along = Length.Feet(4),
                    BreakerFamily = "A",
                },
            ],
        };
}
