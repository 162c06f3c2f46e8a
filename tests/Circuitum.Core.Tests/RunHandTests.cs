using Circuitum.Core.Analysis;
using Circuitum.Core.Commands;
using Circuitum.Core.Intake;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Routing;

namespace Circuitum.Core.Tests;

/// <summary>Runs by hand: a cable led elsewhere, a wall closed, a run locked; the planner keeps to it and tells the cost.</summary>
public class RunHandTests
{
    private static readonly Job Planned = CheckTests.PlannedWhole;

    private static readonly JobAnalysis A = Analyzer.Analyze(Planned);

    // A home run that goes through the field of its own storey, and a place well off its way.
    private static readonly CircuitAnalysis Far = A
        .Circuits.Where(c => !c.Carried && A.RouteOf(c.Run.Segments[0]).Pieces.Any(p => p.Kind == WayKind.Field))
        .MaxBy(c => c.Run.HomeRun)!;

    private static Point Aside =>
        A
            .House.Rooms.Where(r => r.Room.Storey == A.House[Far.Boxes[0].Room].Room.Storey && !r.Room.Kind.OpenAir())
            .Select(r => r.Centre)
            .MaxBy(p => A.RouteOf(Far.Run.Segments[0]).Pieces.Min(x => x.From.RectilinearTo(p)));

    private static LeadCable Lead(Point? over) => new(null, Far.Run.First!, A.House[Far.Boxes[0].Room].Room.Storey, over);

    [Fact]
    public void A_cable_is_led_over_a_place_and_tells_what_that_costs()
    {
        var a = Analyzer.Analyze(Lead(Aside).Apply(Planned).Job!);
        var segment = a.CircuitByNumber(Far.Number)!.Run.Segments[0];
        var route = a.RouteOf(segment);
        route.Pieces.ShouldContain(p => p.To.RectilinearTo(Aside) < Length.Feet(5));
        segment.Longer.ShouldBeGreaterThan(Length.Zero);
        segment.Way.ShouldBe(route.Length);
        (segment.Way - segment.Longer).ShouldBe(Far.Run.HomeRun);
        segment.Cut.ShouldBe(Far.Run.Segments[0].Cut + segment.Longer);
        a.CircuitByNumber(Far.Number)!.RunDerivation.Steps[0].Because.ShouldContain("ft longer than the shortest one");

        // The drop follows the longer way.
        a.CircuitByNumber(Far.Number)!.DropPercent.ShouldBeGreaterThan(Far.DropPercent);
        for (var i = 1; i < route.Pieces.Length; i++)
            route.Pieces[i].From.RectilinearTo(route.Pieces[i - 1].To).InInches.ShouldBeLessThan(2.5);
    }

    [Fact]
    public void It_takes_the_shortest_way_again_on_request()
    {
        var led = Lead(Aside).Apply(Planned).Job!;
        var back = Lead(null).Apply(led).Job!;
        back.Decisions.Ways.ShouldBeEmpty();
        Lead(null).Apply(back).Problem.ShouldContain("shortest way already");
    }

    [Fact]
    public void A_place_far_from_the_house_and_a_cable_that_is_not_there_are_refused()
    {
        Lead(Sample.P(900, 900)).Apply(Planned).Problem.ShouldContain("nothing is open");
        new LeadCable("nobody", Far.Run.First!, "first", Aside).Apply(Planned).Problem.ShouldContain("no such cable");
    }

    [Fact]
    public void A_pulled_home_run_and_a_locked_run_are_not_led_elsewhere()
    {
        Lead(Aside).Apply(new MarkPulled(Far.Number, true, null).Apply(Planned).Job!).Problem.ShouldContain("is pulled");
        Lead(Aside).Apply(new LockRun(Far.Number, true).Apply(Planned).Job!).Problem.ShouldContain("is locked");
    }

    [Fact]
    public void A_way_whose_cable_is_gone_waits_and_harms_nothing()
    {
        var led = Lead(Aside).Apply(Planned).Job!;
        var other = A.CircuitByNumber(Far.Number)!.Circuit.Boxes.Select(b => b.Box).FirstOrDefault(b => b != Far.Run.First);
        if (other is null)
            return;
        var moved = new ForceFirst(Far.Number, other).Apply(led).Job!;
        Analyzer.Analyze(moved).CircuitByNumber(Far.Number)!.Run.Segments[0].Longer.ShouldBe(Length.Zero);
        Analyzer
            .Analyze(new ForceFirst(Far.Number, null).Apply(moved).Job!)
            .CircuitByNumber(Far.Number)!
            .Run.Segments[0]
            .Longer.ShouldBeGreaterThan(Length.Zero);
    }

    [Fact]
    public void Through_a_closed_wall_goes_no_cable_from_either_side()
    {
        var segment = A
            .Circuits.SelectMany(c => c.Run.Segments)
            .First(h =>
                h.From is not null
                && A.RouteOf(h).Pieces.Any(p => p.Kind == WayKind.Studs && p.Length > Length.Feet(3))
                && A.Boxes[h.From].Room == A.Boxes[h.To].Room
                && A.Boxes[h.From].Wall == A.Boxes[h.To].Wall
            );
        var box = A.Boxes[segment.To];
        var closed = new CloseWall(box.Room, box.Wall!.Value, true).Apply(Planned).Job!;
        var a = Analyzer.Analyze(closed);
        a.Routes.Value.Where(r =>
                r.Key.From is { } from
                && a.Boxes[from].Room == box.Room
                && a.Boxes[r.Key.To].Room == box.Room
                && a.Boxes[from].Wall == box.Wall
                && a.Boxes[r.Key.To].Wall == box.Wall
            )
            .ShouldAllBe(r => r.Value.Pieces.All(p => p.Kind != WayKind.Studs || p.Length < Length.Feet(3)));

        // Said from the other side it is the same wall.
        if (Geometry.WallBody.Of(a.House, a.House[box.Room], box.Wall.Value).Facing.FirstOrDefault() is { } facing)
            Geometry.WallBody.Of(a.House, facing.Room, facing.Wall).Fact!.NoCable.ShouldBeTrue();
        Analyzer.Analyze(new CloseWall(box.Room, box.Wall.Value, false).Apply(closed).Job!).CableFeet.ShouldBe(A.CableFeet, 0.01);
    }

    [Fact]
    public void A_locked_run_keeps_its_cables_and_what_comes_later_hangs_on_them()
    {
        var circuit = A.Circuits.First(c => c.Circuit.Purpose == CircuitPurpose.Receptacles && c.Run.Segments.Length > 3);
        var locked = new LockRun(circuit.Number, true).Apply(Planned).Job!;
        Analyzer
            .Analyze(locked)
            .CircuitByNumber(circuit.Number)!
            .Run.Cables.Select(h => (h.From, h.To))
            .ShouldBe(circuit.Run.Cables.Select(h => (h.From, h.To)));

        // A box nearer to the panel than the first one would turn an unlocked run about.
        var panel = A.Panel!;
        var near = new Box
        {
            Id = "near",
            Kind = BoxKind.Receptacle,
            Room = panel.Room,
            Wall = panel.Wall,
            Along = panel.Along + Length.Feet(2),
            Height = Length.Inches(16),
            By = Origin.Person,
        };
        Job With(Job job) =>
            job with
            {
                Decisions = job.Decisions with
                {
                    Boxes = job.Decisions.Boxes.Add(near),
                    Circuits =
                    [
                        .. job.Decisions.Circuits.Select(c =>
                            c.Number == circuit.Number ? c with { Boxes = c.Boxes.Add(new CircuitBox { Box = "near" }) } : c
                        ),
                    ],
                },
            };
        Analyzer.Analyze(With(Planned)).CircuitByNumber(circuit.Number)!.Run.First.ShouldBe("near");
        var run = Analyzer.Analyze(With(locked)).CircuitByNumber(circuit.Number)!.Run;
        run.First.ShouldBe(circuit.Run.First);
        run.Segments.Take(circuit.Run.Segments.Length)
            .Select(h => (h.From, h.To))
            .ShouldBe(circuit.Run.Segments.Select(h => (h.From, h.To)));
        run.Segments[^1].To.ShouldBe("near");
        new ForceFirst(circuit.Number, "near").Apply(With(locked)).Problem.ShouldContain("locked");
        Analyzer
            .Analyze(new LockRun(circuit.Number, false).Apply(With(locked)).Job!)
            .CircuitByNumber(circuit.Number)!
            .Run.First.ShouldBe("near");
    }

    [Fact]
    public void A_locked_lighting_run_keeps_its_legs_and_travelers()
    {
        foreach (var c in A.Circuits.Where(c => c.Circuit.Purpose == CircuitPurpose.Lighting))
        {
            var locked = Analyzer.Analyze(new LockRun(c.Number, true).Apply(Planned).Job!).CircuitByNumber(c.Number)!;
            locked.Run.Cables.Select(h => (h.From, h.To, h.Use)).ShouldBe(c.Run.Cables.Select(h => (h.From, h.To, h.Use)));
            locked.Run.Cut.ShouldBe(c.Run.Cut);
        }
    }

    [Fact]
    public void A_measured_pull_counts_for_the_drop()
    {
        var longer = Analyzer
            .Analyze(new MarkPulled(Far.Number, true, Far.Run.Segments[0].Cut + Length.Feet(50)).Apply(Planned).Job!)
            .CircuitByNumber(Far.Number)!;
        longer.DropPercent.ShouldBeGreaterThan(Far.DropPercent);
        longer.Run.Segments[0].Cut.ShouldBe(Far.Run.Segments[0].Cut);
    }

    [Fact]
    public void Ways_without_a_storey_and_twice_the_same_are_found()
    {
        var way = new LedSegment { To = "b1", Storey = "nowhere" };
        JobRules
            .Check(Planned with { Decisions = Planned.Decisions with { Ways = [way, way] } })
            .Select(p => p.Field)
            .ShouldBe(["decisions.ways[0].storey", "decisions.ways[1].storey", "decisions.ways[1]"]);
    }

    [Fact]
    public void Moving_the_panel_tells_the_difference_in_feet_and_money()
    {
        var panel = A.Panel!;
        var far = A
            .House.Rooms.Where(r => !r.Room.Kind.OpenAir() && r.Room.Storey == A.House[panel.Room].Room.Storey)
            .MaxBy(r => r.Centre.RectilinearTo(A.House[panel.Room].Centre))!;
        var moved = Planned with { Panels = [panel with { Room = far.Room.Id, Wall = 0, Along = far.Walls[0].Length / 2 }] };
        var told = Consequences.Of(A, Analyzer.Analyze(moved)).Select(c => c.What).ToList();
        told.ShouldContain(t => t.StartsWith("Cable to buy", StringComparison.Ordinal));
        told.ShouldContain(t => t.StartsWith("About $", StringComparison.Ordinal));
    }
}
