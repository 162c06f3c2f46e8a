using Circuitum.Core.Analysis;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using static Circuitum.Core.Tests.Sample;

namespace Circuitum.Core.Tests;

/// <summary>Cable that leaves the house: conduit, depth, bends, and indoor cable where it may not be.</summary>
public class OutsideTests
{
    // The flat with a post light in the yard, a heater for a pool beyond it, and a shed.
    private static Job Yard(Func<Job, Job>? with = null)
    {
        var whole = Whole();
        var job = whole with
        {
            Rooms =
            [
                .. whole.Rooms,
                Rect("yard", RoomKind.Outdoors, 40, 0, 20, 20),
                Rect("shed", RoomKind.AccessoryBuilding, 70, 0, 10, 10),
            ],
            Openings = [.. whole.Openings, Door("shed", 3, 3)],
            Decisions = new()
            {
                Boxes =
                [
                    new Box
                    {
                        Id = "post",
                        Room = "yard",
                        Kind = BoxKind.Light,
                        At = P(50, 5),
                        Height = Length.Feet(3),
                        By = Origin.Person,
                        VoltAmperes = 60,
                    },
                ],
            },
        };
        return Planner.PlanAll(with is null ? job : with(job));
    }

    private static JobAnalysis Said(OutsideRun run) =>
        Analyzer.Analyze(Planned with { Decisions = Planned.Decisions with { Outside = [run with { To = "post" }] } });

    private static readonly Job Planned = Yard();

    private static readonly JobAnalysis A = Analyzer.Analyze(Planned);

    private static OutsideStretch Post(JobAnalysis a) => a.Outside.Single(o => o.CableSegment.To == "post");

    [Fact]
    public void A_post_light_is_fed_underground_in_conduit()
    {
        var post = Post(A);
        var c = A.CircuitByNumber(post.Circuit)!;
        (post.Method, post.Buried, post.Depth, post.DepthWanted).ShouldBe(
            (OutsideMethod.PvcConduit, true, Length.Inches(18), Length.Inches(18))
        );
        post.Wires.ShouldBe([new(c.BranchCable.Size, 3)]);
        post.Fill!.Size!.Size.ShouldBe("1/2");
        post.Bends!.Pass.ShouldBeTrue();

        // Under the floor to the east wall, down a foot into the ground, across to the post and 4-1/2 ft up to its head.
        var route = A.RouteOf(post.CableSegment);
        route.Pieces.Min(p => p.ToZ).ShouldBe(Length.Inches(-18));
        for (var i = 1; i < route.Pieces.Length; i++)
            route.Pieces[i].From.ShouldBe(route.Pieces[i - 1].To);
        route.Length.InInches.ShouldBe(post.CableSegment.Way.InInches, 2);
        post.Length.InFeet.ShouldBe(19.67 + 3.92 + 4.5 + 1, 0.15);
        A.Findings.ShouldNotContain(f => f.RuleId.StartsWith("wire.outside") || f.RuleId == "wire.depth" || f.RuleId == "wire.bends");
    }

    [Fact]
    public void What_is_in_conduit_is_wire_and_not_cable()
    {
        var post = Post(A);
        var without = A with { Outside = [] };
        (without.Cable.ByType.Sum(t => t.Cut.InFeet) - A.Cable.ByType.Sum(t => t.Cut.InFeet)).ShouldBe(
            A.Outside.Sum(o => (o.Length >= o.CableSegment.Way - Length.Feet(1) ? o.CableSegment.Cut : o.Length).InFeet),
            0.01
        );
        A.Cable.Conduit.ShouldContain(m => m.What == "1/2 in conduit, PVC, schedule 40");
        var wires = A.Cable.Conduit.Where(m => m.What.EndsWith("wet-rated wire")).Sum(m => m.Feet);
        wires.ShouldBe(
            A.Outside.Sum(o => o.Wires.Sum(w => w.Count) * (o.Length + (Planned.Preferences.BoxMakeUp * 2)).InFeet)
                * (100 + Planned.Preferences.WastePercent)
                / 100,
            0.01
        );
        A.Why($"outside.post")!.Steps.Select(s => s.What).ShouldBe(["Least depth", "Conduit", "Bends", "Wires"]);
        A.Why("cable")!.Steps.ShouldContain(s => s.What.Contains("conduit"));
        post.InWords.ShouldContain("1'-6\" deep");
    }

    [Fact]
    public void Indoor_cable_outside_is_a_must_finding_with_its_way_out()
    {
        var a = Said(new OutsideRun { Method = OutsideMethod.IndoorCable });
        var found = a.Findings.Single(f => f.RuleId == "wire.outside");
        found.Severity.ShouldBe(Severity.Must);
        found.Sentence.ShouldContain("in the ground");
        found.Fix!.Edit.ShouldBeOfType<SetOutsideMethod>();
        new SetOutsideRun(new() { To = "post", Method = OutsideMethod.PvcConduit }).Apply(a.Job).Job.ShouldNotBeNull();
    }

    [Theory]
    [InlineData(OutsideMethod.PvcConduit, 17, false, true)]
    [InlineData(OutsideMethod.PvcConduit, 18, false, false)]
    [InlineData(OutsideMethod.RigidConduit, 6, false, false)]
    [InlineData(OutsideMethod.RigidConduit, 6, true, true)]
    [InlineData(OutsideMethod.RigidConduit, 18, true, false)]
    [InlineData(OutsideMethod.DirectBurial, 23, false, true)]
    [InlineData(OutsideMethod.DirectBurial, 24, false, false)]
    [InlineData(OutsideMethod.DirectBurial, 18, true, false)]
    public void Depth_goes_by_the_method(OutsideMethod method, int inches, bool driveway, bool found) =>
        Said(
            new OutsideRun
            {
                Method = method,
                Depth = Length.Inches(inches),
                Driveway = driveway,
            }
        )
            .Findings.Any(f => f.RuleId == "wire.depth")
            .ShouldBe(found);

    [Fact]
    public void A_circuit_with_ground_fault_protection_ahead_may_lie_shallower()
    {
        var c = A.CircuitByNumber(Post(A).Circuit)!;
        var guarded = new EditCircuit(
            c.Number,
            null,
            null,
            ProtectionPlace.Breaker,
            System.Collections.Immutable.ImmutableSortedDictionary<string, string>.Empty
        )
            .Apply(Planned)
            .Job!;
        var box = guarded.Decisions.Boxes.First(b => b.Id == "post");
        guarded = guarded with
        {
            Decisions = guarded.Decisions with { Boxes = guarded.Decisions.Boxes.Replace(box, box with { Kind = BoxKind.Receptacle }) },
        };
        var a = Analyzer.Analyze(guarded);
        a.CircuitByNumber(c.Number)!.Protection.Devices.ShouldContain(d => d.GroundFault && d.Box == null);
        Post(a).DepthWanted.ShouldBe(Length.Inches(12));
    }

    [Fact]
    public void Bends_over_360_degrees_want_a_pull_point()
    {
        Said(new OutsideRun { Bends = [90, 90, 90, 90, 45] })
            .Findings.Single(f => f.RuleId == "wire.bends")
            .Sentence.ShouldContain("405 degrees");
        Said(new OutsideRun { Bends = [90, 90, 0, 90, 90, 45] }).Findings.ShouldNotContain(f => f.RuleId == "wire.bends");
        Said(new OutsideRun { Method = OutsideMethod.DirectBurial, Bends = [90, 90, 90, 90, 45] })
            .Findings.ShouldNotContain(f => f.RuleId == "wire.bends");
    }

    [Fact]
    public void A_building_apart_is_reached_under_the_ground()
    {
        var shed = A
            .Outside.Where(o =>
                A.Boxes[o.CableSegment.To].Room == "shed" && (o.CableSegment.From is null || A.Boxes[o.CableSegment.From].Room != "shed")
            )
            .ToList();
        shed.ShouldNotBeEmpty();
        shed.ShouldAllBe(o => o.Buried && o.Fill != null);
        var direct = Analyzer.Analyze(
            Yard(j => j with { Preferences = j.Preferences with { OutsideMethod = OutsideMethod.DirectBurial } })
        );
        direct.Cable.ByType.ShouldContain(t => t.Cable.EndsWith(" for the ground"));
        direct.Outside.ShouldAllBe(o => !o.Buried || o.Depth == Length.Inches(24));
        direct.Cable.Conduit.ShouldBeEmpty();
    }

    [Fact]
    public void What_is_said_of_a_run_that_stays_inside_is_refused()
    {
        new SetOutsideRun(new() { To = "kitchen.r1", Driveway = true }).Apply(Planned).Job.ShouldBeNull();
        new SetOutsideRun(new() { To = "post", Bends = [200] }).Apply(Planned).Problem.ShouldContain("degrees");
        var said = new SetOutsideRun(new() { To = "post", Depth = Length.Inches(30) }).Apply(Planned).Job!;
        said.Decisions.Outside.ShouldHaveSingleItem().Depth.ShouldBe(Length.Inches(30));
        new SetOutsideRun(new() { To = "post" }).Apply(said).Job!.Decisions.Outside.ShouldBeEmpty();
    }
}
