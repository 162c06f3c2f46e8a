using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Tests;

/// <summary>Each check speaks when one fact is bent, and is silent before.</summary>
public partial class CheckTests
{
    internal static readonly Job PlannedWhole = Planner.PlanAll(
        Sample.Whole() with
        {
            Preferences = new() { HomeRunUpsize = HomeRunUpsize.WhenDropAsks },
        }
    );

    private static readonly Job Planned = PlannedWhole;

    private static readonly HashSet<string> Silent = [.. Analyzer.Analyze(Planned).Findings.Select(f => f.RuleId)];

    [Fact]
    public void A_fix_clears_what_it_was_offered_for()
    {
        var near = Planned with { Rooms = Planned.Rooms.Add(Sample.Rect("near", RoomKind.Den, 29.85, 9.375, 10, 12)) };
        var fix = Analyzer.Analyze(near).Findings.First(f => f.RuleId == "plan.gap").Fix.ShouldNotBeNull();
        var moved = fix.Edit.ShouldBeOfType<Commands.MoveWall>().Apply(near);
        Analyzer.Analyze(moved.Job.ShouldNotBeNull(moved.Problem)).Findings.ShouldNotContain(f => f.RuleId == "plan.gap");
    }

    [Fact]
    public void The_working_space_may_lie_beside_the_middle_of_the_panel()
    {
        bool Told(double cabinet) =>
            Analyzer
                .Analyze(
                    Planned with
                    {
                        Fixtures = Planned.Fixtures.Add(
                            new Fixture
                            {
                                Id = "shelf",
                                Kind = FixtureKind.Cabinet,
                                Room = "garage",
                                Spot = new Spot
                                {
                                    Wall = 3,
                                    From = Length.Inches((8 * 12) + cabinet),
                                    Width = Length.Feet(3),
                                    Depth = Length.Feet(2),
                                },
                            }
                        ),
                    }
                )
                .Findings.Any(f => f.RuleId == "panel.space");
        Told(16).ShouldBeFalse();
        Told(8).ShouldBeFalse();
        Told(5).ShouldBeTrue();
    }

    [Fact]
    public void A_hollow_in_the_house_is_a_gap()
    {
        Room[] ring =
        [
            Sample.Rect("n", RoomKind.Living, 0, 0, 30, 10),
            Sample.Rect("s", RoomKind.Living, 0, 20.75, 30, 10),
            Sample.Rect("w", RoomKind.Living, 0, 10.375, 10, 10),
            Sample.Rect("e", RoomKind.Living, 20, 10.375, 10, 10),
        ];
        Analyzer
            .Analyze(Sample.House(ring))
            .Findings.ShouldContain(f => f.RuleId == "plan.gap" && f.Sentence.Contains("belong to no room", StringComparison.Ordinal));
        Analyzer
            .Analyze(Sample.House([.. ring, Sample.Rect("m", RoomKind.Den, 10.375, 10.375, 9.25, 10)]))
            .Findings.ShouldNotContain(f => f.RuleId == "plan.gap");
    }

    [Fact]
    public void A_device_out_of_reach_is_not_chosen()
    {
        var high = Planned
            .Raise("garage", Length.Inches(90))
            .Circuits(c => c.Purpose == CircuitPurpose.Garage, c => c with { Protection = ProtectionPlace.FirstReceptacle });
        Analyzer
            .Analyze(high)
            .Circuits.Single(c => c.Circuit.Purpose == CircuitPurpose.Garage)
            .Protection.Devices.Single()
            .Box.ShouldBeNull();
    }

    [Fact]
    public void Outdoors_is_looked_at_front_and_back()
    {
        var all = Analyzer.Analyze(Planned).Findings.Where(f => f.RuleId == "box.outdoor").ToList();
        all.ShouldBeEmpty();
        var bare = Analyzer.Analyze(Planned.Without(b => b.Room == "porch")).Findings.Where(f => f.RuleId == "box.outdoor").ToList();
        bare.Select(f => $"{f.Subjects.Single()}").Order().ShouldBe(["room:porch", "storey:first"]);
    }

    [Fact]
    public void A_small_bath_may_have_its_receptacle_on_the_farthest_wall()
    {
        var job = Sample.House(Sample.Rect("bath", RoomKind.Bathroom, 0, 0, 5, 5.5)) with
        {
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
                        Depth = Length.Inches(32),
                    },
                },
            ],
        };
        Box At(int wall, double feet) =>
            new()
            {
                Id = "b",
                Kind = BoxKind.Receptacle,
                Room = "bath",
                Wall = wall,
                Along = Length.Feet(feet),
                Height = Length.Inches(44),
            };
        bool Told(Box box) =>
            Analyzer.Analyze(job with { Decisions = new Decisions { Boxes = [box] } }).Findings.Any(f => f.RuleId == "box.tub");
        Told(At(2, 2.5)).ShouldBeFalse();
        Told(At(1, 3)).ShouldBeTrue();
        Told(At(2, 2.5) with { Height = Length.Inches(97) }).ShouldBeFalse();
    }

    [Fact]
    public void Findings_come_gravest_first_and_their_subjects_exist()
    {
        var a = Analyzer.Analyze(Sample.Flat());
        a.Findings.Select(f => f.Severity).ShouldBeInOrder();
        foreach (var subject in a.Findings.SelectMany(f => f.Subjects))
        {
            var known = subject.Kind switch
            {
                SubjectKind.Room or SubjectKind.Wall => a.Job.RoomById(subject.Id) is not null,
                SubjectKind.Appliance => a.Job.ApplianceById(subject.Id) is not null,
                SubjectKind.Storey => a.Job.StoreyById(subject.Id) is not null,
                SubjectKind.Box => a.Boxes.ContainsKey(subject.Id),
                SubjectKind.Panel => a.Panel?.Id == subject.Id,
                SubjectKind.Opening => a.Job.Openings.Any(o => o.Id == subject.Id),
                SubjectKind.Circuit => a.CircuitByNumber(subject.Number!.Value) is not null,
                _ => false,
            };
            known.ShouldBeTrue($"{subject}");
            Subject.Parse($"{subject}").ShouldBe(subject);
        }
    }
}
