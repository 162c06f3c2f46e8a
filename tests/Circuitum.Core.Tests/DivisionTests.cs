using Circuitum.Core.Analysis;
using Circuitum.Core.Circuits;
using Circuitum.Core.Commands;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Routing;

namespace Circuitum.Core.Tests;

/// <summary>What a person pins of rooms, what a breaker is worth, and plans by hand beside the planner's.</summary>
public partial class DivisionTests
{
    private static HashSet<string> RoomsOn(JobAnalysis a, string room) =>
        [
            .. a
                .Circuits.Where(c => c.Circuit.Purpose == CircuitPurpose.Receptacles && c.Boxes.Any(b => Is(b, room)))
                .SelectMany(c => c.Boxes)
                .Where(b => b.Kind == BoxKind.Receptacle && !b.Outside)
                .Select(b => b.Room),
        ];

    private static bool Is(Box box, string room) => box.Room == room && box.Kind == BoxKind.Receptacle && !box.Outside;

    // Rooms that share a receptacle circuit with another one that counts, and with which.
    private static IEnumerable<(JobAnalysis House, string Room, string Other)> Shared() =>
        HouseSet
            .All.Select(h => h.House)
            .Where(a => a.Job.Preferences.LightsAndReceptacles == LightsAndReceptacles.Separate)
            .Select(a =>
                (
                    a,
                    Pair: a.Circuits.Where(c => c.Circuit.Purpose == CircuitPurpose.Receptacles)
                        .Select(c => c.Boxes.Where(b => Counts(a, b)).Select(b => b.Room).Distinct().ToList())
                        .FirstOrDefault(r => r.Count == 2 && r.All(x => On(a, x) == 1))
                )
            )
            .Where(x => x.Pair is not null)
            .Select(x => (x.a, x.Pair![0], x.Pair[1]));

    private static bool Counts(JobAnalysis a, Box b) =>
        b.Kind == BoxKind.Receptacle
        && !b.Outside
        && !a.Job.KindAt(b).OpenAir()
        && a.Job.KindAt(b) is not (RoomKind.Closet or RoomKind.Hallway or RoomKind.Stairs or RoomKind.Pantry);

    private static int On(JobAnalysis a, string room) =>
        a.Circuits.Count(c => c.Circuit.Purpose == CircuitPurpose.Receptacles && c.Boxes.Any(b => Is(b, room)));

    private static JobAnalysis Pinned(JobAnalysis a, PinKind kind, string room, string? other)
    {
        var result = new PinRooms(
            new()
            {
                Of = CircuitPurpose.Receptacles,
                Kind = kind,
                Room = room,
                Other = other,
            }
        ).Apply(a.Job);
        return Analyzer.Analyze(result.Job.ShouldNotBeNull(result.Problem));
    }

    [Fact]
    public void A_room_that_is_pinned_alone_shares_its_circuit_with_closets_and_halls_only()
    {
        foreach (var (a, room, other) in Shared().Take(6))
        {
            var after = Pinned(a, PinKind.Alone, room, null);
            RoomsOn(after, room)
                .Where(r => r != room)
                .Select(r => after.Job.RoomById(r)!.Kind)
                .ShouldBeSubsetOf([RoomKind.Closet, RoomKind.Pantry, RoomKind.Hallway], $"{a.Job.Name}: {room} and {other}");
            after.Circuits.SelectMany(c => c.Boxes).Count().ShouldBe(a.Circuits.SelectMany(c => c.Boxes).Count());
            a.Job.Decisions.Circuits.Select(c => c.Number)
                .Except(after.Job.Decisions.Circuits.Select(c => c.Number))
                .ShouldBeEmpty("numbers stay");
            var price = after
                .Why("plan")!
                .Steps.SelectMany(s => s.Steps)
                .Single(s => s.What == $"Receptacles: {after.Job.RoomById(room)!.Name} alone");
            (price.Result.StartsWith('+') || price.Result == "costs nothing").ShouldBeTrue(price.Result);
        }
    }

    [Fact]
    public void Rooms_that_are_pinned_apart_or_together_are_so()
    {
        foreach (var (a, room, other) in Shared().Take(6))
        {
            var apart = Pinned(a, PinKind.Apart, room, other);
            RoomsOn(apart, room).ShouldNotContain(other, a.Job.Name);

            // The later pin of the same rooms replaces the earlier.
            var again = Pinned(apart, PinKind.Together, other, room);
            again.Job.Decisions.Pins.Length.ShouldBe(1);
            RoomsOn(again, room).ShouldContain(other, a.Job.Name);
            RoomsOn(Analyzer.Analyze(Planner.PlanAfresh(again.Job)), room).ShouldContain(other, a.Job.Name);
        }
    }

    [Fact]
    public void A_pin_is_taken_back_refused_twice_and_goes_with_its_room()
    {
        var (a, room, other) = Shared().First();
        var pin = new RoomPin
        {
            Of = CircuitPurpose.Receptacles,
            Kind = PinKind.Apart,
            Room = room,
            Other = other,
        };
        var pinned = new PinRooms(pin).Apply(a.Job).Job.ShouldNotBeNull();
        new PinRooms(pin).Apply(pinned).Problem.ShouldContain("pinned already");
        new UnpinRooms(pin).Apply(pinned).Job!.Decisions.Pins.ShouldBeEmpty();
        new UnpinRooms(pin).Apply(a.Job).Problem.ShouldContain("not there any more");
        new RemoveRoom(other).Apply(pinned).Job!.Decisions.Pins.ShouldBeEmpty();
        new PinRooms(pin with { Other = "nowhere" }).Apply(a.Job).Problem.ShouldContain("not there any more");
        new PinRooms(pin with { Other = room }).Apply(a.Job).Problem.ShouldContain("two different rooms");
        new PinRooms(pin with { Of = CircuitPurpose.Laundry }).Apply(a.Job).Problem.ShouldContain("lighting, receptacles");
    }

    [Fact]
    public void Lights_pinned_together_are_one_circuit_though_practice_parts_them()
    {
        var a = HouseSet
            .All.Select(h => h.House)
            .First(h =>
                h.Job.Preferences.LightsAndReceptacles == LightsAndReceptacles.Separate
                && h.Job.Rooms.Any(r => r.Kind == RoomKind.Kitchen)
                && h.Job.Rooms.Any(r => r.Kind == RoomKind.Bedroom)
            );
        string Room(RoomKind kind) =>
            a.Job.Rooms.First(r => r.Kind == kind && a.Job.Decisions.Boxes.Any(b => b.Kind == BoxKind.Light && b.Room == r.Id)).Id;
        var pinned = new PinRooms(
            new()
            {
                Of = CircuitPurpose.Lighting,
                Kind = PinKind.Together,
                Room = Room(RoomKind.Kitchen),
                Other = Room(RoomKind.Bedroom),
            }
        ).Apply(a.Job).Job.ShouldNotBeNull();
        foreach (var after in new[] { pinned, Planner.PlanAfresh(pinned) }.Select(Analyzer.Analyze))
        {
            int Number(RoomKind kind) =>
                after
                    .Circuits.First(c =>
                        c.Circuit.Purpose == CircuitPurpose.Lighting && c.Boxes.Any(b => b.Kind == BoxKind.Light && b.Room == Room(kind))
                    )
                    .Number;
            Number(RoomKind.Kitchen).ShouldBe(Number(RoomKind.Bedroom));
            after.Findings.ShouldContain(f => f.RuleId == "circuit.zone", "what it is against is told");
        }
    }

    [Theory]
    [InlineData(60, "zones, habits and cable")]
    [InlineData(12, "too small")]
    public void A_breaker_is_worth_what_the_free_spaces_allow(int spaces, string word)
    {
        var a = HouseSet.All[7].House;
        var job = a.Job with
        {
            Panels = [a.Job.Panels[0] with { Spaces = spaces }, .. a.Job.Panels.Skip(1)],
            Decisions = a.Job.Decisions with { Spaces = [] },
        };
        Analyzer.Analyze(job).Why("plan")!.Because.ShouldContain(word);
    }

    [Fact]
    public void A_small_panel_takes_fewer_general_circuits_and_breaks_no_zone()
    {
        var fewer = 0;
        foreach (var (seed, _) in HouseSet.All.Take(8))
        {
            var bare = GeneratedHouse.MakeWithShed(seed);
            JobAnalysis With(int spaces) =>
                Analyzer.Analyze(Planner.PlanAll(bare with { Panels = [bare.Panels[0] with { Spaces = spaces }, .. bare.Panels.Skip(1)] }));
            var (roomy, small) = (With(60), With(12));
            small.Circuits.Length.ShouldBeLessThanOrEqualTo(roomy.Circuits.Length, $"house {seed}");
            small
                .Findings.Count(f => f.RuleId == "circuit.zone")
                .ShouldBeLessThanOrEqualTo(roomy.Findings.Count(f => f.RuleId == "circuit.zone"), $"house {seed}");
            if (roomy.Panels[0].SpacesUsed > small.Panel!.Spaces)
                small.Findings.ShouldContain(f => f.RuleId == "panel.spare" && f.Sentence.Contains("spaces or more"), $"house {seed}");
            fewer += small.Circuits.Length < roomy.Circuits.Length ? 1 : 0;
        }

        fewer.ShouldBeGreaterThan(0);
    }

    [Fact]
    public void A_division_says_how_far_it_is_and_ended_early_it_leaves_nothing_out()
    {
        foreach (var (seed, planned) in HouseSet.All.Take(5))
        {
            var bare = GeneratedHouse.MakeWithShed(seed);
            bare = bare with { Decisions = bare.Decisions with { Boxes = planned.Job.Decisions.Boxes } };
            using var watch = new PlanWatch();
            var whole = new PlanCircuits(false) { Watch = watch }
                .Apply(bare)
                .Job.ShouldNotBeNull();
            watch.Says.ShouldContain("possible circuits");

            using var ended = new PlanWatch();
            ended.Stop();
            var early = Analyzer.Analyze(
                new PlanCircuits(false) { Watch = ended }
                    .Apply(bare)
                    .Job.ShouldNotBeNull()
            );
            early.Findings.ShouldNotContain(f => f.RuleId == "circuit.unassigned" || f.RuleId == "circuit.overload", $"house {seed}");
            early.Circuits.Sum(c => c.Boxes.Length).ShouldBe(Analyzer.Analyze(whole).Circuits.Sum(c => c.Boxes.Length));
            PlanExplain.CostOf(HouseShape.Of(whole)).ShouldBeLessThanOrEqualTo(PlanExplain.CostOf(early.House));
        }
    }
}
