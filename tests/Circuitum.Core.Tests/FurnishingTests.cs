using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Codes;
using Circuitum.Core.Commands;
using Circuitum.Core.Entry;
using Circuitum.Core.Geometry;
using Circuitum.Core.Intake;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Tests;

/// <summary>Rooms that come furnished, and closets that are taken out of rooms.</summary>
public class FurnishingTests
{
    private static readonly string[] Openings = ["", "door s", "door w", "opening 4 e", "window 4 n", "window 3 e, door s", "slider n"];

    // Many sizes with a door here or there: each furnished room as an inspector walks it.
    public static TheoryData<string, int> Rooms()
    {
        var rooms = new TheoryData<string, int>();
        foreach (var name in new[] { "Kitchen", "Bath", "Laundry", "Utility", "Garage" })
        {
            for (var seed = 0; seed < 12; seed++)
                rooms.Add(name, seed);
        }

        return rooms;
    }

    [Theory]
    [MemberData(nameof(Rooms))]
    public void Nothing_stands_on_anything_or_in_a_door_and_a_second_press_adds_nothing(string name, int seed)
    {
        var random = new Random(seed);
        var least = name switch
        {
            "Kitchen" => 9,
            "Garage" => 14,
            _ => 5,
        };
        var size = $"{least + random.Next(8)} x {least + random.Next(9)}";
        var opening = name == "Garage" ? "garage door w" : Openings[random.Next(Openings.Length)];
        var (job, problems) = RoomList.Take(Sample.House(), "first", [opening.Length > 0 ? $"{name} {size}, {opening}" : $"{name} {size}"]);
        problems.ShouldBeEmpty();
        var room = job.Rooms.Single();
        var (furnished, problem) = Furnishing.Of(job, room.Id);
        furnished.ShouldNotBeNull($"{size}, {opening}: {problem}");
        JobRules.Check(furnished).ShouldBeEmpty();

        var shape = HouseShape.Of(furnished)[room.Id];
        var things = Things(furnished, shape).ToList();
        foreach (var (i, a) in things.Index())
        {
            foreach (var b in things.Skip(i + 1).Where(b => !a.MayStandIn(b) && !b.MayStandIn(a)))
                Overlap(a.Box, b.Box).ShouldBeFalse($"{size}, {opening}: {a.Name} and {b.Name}");
            foreach (var o in shape.Openings.Where(o => o.Opening.Kind != OpeningKind.Window))
                Overlap(a.Box, Places.Box(shape, Swing(o))).ShouldBeFalse($"{size}, {opening}: {a.Name} in the door");
        }

        Furnishing.Of(furnished, room.Id).Job.ShouldBeNull();
    }

    [Fact]
    public void A_kitchen_has_its_sink_under_the_window_its_dishwasher_beside_it_and_a_hood_over_the_range()
    {
        var (job, _) = RoomList.Take(Sample.House(), "first", ["Kitchen 12 x 13, window 4 n, opening 6 s, furnished"]);
        var sink = job.Fixtures.Single(f => f.Kind == FixtureKind.Sink).Spot;
        var window = job.Openings.Single(o => o.Kind == OpeningKind.Window);
        sink.Wall.ShouldBe(window.Wall);
        ((sink.From + (sink.Width / 2)) - (window.From + (window.Width / 2))).Abs().ShouldBeLessThan(Length.Inches(1));
        Appliance Of(ApplianceTrait trait) => job.Appliances.Single(a => CodeLibrary.Appliances[a.Type].Has(trait));
        var dishwasher = Of(ApplianceTrait.Dishwasher).Spot;
        dishwasher.Wall.ShouldBe(sink.Wall);
        Length
            .Min((dishwasher.From - sink.From - sink.Width).Abs(), (sink.From - dishwasher.From - dishwasher.Width).Abs())
            .ShouldBeLessThan(Length.Inches(6));
        var range = Of(ApplianceTrait.Range);
        range.Spot.Wall.ShouldNotBe(sink.Wall);
        job.Appliances.Single(a => a.Type == "range-hood").Spot.From.ShouldBe(range.Spot.From);
        Of(ApplianceTrait.Refrigerator).Spot.Wall.ShouldBe(sink.Wall);
        job.Counters.Length.ShouldBe(2);
    }

    [Fact]
    public void What_is_there_stays_and_what_does_the_same_work_is_not_added()
    {
        var (job, _) = RoomList.Take(Sample.House(), "first", ["Kitchen 12 x 13, window 4 n, opening 6 s"]);
        var gas = new PutOnWall("appliance:gas-range", "kitchen", 1, Length.Feet(4), Length.Inches(30)).Apply(job).Job.ShouldNotBeNull();
        var furnished = new FurnishRoom("kitchen").Apply(gas).Job.ShouldNotBeNull();
        furnished.Appliances.Count(a => CodeLibrary.Appliances[a.Type].Cooking).ShouldBe(0);
        furnished.Appliances[0].ShouldBe(gas.Appliances[0]);
    }

    [Fact]
    public void Rooms_without_usual_furniture_and_without_a_wall_say_so()
    {
        var (job, _) = RoomList.Take(Sample.House(), "first", ["Den 12 x 13", "Kitchen 3 x 3 e, door w", "Garage 20 x 20 e"]);
        new FurnishRoom("den").Apply(job).Problem.ShouldContain("no usual furniture for Den");
        new FurnishRoom("kitchen").Apply(job).Problem.ShouldContain("no wall of 4 ft");
        new FurnishRoom("garage").Apply(job).Problem.ShouldContain("garage door in first");
    }

    // A closet on every wall, at its start, its middle and its end: nothing is lost of the room but the closet and its walls.
    [Theory]
    [InlineData(0)]
    [InlineData(1)]
    [InlineData(2)]
    [InlineData(3)]
    public void A_closet_is_taken_out_on_any_wall_and_what_hung_there_goes_with_its_wall(int wall)
    {
        foreach (var from in new[] { 0.0, 1, 4, 7, 20 })
        {
            var (job, _) = RoomList.Take(Sample.House(), "first", ["Bedroom 13 x 14, 2 windows n, 2 windows s, window e, window w"]);
            job = new AddBox(BoxKind.Receptacle, "bedroom", wall, Length.Feet(6), null).Apply(job).Job.ShouldNotBeNull();
            var openings = job.Openings;
            var result = new AddCloset("bedroom", wall, Length.Feet(from), Length.Feet(5), Length.Feet(2)).Apply(job);
            if (result.Job is not { } after)
            {
                result.Problem.ShouldContain("stands where its partition would meet it");
                continue;
            }

            var (room, closet) = (new RoomShape(after.RoomById("bedroom")!), new RoomShape(after.RoomById("bedroom-closet")!));
            closet.AreaSqFt.ShouldBe(10, 0.01, $"wall {wall} from {from}");
            HouseShape.OverlapSqFt(room, closet).ShouldBe(0);
            var partition = job.Frame.Partition.InFeet;
            var least = (13 * 14) - ((5 + (2 * partition)) * (2 + partition));
            room.AreaSqFt.ShouldBeInRange(least - 0.2, least + 1.3);

            // Windows stay where they are on the plan, whichever room has them now.
            foreach (var o in openings)
            {
                var now = after.Openings.Single(x => x.Id == o.Id);
                var there = new RoomShape(after.RoomById(now.Room)!).Walls[now.Wall].At(now.From + (now.Width / 2));
                var before = new RoomShape(job.RoomById(o.Room)!).Walls[o.Wall].At(o.From + (o.Width / 2));
                there.InchesTo(before).ShouldBeLessThan(0.2);
            }

            after.Openings.Single(o => o.To == "bedroom-closet").Kind.ShouldBe(OpeningKind.Sliding);
        }
    }

    [Fact]
    public void What_is_put_down_in_another_piece_is_told_and_what_belongs_in_a_counter_is_not()
    {
        var (job, _) = RoomList.Take(
            Sample.House(),
            "first",
            ["Kitchen 12 x 13, window 4 n, opening 6 s, furnished", "Bath 9 x 8 e, furnished"]
        );
        IEnumerable<Finding> Told(Job j) => Analyzer.Analyze(j).Findings.Where(f => f.RuleId == "plan.pieces");
        Told(job).ShouldBeEmpty();
        var tub = job.Fixtures.Single(f => f.Kind == FixtureKind.Toilet);
        var washer = new PutOnWall("appliance:washer", "bath", tub.Spot.Wall!.Value, tub.Spot.From, Length.Inches(27)).Apply(job).Job!;
        Told(washer).ShouldHaveSingleItem().Sentence.ShouldContain("Clothes washer");
        var hood = job.Appliances.Single(a => a.Type == "range-hood").Spot;
        Told(new PutOnWall("appliance:over-range-microwave", "kitchen", hood.Wall!.Value, hood.From, Length.Inches(30)).Apply(job).Job!)
            .ShouldBeEmpty();
    }

    [Fact]
    public void A_rectangle_drawn_along_a_wall_inside_of_a_room_is_a_closet_of_it()
    {
        var (job, _) = RoomList.Take(Sample.House(), "first", ["Bedroom 13 x 14"]);
        Point At(double x, double y) => new(job.Rooms[0].Outline[0].X + Length.Feet(x), job.Rooms[0].Outline[0].Y + Length.Feet(y));
        var drawn = new DrawRoom("first", [At(0.1, 0), At(6, 2)], "").Apply(job).Job.ShouldNotBeNull();
        drawn.RoomById("bedroom-closet")!.Kind.ShouldBe(RoomKind.Closet);
        new RoomShape(drawn.RoomById("bedroom-closet")!).AreaSqFt.ShouldBe(12, 0.3);
        drawn.Openings.ShouldHaveSingleItem().To.ShouldBe("bedroom-closet");

        // Named, on the east wall; what is out in the room, or most of it, is no closet.
        var nook = new DrawRoom("first", [At(11, 4), At(13, 9)], "Linen closet").Apply(job).Job!;
        nook.Rooms.Select(r => r.Name).ShouldBe(["Bedroom", "Linen closet"]);
        HouseShape.OverlapSqFt(nook.Rooms[0], nook.Rooms[1]).ShouldBe(0);
        new DrawRoom("first", [At(4, 4), At(8, 8)], "").Apply(job).Problem.ShouldContain("would lie over Bedroom");
        new DrawRoom("first", [At(0, 0), At(13, 12)], "").Apply(job).Problem.ShouldContain("would lie over Bedroom");
    }

    private sealed record Thing(string Name, (double W, double N, double E, double S) Box, bool IsCounter, bool IsOver)
    {
        // Sinks, ranges and dishwashers stand in counters; hoods hang over ranges.
        internal bool MayStandIn(Thing other) => other.IsCounter || IsOver;
    }

    private static IEnumerable<Thing> Things(Job job, RoomShape shape) =>
        [
            .. job.Counters.Select(c => new Thing(c.Id, Places.Box(shape, c.Spot), true, false)),
            .. job.Fixtures.Select(f => new Thing(f.Id, Places.Box(shape, f.Spot), false, false)),
            .. job.Appliances.Select(a => new Thing(a.Id, Places.Box(shape, a.Spot), false, !CodeLibrary.Appliances[a.Type].TakesFloor)),
        ];

    private static Spot Swing(RoomOpening o) =>
        new()
        {
            Wall = o.Wall,
            From = o.From,
            Width = o.Opening.Width,
            Depth = Length.Inches(20),
        };

    private static bool Overlap((double W, double N, double E, double S) a, (double W, double N, double E, double S) b) =>
        a.W < b.E - 0.2 && b.W < a.E - 0.2 && a.N < b.S - 0.2 && b.N < a.S - 0.2;
}
