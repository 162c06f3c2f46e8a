using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Commands;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Tests;

public class LayoutTests
{
    private static int WallReceptacles(Job job, string room) =>
        BoxProposal.Propose(job).Decisions.Boxes.Count(b => b.Kind == BoxKind.Receptacle && b.Room == room && !b.Outside);

    [Theory]
    [InlineData(0.5)]
    [InlineData(4.6666667)]
    [InlineData(8.5)]
    public void A_12_by_11_bedroom_with_a_closet_opposite_the_door_takes_four(double door)
    {
        var job = Sample.House(Sample.Rect("bedroom", RoomKind.Bedroom, 0, 0, 12, 11)) with
        {
            Openings = [Sample.Door("bedroom", 0, door), Sample.Door("bedroom", 2, 3, 6, kind: OpeningKind.Cased)],
        };
        WallReceptacles(job, "bedroom").ShouldBe(4);
    }

    [Theory]
    [InlineData(300, 3)]
    [InlineData(156, 2)]
    [InlineData(144, 1)]
    [InlineData(145, 2)]
    [InlineData(24, 1)]
    public void Fewest_on_an_unbroken_wall(double inches, int count) =>
        Cover.Fewest(Length.Inches(inches), Length.Feet(6), [], _ => 0, Length.Inches(2)).Length.ShouldBe(count);

    [Fact]
    public void A_23_inch_wall_between_doors_is_no_wall_space()
    {
        var job = Sample.House(Sample.Rect("den", RoomKind.Den, 0, 0, 20, 12)) with
        {
            Openings = [Sample.Door("den", 0, 0.5, 6), Sample.Door("den", 0, 6.5 + (23 / 12.0), 6)],
        };
        var shape = HouseShape.Of(job)["den"];
        WallSpaces.Of(shape, job, Length.Feet(2)).Length.ShouldBe(1);
        WallSpaces.Of(shape, job, Length.Inches(23)).Length.ShouldBe(2);
    }

    [Fact]
    public void The_count_is_the_fewest_possible_whatever_stands_already()
    {
        var random = new Random(7);
        for (var n = 0; n < 300; n++)
        {
            var length = Length.Inches(random.Next(24, 700));
            var held = Enumerable
                .Range(0, random.Next(0, 3))
                .Select(_ => Length.Inches(random.Next(0, (int)length.InInches)))
                .Distinct()
                .ToList();
            var added = Cover.Fewest(length, Length.Feet(6), held, o => (int)(o.InInches % 7), Length.Inches(2));
            Cover.Farthest(length, held.Concat(added)).ShouldBeLessThanOrEqualTo(Length.Feet(6));
            added.Length.ShouldBe(Least(length.InInches, [.. held.Select(h => h.InInches)]), $"{length} with {string.Join(" ", held)}");
        }
    }

    // By gaps: each stretch between held points, or from an end to one, needs as many as its length asks for.
    private static int Least(double length, List<double> held)
    {
        const double reach = 72;
        held.Sort();
        if (held.Count == 0)
            return (int)Math.Ceiling(length / (2 * reach));
        var count = Ends(held[0]) + Ends(length - held[^1]);
        for (var i = 1; i < held.Count; i++)
            count += Math.Max(0, (int)Math.Ceiling((held[i] - held[i - 1]) / (2 * reach)) - 1);
        return count;

        static int Ends(double stretch) => Math.Max(0, (int)Math.Ceiling((stretch - reach) / (2 * reach)));
    }

    [Fact]
    public void A_proposal_leaves_no_must_finding_about_boxes()
    {
        var analysis = Analyzer.Analyze(Planner.PlanAll(Sample.Flat()));
        analysis.Findings.Where(f => f.Severity == Severity.Must).ShouldBeEmpty();
    }

    [Fact]
    public void Without_boxes_each_layout_rule_speaks()
    {
        var rules = Analyzer.Analyze(Sample.Flat()).Findings.Select(f => f.RuleId).ToHashSet();
        string[] expected =
        [
            "box.wall",
            "box.counter",
            "box.bathroom",
            "box.hallway",
            "box.garage",
            "box.laundry",
            "box.outdoor",
            "box.light",
            "box.alarm",
            "box.appliance",
        ];
        foreach (var rule in expected)
            rules.ShouldContain(rule);
    }

    [Fact]
    public void Proposing_again_changes_nothing()
    {
        var once = BoxProposal.Propose(Sample.Flat());
        var twice = BoxProposal.Propose(once);
        twice
            .Decisions.Boxes.Select(b => (b.Id, b.Kind, b.Wall, b.Along, b.At))
            .ShouldBe(once.Decisions.Boxes.Select(b => (b.Id, b.Kind, b.Wall, b.Along, b.At)));
    }

    [Fact]
    public void A_persons_box_stays_and_a_refused_one_does_not_come_back()
    {
        var job = BoxProposal.Propose(Sample.Flat());
        var box = job.Decisions.Boxes.First(b => b.Kind == BoxKind.Receptacle && b.Room == "bedroom");
        var moved = new MoveBox(box.Id, box.Wall, box.Along + Length.Inches(5), null).Apply(job).Job.ShouldNotBeNull();
        BoxProposal.Propose(moved).Decisions.Boxes.Single(b => b.Id == box.Id).Along.ShouldBe(box.Along + Length.Inches(5));
        var gone = new RemoveBox(box.Id).Apply(job).Job.ShouldNotBeNull();
        BoxProposal
            .Propose(gone)
            .Decisions.Boxes.ShouldNotContain(b =>
                b.Kind == BoxKind.Receptacle && b.Wall == box.Wall && b.Room == box.Room && b.Along == box.Along
            );
    }

    [Fact]
    public void A_room_with_two_doors_gets_three_way_switches()
    {
        var job = Sample.House(Sample.Rect("living", RoomKind.Living, 0, 0, 20, 15)) with
        {
            Openings = [Sample.Door("living", 0, 2), Sample.Door("living", 2, 2)],
        };
        var switches = BoxProposal.Propose(job).Decisions.Boxes.Where(b => b.Kind == BoxKind.Switch).ToList();
        switches.Count.ShouldBe(2);
        var light = BoxProposal.Propose(job).Decisions.Boxes.First(b => b.Kind == BoxKind.Light && !b.Outside);
        switches.ShouldAllBe(s => s.Gangs.Single(g => g.Lights.Contains(light.Id)).Locations == 2);
    }

    [Fact]
    public void Wishes_are_honoured_and_count_toward_the_reach()
    {
        var job = Sample.House(Sample.Rect("bedroom", RoomKind.Bedroom, 0, 0, 14, 12)) with { Openings = [Sample.Door("bedroom", 2, 1)] };
        Wish Of(WishKind kind, double x, double y) =>
            new()
            {
                Id = "w",
                Kind = kind,
                Room = "bedroom",
                At = Sample.P(x, y),
            };
        List<Box> With(Wish wish) =>
            [
                .. BoxProposal
                    .Propose(job with { Wishes = [wish] })
                    .Decisions.Boxes.Where(b => b.Kind is BoxKind.Receptacle or BoxKind.Provision),
            ];
        var beside = With(Of(WishKind.Bed, 7, 3))
            .Where(b => b.Wall == 0 && !b.Outside)
            .Select(b => (b.Along - Length.Feet(7)).InInches)
            .Order()
            .ToList();
        beside.Count.ShouldBe(2);
        beside[0].ShouldBe(-beside[1], "alike on both sides");
        beside[1].ShouldBeInRange(30, 42);
        With(Of(WishKind.Desk, 13, 6)).ShouldContain(b => b.Wall == 1 && b.Along == Length.Feet(6));
        With(Of(WishKind.Future, 2, 6)).ShouldContain(b => b.Kind == BoxKind.Provision && b.Wall == 3 && b.Along == Length.Feet(6));
        With(Of(WishKind.Television, 12, 11)).ShouldContain(b => b.Wall == 2, "beside the door, not in it");
        foreach (var kind in Enum.GetValues<WishKind>())
        {
            var planned = Planner.PlanAll(job with { Wishes = [Of(kind, 7, 3)] });
            Analyzer.Analyze(planned).Findings.ShouldNotContain(f => f.RuleId == "box.wall");
        }
    }
}
