using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Commands;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Tests;

// Switches, lights, plates and the reach line.
public partial class BoxTests
{
    [Fact]
    public void A_switch_more_makes_three_ways_of_two_and_a_switch_less_takes_it_back()
    {
        var job = BoxProposal.Propose(
            Sample.House(Sample.Rect("den", RoomKind.Den, 0, 0, 16, 14), Sample.Rect("hall", RoomKind.Hallway, 0, 14.375, 16, 4)) with
            {
                Openings = [Sample.Door("den", 2, 1, to: "hall"), Sample.Door("hall", 2, 6)],
            }
        );
        var more = Done(new AddSwitch("den", job.Openings[0].Id), job);
        var light = First(more, BoxKind.Light, "den").Id;
        more.Decisions.Boxes.SelectMany(b => b.Gangs).Where(g => g.Lights.Contains(light)).ShouldAllBe(g => g.Locations == 2);
        var ways = Analyzer.Analyze(more).Specs.Values.SelectMany(s => s.Ways).Count(w => w == 3);
        ways.ShouldBeGreaterThanOrEqualTo(2);
        var added = more.Decisions.Boxes.First(b => b.By == Origin.Person && b.Kind == BoxKind.Switch);
        var less = Done(new RemoveBox(added.Id), more);
        less.Decisions.Boxes.SelectMany(b => b.Gangs).Where(g => g.Lights.Contains(light)).ShouldAllBe(g => g.Locations <= 1);
    }

    // The door is at the right hand of who stands before the switches: nearest to it, at the right end, is the light outside.
    [Theory]
    [InlineData(End.Start, false)]
    [InlineData(End.Finish, true)]
    public void Gangs_stand_in_the_order_that_a_hand_expects(End hinge, bool doorAtRight)
    {
        var job = BoxProposal.Propose(
            Sample.House(Sample.Rect("den", RoomKind.Den, 0, 0, 12, 12)) with
            {
                Openings = [Sample.Door("den", 2, 4) with { Hinge = hinge }],
                Appliances =
                [
                    new Appliance
                    {
                        Id = "fan",
                        Type = "ceiling-fan",
                        Room = "den",
                        Spot = new Spot
                        {
                            At = Sample.P(6, 6),
                            Width = Length.Feet(1),
                            Depth = Length.Feet(1),
                        },
                    },
                ],
            }
        );
        var house = HouseShape.Of(job);
        var boxes = job.Decisions.Boxes.ToDictionary(b => b.Id);
        var names = job
            .Decisions.Boxes.Single(b => b.Kind == BoxKind.Switch)
            .Gangs.Select(g => LightSets.NameOf(house, boxes, "den", g))
            .ToList();
        names.ShouldBe(doorAtRight ? ["fan", "ceiling light", "outside light"] : ["outside light", "ceiling light", "fan"]);
    }

    [Fact]
    public void Recessed_lights_stand_evenly_and_pendants_on_the_island()
    {
        var job = Sample.House(Sample.Rect("kitchen", RoomKind.Kitchen, 0, 0, 18, 14)) with
        {
            Openings = [Sample.Door("kitchen", 2, 1)],
            Counters =
            [
                new Counter
                {
                    Id = "c",
                    Room = "kitchen",
                    Spot = new Spot
                    {
                        Wall = 0,
                        From = Length.Feet(2),
                        Width = Length.Feet(12),
                        Depth = Length.Inches(25),
                    },
                },
                new Counter
                {
                    Id = "i",
                    Room = "kitchen",
                    Spot = new Spot
                    {
                        At = Sample.P(6, 6),
                        Width = Length.Feet(6),
                        Depth = Length.Feet(3),
                    },
                },
            ],
        };
        var lights = BoxProposal.Propose(job).Decisions.Boxes.Where(b => b.Kind == BoxKind.Light && !b.Outside).ToList();
        lights
            .Where(l => l.Fixture == LightStyle.Pendant)
            .Select(l => l.At!.Value)
            .ShouldBe([Sample.P(7.5, 7.5), Sample.P(10.5, 7.5)], "a quarter and three quarters of the island, on its middle line");
        var counter = lights.Where(l => l.At!.Value.Y == Length.Inches(25)).Select(l => l.At!.Value.X).Order().ToList();
        counter.ShouldBe([Length.Feet(4), Length.Feet(8), Length.Feet(12)], "over the counter's edge, half a space from its ends");
        var hall = BoxProposal
            .Propose(Sample.House(Sample.Rect("hall", RoomKind.Hallway, 0, 0, 18, 4)) with { Openings = [Sample.Door("hall", 2, 1)] })
            .Decisions.Boxes.Where(b => b.Kind == BoxKind.Light && !b.Outside)
            .Select(b => b.At!.Value.X)
            .Order();
        hall.ShouldBe([Length.Feet(3), Length.Feet(9), Length.Feet(15)]);
    }

    [Fact]
    public void The_reach_line_says_where_six_feet_fail()
    {
        var job = Sample.House(Sample.Rect("den", RoomKind.Den, 0, 0, 20, 12)) with { Openings = [Sample.Door("den", 2, 1)] };
        var shape = HouseShape.Of(job)["den"];
        var edition = Codes.CodeLibrary.Edition("us-2023");
        Box At(double feet) =>
            new()
            {
                Id = "b",
                Kind = BoxKind.Receptacle,
                Room = "den",
                Wall = 0,
                Along = Length.Feet(feet),
                Height = Length.Inches(16),
            };
        var pieces = ReachLine.Of(job, edition, shape, [At(10)]);
        pieces
            .Where(p => p.State == ReachState.Served)
            .ShouldHaveSingleItem()
            .ShouldBe(new ReachPiece(shape.Perimeter + Length.Feet(4), shape.Perimeter + Length.Feet(16), false, ReachState.Served));
        ReachLine.Worst(pieces, job.Units).ShouldContain("out of reach");
        var all = BoxProposal.Propose(job).Decisions.Boxes;
        ReachLine.Of(job, edition, shape, all).ShouldAllBe(p => p.State == ReachState.Served);
        var closer = job with { Preferences = job.Preferences with { ReceptacleReach = Length.Feet(3) } };
        ReachLine.Of(closer, edition, shape, all).ShouldContain(p => p.State == ReachState.CloserWanted);
        pieces.Aggregate(Length.Zero, (sum, p) => sum + (p.To - p.From)).ShouldBe(shape.Perimeter - Length.Inches(32));
    }

    [Theory]
    [InlineData(10.0, null, 2400)]
    [InlineData(null, 1900.0, 1900)]
    public void A_plate_says_amperes_or_volt_amperes(double? amperes, double? va, double load)
    {
        var facts = Codes.ApplianceFacts.Of(
            new Job(),
            new Appliance
            {
                Id = "x",
                Type = "well-pump",
                Nameplate = new Nameplate
                {
                    Amperes = amperes,
                    VoltAmperes = va,
                    Continuous = true,
                    OwnCircuit = false,
                },
            }
        );
        facts.Load.Value.ShouldBe(load);
        facts.Continuous(new Preferences()).ShouldBeTrue();
        facts.Own(new Preferences()).ShouldBeFalse();
    }
}
