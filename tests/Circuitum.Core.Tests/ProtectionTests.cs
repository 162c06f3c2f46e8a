using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Protection;
using Circuitum.Core.Routing;

namespace Circuitum.Core.Tests;

/// <summary>Which box needs which protection, place by place and appliance by appliance.</summary>
public partial class ProtectionTests
{
    private static readonly CodeEdition Us2023 = CodeLibrary.Edition("us-2023");

    private static List<string> Rules(Job job, Box box, int volts = 120, int breaker = 20) =>
        [
            .. ProtectionNeeds
                .Of(HouseShape.Of(job), Us2023, box, volts, breaker, [box])
                .Select(n => n.RuleId)
                .Distinct()
                .Order(StringComparer.Ordinal),
        ];

    private static Job One(RoomKind kind) => Sample.House(Sample.Rect("room", kind, 0, 0, 14, 12));

    private static Box At(double feet, BoxKind kind = BoxKind.Receptacle, string room = "room", int wall = 0) =>
        new()
        {
            Id = "b",
            Kind = kind,
            Room = room,
            Wall = wall,
            Along = Length.Feet(feet),
            Height = Length.Inches(18),
        };

    [Theory]
    [InlineData(RoomKind.Bedroom, "protect.arc")]
    [InlineData(RoomKind.Living, "protect.arc")]
    [InlineData(RoomKind.Family, "protect.arc")]
    [InlineData(RoomKind.Dining, "protect.arc")]
    [InlineData(RoomKind.Den, "protect.arc")]
    [InlineData(RoomKind.Office, "protect.arc")]
    [InlineData(RoomKind.Sunroom, "protect.arc")]
    [InlineData(RoomKind.Recreation, "protect.arc")]
    [InlineData(RoomKind.Closet, "protect.arc")]
    [InlineData(RoomKind.Hallway, "protect.arc")]
    [InlineData(RoomKind.Kitchen, "protect.arc protect.kitchen")]
    [InlineData(RoomKind.Laundry, "protect.arc protect.laundry")]
    [InlineData(RoomKind.Bathroom, "protect.bathroom")]
    [InlineData(RoomKind.Garage, "protect.garage")]
    [InlineData(RoomKind.Porch, "protect.outdoors")]
    [InlineData(RoomKind.Deck, "protect.outdoors")]
    [InlineData(RoomKind.UnfinishedBasement, "protect.basement")]
    [InlineData(RoomKind.Utility, "")]
    public void A_receptacle_by_its_room(RoomKind kind, string rules) => string.Join(" ", Rules(One(kind), At(3))).ShouldBe(rules);

    [Theory]
    [InlineData(RoomKind.Bathroom, BoxKind.Light, "")]
    [InlineData(RoomKind.Garage, BoxKind.Light, "")]
    [InlineData(RoomKind.Kitchen, BoxKind.Light, "protect.arc")]
    [InlineData(RoomKind.Bedroom, BoxKind.Switch, "protect.arc")]
    [InlineData(RoomKind.Bedroom, BoxKind.SmokeAlarm, "protect.arc")]
    public void Lights_switches_and_alarms(RoomKind kind, BoxKind what, string rules) =>
        string.Join(" ", Rules(One(kind), At(3, what))).ShouldBe(rules);

    [Theory]
    [InlineData(120, 15, true)]
    [InlineData(120, 20, true)]
    [InlineData(120, 30, false)]
    [InlineData(240, 20, false)]
    public void Arc_fault_goes_by_voltage_and_rating(int volts, int breaker, bool needed) =>
        Rules(One(RoomKind.Bedroom), At(3), volts, breaker).Contains("protect.arc").ShouldBe(needed);

    [Theory]
    [InlineData(5.9, true)]
    [InlineData(6.1, false)]
    public void Six_feet_from_a_sink_by_the_cord(double feet, bool needed)
    {
        var job = One(RoomKind.Utility) with
        {
            Fixtures =
            [
                new Fixture
                {
                    Id = "s",
                    Kind = FixtureKind.Sink,
                    Room = "room",
                    Spot = new Spot
                    {
                        Wall = 0,
                        From = Length.Zero,
                        Width = Length.Feet(2),
                        Depth = Length.Feet(2),
                    },
                },
            ],
        };
        Rules(job, At(2 + feet)).Contains("protect.sink").ShouldBe(needed);
    }

    [Theory]
    [InlineData(FixtureKind.Tub, true)]
    [InlineData(FixtureKind.Shower, true)]
    [InlineData(FixtureKind.Toilet, false)]
    [InlineData(FixtureKind.Cabinet, false)]
    public void Near_a_tub_or_a_shower(FixtureKind kind, bool needed)
    {
        var job = One(RoomKind.Bedroom) with
        {
            Fixtures =
            [
                new Fixture
                {
                    Id = "s",
                    Kind = kind,
                    Room = "room",
                    Spot = new Spot
                    {
                        Wall = 0,
                        From = Length.Zero,
                        Width = Length.Feet(3),
                        Depth = Length.Feet(3),
                    },
                },
            ],
        };
        Rules(job, At(7)).Contains("protect.tub").ShouldBe(needed);
    }

    [Theory]
    [InlineData(true, true)]
    [InlineData(false, false)]
    public void A_cord_goes_through_a_doorway_and_not_through_a_wall(bool door, bool needed)
    {
        var job = Sample.House(
            Sample.Rect("room", RoomKind.Utility, 0, 0, 10, 10),
            Sample.Rect("next", RoomKind.Utility, 10.375, 0, 10, 10)
        ) with
        {
            Fixtures =
            [
                new Fixture
                {
                    Id = "s",
                    Kind = FixtureKind.Sink,
                    Room = "next",
                    Spot = new Spot
                    {
                        Wall = 0,
                        From = Length.Zero,
                        Width = Length.Feet(2),
                        Depth = Length.Feet(2),
                    },
                },
            ],
            Openings = door ? [Sample.Door("room", 1, 1, to: "next")] : [],
        };
        Rules(job, At(8)).Contains("protect.sink").ShouldBe(needed);
    }

    public static TheoryData<string, RoomKind, int, int, bool?, string> Appliances =>
        new()
        {
            { "range", RoomKind.Utility, 240, 50, null, "protect.appliance" },
            { "dryer", RoomKind.Utility, 240, 30, null, "protect.appliance protect.laundry" },
            { "dishwasher", RoomKind.Utility, 120, 20, true, "protect.appliance" },
            { "microwave", RoomKind.Utility, 120, 20, null, "protect.appliance" },
            { "sump-pump", RoomKind.Utility, 120, 20, null, "protect.sump" },
            { "ev-charger", RoomKind.Utility, 240, 50, false, "protect.charging" },
            { "ev-charger", RoomKind.Utility, 240, 50, true, "" },
            { "ev-charger", RoomKind.Garage, 240, 50, true, "protect.outdoorOutlet" },
            { "ev-charger", RoomKind.Garage, 240, 60, true, "" },
            { "water-heater", RoomKind.Utility, 240, 30, null, "" },
            { "water-heater", RoomKind.Garage, 240, 30, null, "protect.outdoorOutlet" },
            { "furnace", RoomKind.Utility, 120, 20, null, "" },
            { "disposer", RoomKind.Kitchen, 120, 20, false, "protect.arc protect.kitchen" },
            { "disposer", RoomKind.Kitchen, 120, 20, true, "protect.arc" },
            { "garage-door", RoomKind.Garage, 120, 20, null, "protect.garage" },
        };

    [Theory]
    [MemberData(nameof(Appliances))]
    public void An_appliance(string type, RoomKind kind, int volts, int breaker, bool? hardwired, string rules)
    {
        var job = One(kind) with
        {
            Appliances =
            [
                new Appliance
                {
                    Id = "x",
                    Type = type,
                    Room = "room",
                    Spot = new Spot
                    {
                        Wall = 0,
                        From = Length.Feet(5),
                        Width = Length.Feet(2),
                        Depth = Length.Feet(2),
                    },
                    Nameplate = new Nameplate { Hardwired = hardwired },
                },
            ],
        };
        string.Join(" ", Rules(job, At(6, BoxKind.Appliance) with { Appliance = "x" }, volts, breaker)).ShouldBe(rules);
    }

    private static readonly CableRun Chain = new([H(null, "a"), H("a", "b"), H("b", "c"), H("c", "d")]);
}
