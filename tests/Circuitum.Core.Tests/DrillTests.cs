using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Tests;

/// <summary>Holes, plates, seals and staples from the ways of the cables.</summary>
public class DrillTests
{
    // Receptacles in given places of one room over a slab, on one circuit, fed from a panel on its first wall.
    private static JobAnalysis House(Func<Job, Job>? with = null, params (int Wall, double Feet)[] boxes)
    {
        var room = Sample.Rect("a", RoomKind.Bedroom, 0, 0, 20, 12);
        var job = Sample.House(room) with
        {
            Frame = new() { Under = Under.Slab },
            Panels =
            [
                new Panel
                {
                    Id = "main",
                    Name = "Main",
                    Room = "a",
                    Wall = 0,
                    Along = Length.Feet(0.5),
                    BreakerFamily = "A",
                },
            ],
            Decisions = new()
            {
                Boxes =
                [
                    .. boxes.Select(
                        (b, i) =>
                            new Box
                            {
                                Id = $"b{i}",
                                Kind = BoxKind.Receptacle,
                                Room = "a",
                                Wall = b.Wall,
                                Along = Length.Feet(b.Feet),
                                Height = Length.Inches(16),
                            }
                    ),
                ],
            },
        };
        job = job with
        {
            Decisions = job.Decisions with
            {
                Circuits =
                [
                    new Circuit
                    {
                        Number = 1,
                        Purpose = CircuitPurpose.Receptacles,
                        Boxes = [.. job.Decisions.Boxes.Select(b => new CircuitBox { Box = b.Id })],
                    },
                ],
            },
        };
        return Analyzer.Analyze(with is null ? job : with(job));
    }

    private static DrillLine Studs(JobAnalysis a) => DrillList.Of(a).Lines.Single(l => l.Where.Contains("studs", StringComparison.Ordinal));

    [Fact]
    public void Each_stud_between_two_boxes_has_a_hole()
    {
        // From 2 ft to 10 ft along a wall with studs every 16 in: at 32, 48, 64, 80, 96 and 112 in.
        var line = Studs(House(null, (0, 2), (0, 10)));
        (line.Holes, line.Cables, line.Fullest).ShouldBe((6, 6, 1));
        line.Where.ShouldBe("a, north wall, 2x6 studs, bearing");
        Studs(House(j => j with { Frame = j.Frame with { StudSpacing = Length.Inches(24) } }, (0, 2), (0, 10))).Holes.ShouldBe(3);
    }

    [Fact]
    public void A_hole_in_a_2x4_keeps_its_distance_to_the_face_and_one_full_of_cables_wants_a_plate()
    {
        // Six circuits, each with a box at either end of the wall: six cables through every stud between.
        JobAnalysis Of(WallBuild build, int perHole) =>
            House(
                j =>
                    j with
                    {
                        Walls =
                        [
                            new WallFact
                            {
                                Room = "a",
                                Wall = 0,
                                Build = build,
                                Thickness = Length.Inches(4.5),
                            },
                        ],
                        Preferences = new()
                        {
                            CablesPerHole = perHole,
                            Weights = new() { Hole = 1_000_000 },
                        },
                        Decisions = j.Decisions with
                        {
                            Circuits =
                            [
                                .. Enumerable
                                    .Range(0, 6)
                                    .Select(n => new Circuit
                                    {
                                        Number = n + 1,
                                        Purpose = CircuitPurpose.Receptacles,
                                        Breaker = 30,
                                        Boxes = [new CircuitBox { Box = $"b{n}" }, new CircuitBox { Box = $"b{n + 6}" }],
                                    }),
                            ],
                        },
                    },
                [.. Enumerable.Range(0, 6).Select(n => (0, 2 + (n * 0.1))), .. Enumerable.Range(0, 6).Select(n => (0, 10 + (n * 0.1)))]
            );
        Studs(Of(WallBuild.Wood2x4, 2)).Note.ShouldBe("in the middle: no nail plate");
        var full = DrillList.Of(Of(WallBuild.Wood2x4, 6));
        full.Lines.Single(l => l.Where.Contains("studs"))
            .ShouldSatisfyAllConditions(l => l.Fullest.ShouldBe(6), l => l.Note.ShouldBe("nail plate at each"));
        full.Plates.ShouldBe(full.Lines.Single(l => l.Where.Contains("studs")).Holes);
        Studs(Of(WallBuild.MetalStud, 2)).Note.ShouldBe("bushings in the holes");
    }

    [Fact]
    public void The_top_plate_has_a_hole_where_cable_goes_up_and_one_where_it_comes_down()
    {
        var plates = DrillList.Of(House(null, (2, 10))).Lines.Single(l => l.Where == "Top plates, First floor");
        (plates.Holes, plates.Cables).ShouldBe((2, 2));
        plates.Note.ShouldNotContain("seal");
    }

    [Fact]
    public void More_cables_than_the_job_wants_in_a_hole_take_another_one()
    {
        // Four circuits go up at the panel.
        JobAnalysis Of(int perHole) =>
            House(
                j =>
                    j with
                    {
                        Preferences = new() { CablesPerHole = perHole },
                        Decisions = j.Decisions with
                        {
                            Circuits =
                            [
                                .. j.Decisions.Boxes.Select(
                                    (b, i) =>
                                        new Circuit
                                        {
                                            Number = i + 1,
                                            Purpose = CircuitPurpose.Receptacles,
                                            Boxes = [new CircuitBox { Box = b.Id }],
                                        }
                                ),
                            ],
                        },
                    },
                (2, 4),
                (2, 8),
                (2, 12),
                (2, 16)
            );
        DrillLine Plates(int perHole) => DrillList.Of(Of(perHole)).Lines.Single(l => l.Where == "Top plates, First floor");
        (Plates(3).Holes, Plates(3).Fullest).ShouldBe((2 + 4, 3));
        (Plates(4).Holes, Plates(4).Fullest).ShouldBe((1 + 4, 4));
        (Plates(1).Holes, Plates(1).Fullest).ShouldBe((8, 1));
        Plates(4).BitSixteenths.ShouldBeGreaterThan(Plates(1).BitSixteenths);
    }

    [Fact]
    public void Between_storeys_holes_are_sealed_and_joists_are_drilled_where_their_run_is_known()
    {
        Job Two(JoistRun? joists) =>
            Planner.PlanAll(
                Sample.House(
                    Sample.Rect("a", RoomKind.Living, 0, 0, 24, 14) with
                    {
                        Joists = joists,
                        JoistDepth = Length.Inches(9.25),
                    },
                    Sample.Rect("u", RoomKind.Bedroom, 0, 0, 24, 14, "second")
                ) with
                {
                    Frame = new() { Under = Under.Slab },
                    Storeys =
                    [
                        new Storey { Id = "first", Name = "First floor" },
                        new Storey
                        {
                            Id = "second",
                            Name = "Second floor",
                            Floor = Length.Feet(9),
                        },
                    ],
                    Openings = [Sample.Door("a", 0, 3), Sample.Door("u", 0, 3)],
                    Panels =
                    [
                        new Panel
                        {
                            Id = "main",
                            Name = "Main",
                            Room = "a",
                            Wall = 2,
                            Along = Length.Feet(2),
                            BreakerFamily = "A",
                        },
                    ],
                }
            );
        var unknown = DrillList.Of(Analyzer.Analyze(Two(null)));
        unknown.Seals.ShouldBeGreaterThan(0);
        unknown.JoistsUnknown.ShouldBe(["a"]);
        unknown.Lines.ShouldNotContain(l => l.Where.StartsWith("Joists"));
        int Joists(JoistRun run) =>
            DrillList
                .Of(Analyzer.Analyze(Two(run)))
                .Lines.Where(l => l.Where.StartsWith("Joists over a, 9 1/4\" deep", StringComparison.Ordinal))
                .Sum(l => l.Holes);
        (Joists(JoistRun.EastWest) + Joists(JoistRun.NorthSouth)).ShouldBeGreaterThan(0);
    }

    // A garage beside a bedroom, both on one storey: what goes up the wall between them, or over it, opens one to the other.
    [Fact]
    public void Holes_between_garage_and_house_are_sealed_and_others_of_one_storey_are_not()
    {
        DrillList Of(RoomKind beside) =>
            DrillList.Of(
                Analyzer.Analyze(
                    Planner.PlanAll(
                        Sample.House(Sample.Rect("a", RoomKind.Bedroom, 0, 0, 14, 12), Sample.Rect("g", beside, 14, 0, 22, 20)) with
                        {
                            Frame = new() { Under = Under.Slab },
                            Openings = [Sample.Door("a", 0, 3), Sample.Door("g", 0, 3)],
                            Panels =
                            [
                                new Panel
                                {
                                    Id = "main",
                                    Name = "Main",
                                    Room = "g",
                                    Wall = 1,
                                    Along = Length.Feet(5),
                                    BreakerFamily = "A",
                                },
                            ],
                        }
                    )
                )
            );
        var garage = Of(RoomKind.Garage);
        garage.Seals.ShouldBeGreaterThan(0);
        garage.Lines.Where(l => l.Sealed).ShouldAllBe(l => l.Where.Contains("between garage and house") && l.Note.Contains("seal"));
        garage.InWords(new()).ShouldContain("into the garage");
        Of(RoomKind.Living).Seals.ShouldBe(0);
    }

    [Theory]
    [InlineData(10, "5/8 in")]
    [InlineData(12, "3/4 in")]
    [InlineData(16, "1 in")]
    [InlineData(18, "1-1/8 in")]
    public void A_bit_is_named_as_it_is_marked(int sixteenths, string name) =>
        new DrillLine("", 1, 1, 1, sixteenths, "").Bit.ShouldBe(name);

    [Fact]
    public void Staples_grow_as_they_stand_closer()
    {
        int At(double feet) =>
            DrillList.Of(House(j => j with { Preferences = new() { StapleEvery = Length.Feet(feet) } }, (2, 10))).Staples;
        At(2).ShouldBeGreaterThan(At(4));
    }

    // Thick cables on one wall, and a crew that puts many in one hole: the member says how many.
    [Theory]
    [InlineData(3)]
    [InlineData(8)]
    public void No_hole_is_larger_than_its_member_allows(int perHole)
    {
        foreach (
            var a in HouseSet.All.Take(40).Select(h => h.House).Append(Analyzer.Analyze(Planner.PlanAll(GeneratedHouse.MakeWithShed(5433))))
        )
        {
            var house = a with { Job = a.Job with { Preferences = a.Job.Preferences with { CablesPerHole = perHole } } };
            var list = DrillList.Of(house);
            list.Lines.Where(l => l.TooLarge).Select(l => $"{l.Where}: {l.Bit}").ShouldBeEmpty(a.Job.Name);
            list.Lines.Max(l => l.Fullest).ShouldBeInRange(2, perHole);
            list.Holes.ShouldBe(list.Lines.Sum(l => l.Holes));
        }
    }
}
