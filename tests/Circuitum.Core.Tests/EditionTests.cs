using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Protection;

namespace Circuitum.Core.Tests;

/// <summary>What the editions of 2017, 2020 and 2023 ask for differently, rule by rule.</summary>
public class EditionTests
{
    private static Job Kitchen(string edition, double width, double depth, bool peninsula = false) =>
        Sample.House(Sample.Rect("kitchen", RoomKind.Kitchen, 0, 0, 20, 16)) with
        {
            CodeEdition = edition,
            Openings = [Sample.Door("kitchen", 2, 1)],
            Counters =
            [
                new Counter
                {
                    Id = "c",
                    Room = "kitchen",
                    Peninsula = peninsula,
                    Spot = peninsula
                        ? new Spot
                        {
                            Wall = 0,
                            From = Length.Feet(8),
                            Width = Length.Inches(width),
                            Depth = Length.Inches(depth),
                        }
                        : new Spot
                        {
                            At = Sample.P(7, 5),
                            Width = Length.Inches(width),
                            Depth = Length.Inches(depth),
                        },
                },
            ],
        };

    // By hand: 6 x 3 ft = 18 sq ft: first 9, then one for 9 of 18: 2. 27 sq ft: 2; 27.1: 3. 24 x 11 in is under the size of 2017.
    [Theory]
    [InlineData("us-2023", 72, 36, 0, 1)]
    [InlineData("us-2020", 72, 36, 2, 0)]
    [InlineData("us-2020", 36, 36, 1, 0)]
    [InlineData("us-2020", 108, 36, 2, 0)]
    [InlineData("us-2020", 108.5, 36, 3, 0)]
    [InlineData("us-2017", 108, 36, 1, 0)]
    [InlineData("us-2017", 24, 12, 1, 0)]
    [InlineData("us-2017", 24, 11, 0, 0)]
    public void An_island_gets_what_its_edition_asks(string edition, double width, double depth, int receptacles, int provisions)
    {
        var job = Planner.PlanAll(Kitchen(edition, width, depth));
        var on = job
            .Decisions.Boxes.Where(b => b.Room == "kitchen" && b.Wall is null && b.Kind is BoxKind.Receptacle or BoxKind.Provision)
            .ToList();
        on.Count(b => b.Kind == BoxKind.Receptacle).ShouldBe(receptacles);
        on.Count(b => b.Kind == BoxKind.Provision).ShouldBe(provisions);
        Analyzer.Analyze(job).Findings.ShouldNotContain(f => f.RuleId == "box.island");
        var bare = Analyzer.Analyze(job.Without(b => on.Any(o => o.Id == b.Id)));
        bare.Findings.Any(f => f.RuleId == "box.island").ShouldBe(receptacles + provisions > 0);
    }

    [Fact]
    public void A_peninsula_has_one_near_its_outer_end_in_2020()
    {
        var job = Planner.PlanAll(Kitchen("us-2020", 36, 72, peninsula: true));
        Analyzer.Analyze(job).Findings.ShouldNotContain(f => f.RuleId == "box.island");
        var shape = HouseShape.Of(job)["kitchen"];
        Box Near(double fromWall) =>
            new()
            {
                Id = "kitchen.x9",
                Kind = BoxKind.Receptacle,
                Room = "kitchen",
                At = shape.On(0, Length.Feet(9.5), fromWall),
                Height = Length.Inches(28),
                By = Maker.Person,
            };
        var on = job.Decisions.Boxes.Where(b => b.Wall is null && b.Kind == BoxKind.Receptacle).Select(b => b.Id).ToHashSet();
        bool Told(params double[] places) =>
            Analyzer
                .Analyze(
                    job.Boxes(all =>
                        [.. all.Where(b => !on.Contains(b.Id)), .. places.Select((p, i) => Near(p) with { Id = $"kitchen.x{i}" })]
                    )
                )
                .Findings.Any(f => f.RuleId == "box.island" && f.Sentence.Contains("outer end", StringComparison.Ordinal));
        Told(20, 40).ShouldBeTrue("40 in out leaves 32 in to the end");
        Told(20, 60).ShouldBeFalse();
    }

    [Theory]
    [InlineData("us-2017", 30, false)]
    [InlineData("us-2017", 20, true)]
    [InlineData("us-2020", 30, false)]
    [InlineData("us-2020", 20, true)]
    [InlineData("us-2023", 30, true)]
    [InlineData("us-2023", 37, false)]
    public void Below_the_top_of_an_island(string edition, double height, bool told)
    {
        var job = Kitchen(edition, 36, 36) with
        {
            Decisions = new Decisions
            {
                Boxes =
                [
                    new Box
                    {
                        Id = "kitchen.r1",
                        Kind = BoxKind.Receptacle,
                        Room = "kitchen",
                        At = Sample.P(8, 6),
                        Height = Length.Inches(height),
                        By = Maker.Person,
                    },
                ],
            },
        };
        Analyzer
            .Analyze(job)
            .Findings.Any(f => f.RuleId == "box.island" && f.Sentence.Contains("below", StringComparison.Ordinal))
            .ShouldBe(told);
    }

    // The zone of 3 ft is of 2020; in 2017 only inside and over the tub is barred.
    [Theory]
    [InlineData("us-2017", 30, false)]
    [InlineData("us-2017", 0, true)]
    [InlineData("us-2020", 30, true)]
    [InlineData("us-2020", 40, false)]
    [InlineData("us-2023", 30, true)]
    public void Tub_zone(string edition, double inches, bool told)
    {
        var job = Sample.House(Sample.Rect("bath", RoomKind.Bathroom, 0, 0, 12, 9)) with
        {
            CodeEdition = edition,
            Fixtures =
            [
                new Fixture
                {
                    Id = "tub",
                    Kind = FixtureKind.Tub,
                    Room = "bath",
                    Spot = new Spot
                    {
                        Wall = 0,
                        From = Length.Zero,
                        Width = Length.Feet(5),
                        Depth = Length.Inches(30),
                    },
                },
            ],
            Decisions = new Decisions
            {
                Boxes =
                [
                    new Box
                    {
                        Id = "bath.r1",
                        Kind = BoxKind.Receptacle,
                        Room = "bath",
                        Wall = 0,
                        Along = Length.Feet(5) + Length.Inches(inches),
                        Height = Length.Inches(44),
                    },
                ],
            },
        };
        Analyzer.Analyze(job).Findings.Any(f => f.RuleId == "box.tub").ShouldBe(told);
    }

    [Theory]
    [InlineData("us-2017", false)]
    [InlineData("us-2020", true)]
    [InlineData("us-2023", true)]
    public void A_fan_box_is_wanted_where_a_fan_is_likely(string edition, bool fan)
    {
        var job = Planner.PlanAll(
            Sample.House(Sample.Rect("bed", RoomKind.Bedroom, 0, 0, 12, 12)) with
            {
                CodeEdition = edition,
                Openings = [Sample.Door("bed", 2, 1)],
            }
        );
        var light = job.Decisions.Boxes.Single(b => b.Kind == BoxKind.Light && !b.Outside);
        Analyzer.Analyze(job).Specs[light.Id].FanRated.ShouldBe(fan);
        var plain = job.Change(b => b.Id == light.Id, b => b with { Size = "nm-round-20" });
        Analyzer.Analyze(plain).Findings.Any(f => f.RuleId == "box.fan").ShouldBe(fan);
    }

    // The three lines that every electrician asks first, and what hardwired equipment needs.
    [Theory]
    [InlineData("dryer", RoomKind.Laundry, false, false, true, true)]
    [InlineData("cooktop", RoomKind.Kitchen, true, false, false, true)]
    [InlineData("range", RoomKind.Living, false, false, false, true)]
    [InlineData("dishwasher", RoomKind.Living, true, true, true, true)]
    [InlineData("refrigerator", RoomKind.Kitchen, false, false, false, true)]
    [InlineData("sump-pump", RoomKind.Utility, false, false, true, true)]
    [InlineData("ev-charger", RoomKind.Garage, true, false, false, true)]
    [InlineData("hot-tub", RoomKind.Deck, true, true, true, true)]
    [InlineData("well-pump", RoomKind.Deck, true, false, true, true)]
    public void Ground_fault_protection_of_an_appliance(string type, RoomKind room, bool hardwired, bool in2017, bool in2020, bool in2023)
    {
        foreach (var (edition, needed) in new[] { ("us-2017", in2017), ("us-2020", in2020), ("us-2023", in2023) })
        {
            var job = Planner.PlanAll(
                Sample.House(Sample.Rect("place", room, 0, 0, 20, 12)) with
                {
                    CodeEdition = edition,
                    Appliances =
                    [
                        new Appliance
                        {
                            Id = "a",
                            Type = type,
                            Room = "place",
                            Spot = new Spot
                            {
                                Wall = 0,
                                From = Length.Feet(3),
                                Width = Length.Feet(2),
                                Depth = Length.Feet(2),
                            },
                            Nameplate = new Nameplate { Hardwired = hardwired },
                        },
                    ],
                }
            );
            var a = Analyzer.Analyze(job);
            var box = job.Decisions.Boxes.Single(b => b.Appliance == "a");
            a.CircuitOf(box.Id)!.Needs[box.Id].Any(n => n.Kind == ProtectionKind.GroundFault).ShouldBe(needed, edition);
        }
    }

    [Theory]
    [InlineData(RoomKind.FinishedBasement, false, true, true)]
    [InlineData(RoomKind.UnfinishedBasement, true, true, true)]
    [InlineData(RoomKind.Bathroom, true, true, true)]
    [InlineData(RoomKind.Garage, true, true, true)]
    [InlineData(RoomKind.AccessoryBuilding, true, true, true)]
    [InlineData(RoomKind.Kitchen, false, false, true)]
    [InlineData(RoomKind.Bedroom, false, false, false)]
    public void Ground_fault_protection_of_a_wall_receptacle(RoomKind kind, bool in2017, bool in2020, bool in2023)
    {
        foreach (var (edition, needed) in new[] { ("us-2017", in2017), ("us-2020", in2020), ("us-2023", in2023) })
        {
            var job = Sample.House(Sample.Rect("place", kind, 0, 0, 20, 12));
            var box = new Box
            {
                Id = "b",
                Kind = BoxKind.Receptacle,
                Room = "place",
                Wall = 0,
                Along = Length.Feet(4),
                Height = Length.Inches(16),
            };
            ProtectionNeeds
                .Of(HouseShape.Of(job), CodeLibrary.Edition(edition), box, 120, 20)
                .Any(n => n.Kind == ProtectionKind.GroundFault)
                .ShouldBe(needed, edition);
        }
    }

    [Fact]
    public void Through_a_door_a_cord_is_measured_from_2020_on()
    {
        var job = Sample.House(Sample.Rect("wet", RoomKind.Utility, 0, 0, 8, 8), Sample.Rect("hall", RoomKind.Hallway, 8.375, 0, 6, 8)) with
        {
            Openings = [Sample.Door("wet", 1, 3, to: "hall")],
            Fixtures =
            [
                new Fixture
                {
                    Id = "sink",
                    Kind = FixtureKind.Sink,
                    Room = "wet",
                    Spot = new Spot
                    {
                        Wall = 1,
                        From = Length.Feet(6),
                        Width = Length.Feet(2),
                        Depth = Length.Feet(2),
                    },
                },
            ],
        };
        var box = new Box
        {
            Id = "b",
            Kind = BoxKind.Receptacle,
            Room = "hall",
            Wall = 3,
            Along = Length.Feet(1.5),
            Height = Length.Inches(16),
        };
        bool Needs(string edition) =>
            ProtectionNeeds.Of(HouseShape.Of(job), CodeLibrary.Edition(edition), box, 120, 20).Any(n => n.RuleId == "protect.sink");
        Needs("us-2017").ShouldBeFalse();
        Needs("us-2020").ShouldBeTrue();
        Needs("us-2023").ShouldBeTrue();
    }

    [Theory]
    [InlineData("us-2017", "210.8(A)(9)", "210.12(A)", "310.15(B)(3)(a)", "310.15(B)(7)", "210.11(A), 220.12")]
    [InlineData("us-2020", "210.8(A)(9)", "210.12(A)", "310.15(C)(1)", "310.12", "210.11(A), 220.14(J)")]
    [InlineData("us-2023", "210.8(A)(10)", "210.12(B)", "310.15(C)(1)", "310.12", "210.11(A), 220.41")]
    public void Each_edition_cites_its_own_sections(string edition, string tub, string arc, string count, string service, string general)
    {
        var e = CodeLibrary.Edition(edition);
        (
            e.Cite("protect.tub"),
            e.Cite("protect.arc"),
            e.Cite("wire.count"),
            e.Cite("service.conductor"),
            e.Cite("circuit.generalCount")
        ).ShouldBe((tub, arc, count, service, general));
        e.Rules.Keys.Order().ShouldBe(CodeLibrary.Edition("us-2023").Rules.Keys.Order());
        e.Breakers.Contains(10).ShouldBe(edition == "us-2023");
    }

    // Case: four-gang box with clamps, six 14-2 and one 14-3, four switches: 51.50 in3, in 2017 50.00.
    [Theory]
    [InlineData("us-2017", 50.00)]
    [InlineData("us-2020", 51.50)]
    [InlineData("us-2023", 51.50)]
    public void Many_grounds(string edition, double inches3) =>
        Sizing
            .BoxFill.Of(
                new()
                {
                    Conductors = [new("14", 15)],
                    Grounds = [new("14", 7)],
                    Devices = [.. Enumerable.Repeat(new Sizing.DeviceYoke("14"), 4)],
                    Clamps = true,
                },
                CodeLibrary.Edition(edition)
            )
            .Inches3.ShouldBe(inches3, 0.001);

    [Theory]
    [InlineData("14:4", "14:2", "14", false, 14.00)]
    [InlineData("12:2,14:4", "12:1,14:2", "14", false, 18.75)]
    [InlineData("12:2,14:4", "12:1,14:2", "12", false, 19.25)]
    [InlineData("6:3", "10:1", "6", true, 37.50)]
    public void Box_fill_line_by_line(string wires, string grounds, string device, bool wide, double inches3)
    {
        static System.Collections.Immutable.ImmutableArray<Sizing.WireCount> Read(string text) =>
            [.. text.Split(',').Select(t => new Sizing.WireCount(t.Split(':')[0], int.Parse(t.Split(':')[1])))];
        var fill = Sizing.BoxFill.Of(
            new()
            {
                Conductors = Read(wires),
                Grounds = Read(grounds),
                Devices = [new(device, wide)],
            },
            CodeLibrary.Edition("us-2023")
        );
        fill.Inches3.ShouldBe(inches3, 0.001);
        fill.Derivation.Steps.Sum(s => double.Parse(s.Result)).ShouldBe(inches3, 0.001);
    }
}
