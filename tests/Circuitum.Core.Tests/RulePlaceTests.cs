using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Protection;

namespace Circuitum.Core.Tests;

/// <summary>Places by what stands in them, boxes as bodies, stairs flight by flight, and what cuts equipment off.</summary>
public partial class RulePlaceTests
{
    public static TheoryData<string> Editions => [.. CodeLibrary.IdsOf("us")];

    private static JobAnalysis Plan(Job job) => Analyzer.Analyze(Planner.PlanAll(job));

    private static Job Room(string edition, RoomKind kind, params Appliance[] appliances) =>
        Sample.House(Sample.Rect("place", kind, 0, 0, 14, 12)) with
        {
            CodeEdition = edition,
            Openings = [Sample.Door("place", 2, 1)],
            Appliances = [.. appliances],
        };

    private static string Needs(JobAnalysis a, string appliance) =>
        a.Job.Decisions.Boxes.Single(b => b.Appliance == appliance).Id is var id
            ? string.Join(' ', a.CircuitOf(id)!.Needs[id].Select(n => n.Kind == ProtectionKind.ArcFault ? "AF" : "GF").Distinct().Order())
            : "";

    [Theory]
    [InlineData(RoomKind.Utility)]
    [InlineData(RoomKind.Hallway)]
    [InlineData(RoomKind.Closet)]
    [InlineData(RoomKind.Garage)]
    [InlineData(RoomKind.Bathroom)]
    [InlineData(RoomKind.UnfinishedBasement)]
    public void A_washer_makes_a_laundry_area_wherever_it_stands(RoomKind kind)
    {
        foreach (var edition in CodeLibrary.IdsOf("us"))
        {
            var a = Plan(Room(edition, kind, Sample.Thing("w", "washer", "place", 0, 2), Sample.Thing("d", "dryer", "place", 0, 6)));
            Needs(a, "w").ShouldBe("AF GF", $"washer, {edition}");
            Needs(a, "d").ShouldBe(edition == "us-2017" ? "" : "GF", $"dryer, {edition}");
            a.CircuitOf(a.Job.Decisions.Boxes.Single(b => b.Appliance == "w").Id)!.Circuit.Purpose.ShouldBe(CircuitPurpose.Laundry);
        }

        RoomUse
            .InLaundryArea(
                HouseShape.Of(Room("us-2023", RoomKind.Utility)),
                CodeLibrary.Edition("us-2023"),
                new Box
                {
                    Id = "x",
                    Kind = BoxKind.Receptacle,
                    Room = "place",
                    Wall = 0,
                }
            )
            .ShouldBeFalse();
    }

    [Theory]
    [InlineData("us-2017", false)]
    [InlineData("us-2020", false)]
    [InlineData("us-2023", true)]
    public void A_bar_with_a_sink_and_a_cooler_protects_all_its_receptacles_from_2023(string edition, bool needed)
    {
        var job = Room(edition, RoomKind.Recreation, Sample.Thing("cooler", "beverage-cooler", "place", 0, 1));
        job = job with
        {
            Fixtures =
            [
                new Fixture
                {
                    Id = "s",
                    Kind = FixtureKind.Sink,
                    Room = "place",
                    Spot = new Spot
                    {
                        Wall = 0,
                        From = Length.Feet(4),
                        Width = Length.Inches(20),
                        Depth = Length.Inches(18),
                    },
                },
            ],
        };
        var a = Plan(job);
        var far = a.Job.Decisions.Boxes.First(b => b.Kind == BoxKind.Receptacle && b.Wall == 2);
        a.CircuitOf(far.Id)!.Needs[far.Id].Any(n => n.RuleId == "protect.food").ShouldBe(needed);
    }

    [Theory, MemberData(nameof(Editions))]
    public void A_basin_and_a_shower_make_a_bathroom_of_a_bedroom_corner(string edition)
    {
        Fixture At(string id, FixtureKind kind, double feet) =>
            new()
            {
                Id = id,
                Kind = kind,
                Room = "place",
                Spot = new Spot
                {
                    Wall = 0,
                    From = Length.Feet(feet),
                    Width = Length.Feet(2),
                    Depth = Length.Feet(2),
                },
            };
        Job With(params Fixture[] fixtures) => Room(edition, RoomKind.Bedroom) with { Fixtures = [.. fixtures] };
        bool Needed(Job job) =>
            Plan(job) is var a
            && a.Job.Decisions.Boxes.Where(b => b.Kind == BoxKind.Receptacle && b.Wall == 2 && !b.Outside)
                .All(b => a.CircuitOf(b.Id)!.Needs[b.Id].Any(n => n.RuleId == "protect.bathroom"));
        Needed(With(At("b", FixtureKind.Basin, 1), At("s", FixtureKind.Shower, 5))).ShouldBeTrue();
        Needed(With(At("b", FixtureKind.Basin, 1))).ShouldBeFalse();
    }

    [Theory]
    [InlineData("us-2017", false)]
    [InlineData("us-2020", true)]
    [InlineData("us-2023", true)]
    public void A_bedroom_under_grade_is_in_a_basement(string edition, bool needed)
    {
        Job At(double floor) =>
            Room(edition, RoomKind.Bedroom) with
            {
                Storeys =
                [
                    new Storey
                    {
                        Id = "first",
                        Name = "Lowest floor",
                        Floor = Length.Feet(floor),
                    },
                ],
            };
        bool Needed(Job job) =>
            Plan(job) is var a
            && a.Job.Decisions.Boxes.Where(b => b.Kind == BoxKind.Receptacle && !b.Outside)
                .All(b => a.CircuitOf(b.Id)!.Needs[b.Id].Any(n => n.RuleId == "protect.basement"));
        Needed(At(-9)).ShouldBe(needed);
        Needed(At(0)).ShouldBeFalse();
    }

    [Fact]
    public void In_a_studio_the_counter_is_a_kitchens()
    {
        var job = Room("us-2023", RoomKind.Living, Sample.Thing("range", "range", "place", 0, 6)) with
        {
            Counters =
            [
                new Counter
                {
                    Id = "c",
                    Room = "place",
                    Spot = new Spot
                    {
                        Wall = 0,
                        From = Length.Zero,
                        Width = Length.Feet(6),
                        Depth = Length.Inches(25),
                    },
                },
            ],
            Fixtures =
            [
                new Fixture
                {
                    Id = "s",
                    Kind = FixtureKind.Sink,
                    Room = "place",
                    Spot = new Spot
                    {
                        Wall = 0,
                        From = Length.Feet(2),
                        Width = Length.Inches(24),
                        Depth = Length.Inches(20),
                    },
                },
            ],
            Panels =
            [
                new Panel
                {
                    Id = "main",
                    Name = "Main",
                    Room = "place",
                    Wall = 1,
                    Along = Length.Feet(6),
                    Spaces = 30,
                    MainBreaker = 100,
                    BreakerFamily = "A",
                },
            ],
        };
        var a = Plan(job);
        var counter = a
            .Job.Decisions.Boxes.Where(b => b.Kind == BoxKind.Receptacle && b.Wall == 0 && b.Height >= Length.Inches(36))
            .ToList();
        counter.Count.ShouldBeGreaterThan(1);
        counter.Select(b => a.CircuitOf(b.Id)!).ShouldAllBe(c => c.Circuit.Purpose == CircuitPurpose.SmallAppliance);
        counter.Select(b => a.CircuitOf(b.Id)!.Number).Distinct().Count().ShouldBe(2);
    }

    // Told anew: on a face of the dwelling's own that looks south and on one that looks north, or on a porch or deck there.
    [Fact]
    public void Three_hundred_dwellings_have_a_receptacle_at_the_front_and_one_at_the_back_of_their_own()
    {
        foreach (var (seed, a) in HouseSet.All)
        {
            var own = a.House.BuildingOf(a.Job.Panels[0].Room);
            var inside = a.House.Rooms.Where(r => own.Contains(r.Room.Id) && !r.Room.Kind.OpenAir()).ToList();
            var middle = (inside.Min(r => r.MinY).InInches + inside.Max(r => r.MaxY).InInches) / 2;
            var sides = a
                .Job.Decisions.Boxes.Where(b =>
                    b.Kind == BoxKind.Receptacle && own.Contains(b.Room) && (b.Outside || a.Job.KindAt(b).OpenAir())
                )
                .Select(b =>
                    b.Outside ? LabelWriter.Facing(a.House[b.Room], b.Wall!.Value)
                    : Places.Of(a.House, b).Y.InInches > middle ? "south"
                    : "north"
                )
                .ToHashSet();
            new[] { "north", "south" }.ShouldBeSubsetOf(sides, $"house {seed}");
        }
    }

    [Theory]
    [InlineData(-9.0, true)]
    [InlineData(0.0, false)]
    public void A_utility_room_in_a_basement_has_a_receptacle(double floor, bool needed)
    {
        var whole = Sample.Whole();
        var job = Planner.PlanAll(
            whole with
            {
                Storeys =
                [
                    .. whole.Storeys,
                    new Storey
                    {
                        Id = "below",
                        Name = "Below",
                        Floor = Length.Feet(floor == 0 ? 9 : floor),
                    },
                ],
                Rooms = [.. whole.Rooms, Sample.Rect("plant", RoomKind.Utility, 2, 2, 8, 8) with { Storey = "below" }],
            }
        );
        job.Decisions.Boxes.Any(b => b.Room == "plant" && b.Kind == BoxKind.Receptacle).ShouldBe(needed);
        var bare = job with
        {
            Decisions = job.Decisions with
            {
                Boxes = job.Decisions.Boxes.RemoveAll(b => b.Room == "plant" && b.Kind == BoxKind.Receptacle),
                Circuits = [],
            },
        };
        Analyzer.Analyze(bare).Findings.Any(f => f.RuleId == "box.basement").ShouldBe(needed);
    }
}
