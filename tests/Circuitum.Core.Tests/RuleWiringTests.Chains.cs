using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Routing;

namespace Circuitum.Core.Tests;

// How boxes are joined.
public partial class RuleWiringTests
{
    [Fact]
    public void Boxes_back_to_back_and_at_the_joint_of_two_walls_are_joined_there()
    {
        Room[] rooms =
        [
            Sample.Rect("a", RoomKind.Bedroom, 0, 0, 10, 10),
            Sample.Rect("b", RoomKind.Bedroom, 10.375, 0, 10, 10),
            Sample.Rect("hall", RoomKind.Hallway, 0, 10.375, 20.375, 4),
        ];
        Box At(string id, string room, int wall, double along) =>
            new()
            {
                Id = id,
                Kind = BoxKind.Receptacle,
                Room = room,
                Wall = wall,
                Along = Length.Feet(along),
                Height = Length.Inches(16),
            };
        var job = Sample.House(rooms) with
        {
            Frame = new() { Under = Under.Slab },
            Decisions = new()
            {
                Boxes = [At("a1", "a", 1, 9), At("b1", "b", 3, 1.5), At("h1", "hall", 0, 10), At("a2", "a", 2, 1), At("b2", "b", 2, 9)],
            },
        };
        var runs = new CableRouter(HouseShape.Of(job));
        runs.Between("a1", "b1").InFeet.ShouldBeLessThan(3);
        runs.Between("a1", "h1").InFeet.ShouldBeLessThan(4);
        runs.Between("a2", "b2").InFeet.ShouldBeLessThan(5);
        runs.Route(new CableSegment("a1", "h1", default, default))
            .Pieces.ShouldAllBe(p => p.Kind == WayKind.Studs || p.Kind == WayKind.Wall);
    }

    [Theory]
    [InlineData(ChainBy.Cheapest, "through the studs")]
    [InlineData(ChainBy.ThroughStuds, "through the studs")]
    [InlineData(ChainBy.UpAndOver, "across")]
    public void Chains_go_by_their_own_school(ChainBy by, string word)
    {
        var job = Sample.House(Sample.Rect("a", RoomKind.Living, 0, 0, 30, 12)) with
        {
            Frame = new() { Under = Under.CrawlSpace },
            Preferences = new() { ChainBy = by, RunBy = RunBy.Underfloor },
            Decisions = new()
            {
                Boxes =
                [
                    .. new[] { 2.0, 10 }.Select(
                        (x, n) =>
                            new Box
                            {
                                Id = $"r{n}",
                                Kind = BoxKind.Receptacle,
                                Room = "a",
                                Wall = 0,
                                Along = Length.Feet(x),
                                Height = Length.Inches(16),
                            }
                    ),
                ],
            },
        };
        new CableRouter(HouseShape.Of(job)).Route(new CableSegment("r0", "r1", default, default)).InWords.ShouldContain(word);
    }

    [Fact]
    public void Alarms_on_two_circuits_are_found_unless_they_are_joined_by_radio()
    {
        var job = CheckTests.PlannedWhole;
        var alarm = job.Decisions.Boxes.First(b => b.Kind == BoxKind.SmokeAlarm).Id;
        var moved = new Commands.AssignBox(alarm, null).Apply(job).Job!;
        Analyzer.Analyze(moved).Findings.ShouldContain(f => f.RuleId == "box.alarmJoined" && f.Severity == Severity.Must);
        Analyzer
            .Analyze(moved with { Preferences = moved.Preferences with { AlarmJoin = AlarmJoin.Wireless } })
            .Findings.ShouldNotContain(f => f.RuleId == "box.alarmJoined");
        Analyzer.Analyze(job).Findings.ShouldNotContain(f => f.RuleId == "box.alarmJoined");
    }

    [Theory]
    [InlineData(18, false)]
    [InlineData(19, true)]
    public void More_alarms_on_one_wire_than_makers_list_together_are_found_unless_they_are_joined_by_radio(int count, bool isFound)
    {
        var job = CheckTests.PlannedWhole;
        var alarms = job.Decisions.Boxes.Where(b => b.Kind == BoxKind.SmokeAlarm).ToList();
        var many = job with
        {
            Decisions = job.Decisions with
            {
                Boxes =
                [
                    .. job.Decisions.Boxes,
                    .. Enumerable.Range(0, count - alarms.Count).Select(i => alarms[0] with { Id = $"{alarms[0].Room}.a{i + 50}" }),
                ],
            },
        };
        Analyzer.Analyze(many).Findings.Any(f => f.RuleId == "box.alarmMost").ShouldBe(isFound);
        Analyzer
            .Analyze(many with { Preferences = many.Preferences with { AlarmJoin = AlarmJoin.Wireless } })
            .Findings.ShouldNotContain(f => f.RuleId == "box.alarmMost");
    }

    [Fact]
    public void A_light_on_another_circuit_than_its_switch_is_found()
    {
        var job = CheckTests.PlannedWhole;
        var light = job
            .Decisions.Boxes.First(b => b.Kind == BoxKind.Light && job.Decisions.Boxes.Any(s => s.Gangs.Any(g => g.Lights.Contains(b.Id))))
            .Id;
        Analyzer
            .Analyze(new Commands.AssignBox(light, null).Apply(job).Job!)
            .Findings.ShouldContain(f => f.RuleId == "circuit.switched" && f.Severity == Severity.Must);
        Analyzer.Analyze(job).Findings.ShouldNotContain(f => f.RuleId == "circuit.switched");
    }

    [Fact]
    public void The_drop_counts_what_is_left_in_the_panel_and_in_the_boxes()
    {
        Job With(double makeUp) =>
            CheckTests.PlannedWhole with
            {
                Preferences = CheckTests.PlannedWhole.Preferences with
                {
                    PanelMakeUp = Length.Feet(makeUp),
                    HomeRunUpsize = HomeRunUpsize.Off,
                },
            };
        var (less, more) = (Analyzer.Analyze(With(0)).Circuits, Analyzer.Analyze(With(20)).Circuits);
        foreach (var (a, b) in less.Zip(more).Where(x => x.First.Load.Actual.Value > 1))
            b.DropPercent.ShouldBeGreaterThan(a.DropPercent);
    }
}
