using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Protection;
using Circuitum.Core.Routing;

namespace Circuitum.Core.Tests;

/// <summary>Which box needs which protection, place by place and appliance by appliance.</summary>
public class ProtectionTests
{
    private static readonly CodeEdition Us2023 = CodeLibrary.Edition("us-2023");

    private static List<string> Rules(Job job, Box box, int volts = 120, int breaker = 20) =>
        [
            .. ProtectionNeeds
                .Of(HouseShape.Of(job), Us2023, box, volts, breaker)
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

    [Theory]
    [InlineData(true, null, ProtectionPlace.FirstReceptacle, false)]
    [InlineData(true, ProtectionPlace.FirstReceptacle, ProtectionPlace.Breaker, true)]
    [InlineData(false, null, ProtectionPlace.FirstReceptacle, true)]
    [InlineData(false, null, ProtectionPlace.Breaker, false)]
    [InlineData(false, ProtectionPlace.Breaker, ProtectionPlace.FirstReceptacle, false)]
    public void The_place_of_ground_fault_protection(bool arc, ProtectionPlace? chosen, ProtectionPlace preferred, bool inReceptacle) =>
        ProtectionPlan.InReceptacle(arc, chosen, new() { GroundFault = preferred }).ShouldBe(inReceptacle);

    private static Hop H(string? from, string to, double feet = 10) => new(from, to, Length.Feet(feet), Length.Feet(feet));

    private static readonly RunEstimate Chain = new([H(null, "a"), H("a", "b"), H("b", "c"), H("c", "d")]);

    /// <summary>
    /// A chain a, b, c, d of receptacles; the needs are given as letters, small for ground-fault and large for arc-fault.
    /// </summary>
    private static ProtectionCase Case(string needs, Preferences wishes) =>
        new()
        {
            Needs = "abcd".ToDictionary(
                b => $"{b}",
                b =>
                    (System.Collections.Immutable.ImmutableArray<ProtectionNeed>)
                        [
                            .. needs.Contains(b)
                                ? [new ProtectionNeed(ProtectionKind.GroundFault, "protect.kitchen", "", "")]
                                : Array.Empty<ProtectionNeed>(),
                            .. needs.Contains(char.ToUpperInvariant(b))
                                ? [new ProtectionNeed(ProtectionKind.ArcFault, "protect.arc", "", "")]
                                : Array.Empty<ProtectionNeed>(),
                        ]
            ),
            Boxes = [.. "abcd".Select(b => At(3) with { Id = $"{b}" })],
            Volts = 120,
            Wishes = wishes,
            Run = Chain,
            RunFrom = first =>
                first == "a"
                    ? Chain
                    : new([H(null, first, 40), .. Chain.Hops.Where(h => h.To != first).Select(h => h with { From = first })]),
            FirstOutletCite = "210.12(A)(5)",
        };

    public static TheoryData<string, string, string, string> Devices =>
        new()
        {
            // needs, preference, devices, covered by the last one
            { "", "receptacle", "", "" },
            { "A", "receptacle", "AFCI", "abcd" },
            { "abcd", "receptacle", "GFCI receptacle", "abcd" },
            { "cd", "receptacle", "GFCI receptacle", "cd" },
            { "d", "receptacle", "GFCI receptacle", "d" },
            { "bd", "receptacle", "GFCI receptacle", "bcd" },
            { "abcd", "breaker", "GFCI", "abcd" },
            { "aB", "receptacle", "AFCI/GFCI", "abcd" },
            { "cB", "two", "AFCI + GFCI receptacle", "cd" },
            { "AB", "outlet", "AFCI", "abcd" },
            { "AB", "outlet metal", "AFCI receptacle", "abcd" },
            { "Ab", "outlet metal", "AFCI/GFCI receptacle", "abcd" },
        };

    [Theory]
    [MemberData(nameof(Devices))]
    public void The_devices_of_a_chain(string needs, string preference, string mark, string covered)
    {
        var wishes = new Preferences
        {
            GroundFault = preference == "breaker" ? ProtectionPlace.Breaker : ProtectionPlace.FirstReceptacle,
            BothKinds = preference == "two" ? BothKinds.BreakerAndReceptacle : BothKinds.DualFunction,
            ArcFault = preference.StartsWith("outlet", StringComparison.Ordinal) ? ArcFaultPlace.FirstOutlet : ArcFaultPlace.Breaker,
            HomeRunMethod = preference.EndsWith("metal", StringComparison.Ordinal) ? HomeRunMethod.Metal : HomeRunMethod.Sheathed,
        };
        var (got, _) = ProtectionPlan.Of(Case(needs, wishes));
        got.Mark.ShouldBe(mark);
        string.Concat(got.Devices.LastOrDefault()?.Covers ?? []).ShouldBe(covered);
        got.Reason.ShouldEndWith(".");
    }

    [Fact]
    public void What_is_fed_from_the_line_side_is_not_protected()
    {
        // Device at b, c on its load terminals and d through c; then c pigtailed on the line side.
        ProtectionPlan.Load(Chain, "b", []).Order().ShouldBe(["b", "c", "d"]);
        ProtectionPlan.Load(Chain, "b", ["c"]).ShouldBe(["b"]);
        var spared = ProtectionPlan.Of(Case("ab", new()) with { LineSide = ["c"] }).Protection;
        string.Concat(spared.Devices.Single().Covers).ShouldBe("ab");
    }

    [Fact]
    public void No_receptacle_in_reach_takes_the_breaker()
    {
        var behind = Case("ab", new()) with { Boxes = [.. "abcd".Select(b => At(3, BoxKind.Appliance) with { Id = $"{b}" })] };
        ProtectionPlan.Of(behind).Protection.Mark.ShouldBe("GFCI");
    }

    [Fact]
    public void Leading_the_cable_to_a_receptacle_first_must_be_cheaper_than_the_breaker()
    {
        // Only d can hold the device and a needs it too: 120 ft more cable, or 3 ft more.
        ProtectionCase At(double feet) =>
            Case("ad", new()) with
            {
                Boxes = [.. "abcd".Select(b => ProtectionTests.At(3, b == 'd' ? BoxKind.Receptacle : BoxKind.Light) with { Id = $"{b}" })],
                RunFrom = first => new([H(null, first, feet), H(first, "c"), H("c", "b"), H("b", "a")]),
            };
        ProtectionPlan.Of(At(130)).Protection.Mark.ShouldBe("GFCI");
        ProtectionPlan
            .Of(At(13))
            .ShouldSatisfyAllConditions(x => x.Protection.Mark.ShouldBe("GFCI receptacle"), x => x.Run.First.ShouldBe("d"));
        ProtectionPlan.Of(At(130) with { Chosen = ProtectionPlace.FirstReceptacle }).Protection.Mark.ShouldBe("GFCI receptacle");
    }
}
