using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Protection;

namespace Circuitum.Core.Tests;

// Protection, sections and box fill by edition.
public partial class EditionTests
{
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
                .Of(HouseShape.Of(job), CodeLibrary.Edition(edition), box, 120, 20, [box])
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
            ProtectionNeeds.Of(HouseShape.Of(job), CodeLibrary.Edition(edition), box, 120, 20, [box]).Any(n => n.RuleId == "protect.sink");
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
                    Conductors = [new(WireSize.Parse("14"), 15)],
                    Grounds = [new(WireSize.Parse("14"), 7)],
                    Devices = [.. Enumerable.Repeat(new Sizing.DeviceYoke(WireSize.Parse("14")), 4)],
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
            [.. text.Split(',').Select(t => new Sizing.WireCount(WireSize.Parse(t.Split(':')[0]), int.Parse(t.Split(':')[1])))];
        var fill = Sizing.BoxFill.Of(
            new()
            {
                Conductors = Read(wires),
                Grounds = Read(grounds),
                Devices = [new(WireSize.Parse(device), wide)],
            },
            CodeLibrary.Edition("us-2023")
        );
        fill.Inches3.ShouldBe(inches3, 0.001);
        fill.Derivation.Steps.Sum(s => double.Parse(s.Result)).ShouldBe(inches3, 0.001);
    }
}
