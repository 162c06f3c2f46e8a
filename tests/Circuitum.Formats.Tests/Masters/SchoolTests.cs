using Circuitum.Core.Analysis;
using Circuitum.Core.Circuits;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Planning;
using Circuitum.Core.Review;

namespace Circuitum.Formats.Tests.Masters;

/// <summary>Each school of dividing a house changes a real plan as its holder would expect, and breaks no rule.</summary>
public class SchoolTests
{
    private static JobAnalysis Plan(
        Job job,
        Func<DivisionSchools, DivisionSchools>? school = null,
        Func<Preferences, Preferences>? wish = null
    )
    {
        var p = wish is null ? job.Preferences : wish(job.Preferences);
        var a = Analyzer.Analyze(
            Planner.PlanAll(job with { Preferences = school is null ? p : p with { Division = school(p.Division) } }, PlanEffort.Full)
        );
        a.Findings.Where(f => f.Severity == Severity.Must && f.RuleId.StartsWith("circuit.", StringComparison.Ordinal)).ShouldBeEmpty();
        return a;
    }

    private static int Lights(JobAnalysis a) =>
        a.Circuits.Count(c => c.Circuit.Purpose == CircuitPurpose.Lighting && c.Boxes.Any(b => b.Kind == BoxKind.Light));

    private static HashSet<int> On(JobAnalysis a, CircuitPurpose purpose, string room) =>
        [.. a.Circuits.Where(c => c.Circuit.Purpose == purpose && c.Boxes.Any(b => b.Room == room && !b.Outside)).Select(c => c.Number)];

    [Fact]
    public void Lights_by_storeys_take_fewer_circuits_than_by_zones()
    {
        var (zones, storeys) = (Plan(FiveHouses.Large()), Plan(FiveHouses.Large(), d => d with { Lights = LightsBy.Storey }));
        Lights(storeys).ShouldBeLessThan(Lights(zones));
        Lights(storeys).ShouldBeGreaterThanOrEqualTo(2);
    }

    [Fact]
    public void Bedrooms_share_in_pairs_or_each_has_its_own()
    {
        var rooms = new[] { "bedroom-2", "bedroom-3", "bedroom-4", "main-bedroom" };
        int Circuits(JobAnalysis a) => rooms.SelectMany(r => On(a, CircuitPurpose.Receptacles, r)).Distinct().Count();
        Circuits(Plan(FiveHouses.Large())).ShouldBeLessThan(4);
        Circuits(Plan(FiveHouses.Large(), d => d with { Bedrooms = BedroomsBy.One })).ShouldBe(4);
    }

    [Fact]
    public void Full_baths_are_apart_or_together()
    {
        HashSet<int> Both(JobAnalysis a) =>
            [.. On(a, CircuitPurpose.Bathroom, "main-bath").Concat(On(a, CircuitPurpose.Bathroom, "hall-bath"))];
        Both(Plan(FiveHouses.Large())).Count.ShouldBe(2);
        Both(Plan(FiveHouses.Large(), d => d with { Baths = BathsBy.Together })).Count.ShouldBe(1);
    }

    [Fact]
    public void What_is_outside_is_fed_from_near_or_from_one_circuit()
    {
        int Feeding(JobAnalysis a) =>
            a.Circuits.Count(c => c.Boxes.Any(b => b.Kind == BoxKind.Receptacle && (b.Outside || a.Job.KindAt(b).OpenAir())));
        Feeding(Plan(FiveHouses.Large(), d => d with { Outdoor = OutdoorCircuit.One })).ShouldBe(1);
        Feeding(Plan(FiveHouses.Large())).ShouldBeGreaterThan(1);
    }

    [Fact]
    public void An_island_hangs_with_a_counter_or_with_the_dining_walls()
    {
        var house = FiveHouses.Large() with { CodeEdition = "us-2017" };
        var island = new Counter
        {
            Id = "island",
            Room = "kitchen",
            Spot = new Spot
            {
                At = new(Length.Feet(36), Length.Feet(7)),
                Width = Length.Feet(6),
                Depth = Length.Feet(3),
            },
        };
        house = house with { Counters = house.Counters.Add(island) };
        bool WithCounter(JobAnalysis a) =>
            a.Circuits.Single(c => c.Boxes.Any(b => b is { Room: "kitchen", Wall: null, Kind: BoxKind.Receptacle })) is var c
            && c.Boxes.Any(b => b.Wall is not null && b.Height >= Length.Inches(36));
        WithCounter(Plan(house)).ShouldBeTrue();
        WithCounter(Plan(house, d => d with { Island = IslandWith.Dining })).ShouldBeFalse();
    }

    [Fact]
    public void A_door_operator_hangs_with_the_garage_or_by_itself()
    {
        CircuitAnalysis Operator(JobAnalysis a) =>
            a.Circuits.Single(c => c.Boxes.Any(b => a.Job.ApplianceById(b.Appliance)?.Type == "garage-door"));
        Operator(Plan(FiveHouses.Large())).Circuit.Purpose.ShouldBe(CircuitPurpose.Garage);
        Operator(Plan(FiveHouses.Large(), d => d with { DoorOperator = DoorOperator.Alone })).Boxes.Length.ShouldBe(1);
    }

    [Fact]
    public void Alarms_hang_with_lights_or_by_themselves()
    {
        CircuitAnalysis Alarms(JobAnalysis a) => a.Circuits.Single(c => c.Boxes.Any(b => b.Kind == BoxKind.SmokeAlarm));
        Alarms(Plan(FiveHouses.Large())).Boxes.ShouldContain(b => b.Kind == BoxKind.Light);
        Alarms(Plan(FiveHouses.Large(), d => d with { Alarms = AlarmsWith.Alone })).Boxes.ShouldAllBe(b => b.Kind == BoxKind.SmokeAlarm);
    }

    [Fact]
    public void Lights_hang_with_the_receptacles_of_their_room()
    {
        var a = Plan(FiveHouses.Basement(), wish: p => p with { LightsAndReceptacles = LightsAndReceptacles.Mixed });
        var circuit = a.Circuits.Single(c => c.Boxes.Any(b => b is { Room: "bedroom-1", Kind: BoxKind.Light }));
        circuit.Circuit.Purpose.ShouldBe(CircuitPurpose.Mixed);
        a.Job.Decisions.Boxes.Where(b => b.Room == "bedroom-1" && b.Kind is BoxKind.Receptacle or BoxKind.Switch && b.Room == "bedroom-1")
            .ShouldAllBe(b => circuit.Circuit.Holds(b.Id));
    }

    [Fact]
    public void Numbers_are_spaces_or_counted_up()
    {
        Plan(FiveHouses.Tiny()).Job.Decisions.Spaces.ShouldAllBe(s => s.Circuit == s.Space);
        var counted = Plan(FiveHouses.Tiny(), wish: p => p with { CircuitNumbers = NumberBy.Order });
        counted.Circuits.Select(c => c.Number).ShouldBe(Enumerable.Range(1, counted.Circuits.Length));
    }
}
