using Circuitum.Core.Circuits;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Planning;
using Circuitum.Core.Review;

namespace Circuitum.Formats.Tests;

/// <summary>A small change leaves the rest of the demo house where it is.</summary>
public class PlannerStabilityTests
{
    private static readonly Job Planned = Planner.PlanAll(JobFileTests.Demo("tamarack-row.json"), PlanEffort.Full);

    private static Dictionary<string, int> Where(Job job) =>
        job.Decisions.Circuits.SelectMany(c => c.Boxes.Select(b => (b.Box, c.Number))).ToDictionary(x => x.Box, x => x.Number);

    private static int Others(Job before, Job after, string but)
    {
        var (was, now) = (Where(before), Where(after));
        now.Keys.Order()
            .ShouldBe(
                after.Decisions.Boxes.Where(b => b.Kind != BoxKind.Disconnect).Select(b => b.Id).Order(),
                "every box is on a circuit"
            );
        return was.Count(w => w.Key != but && now.TryGetValue(w.Key, out var n) && n != w.Value);
    }

    [Fact]
    public void Taking_an_outlet_away_or_making_it_loose_moves_at_most_two_others()
    {
        // Neighbours behave alike: every second box stands for both.
        var looked = 0;
        foreach (
            var (_, box) in Planned
                .Decisions.Boxes.Where(b => b.Kind is BoxKind.Receptacle or BoxKind.Light)
                .Index()
                .Where(b => b.Index % 2 == 0)
        )
        {
            var gone = new PlanCircuits(false).Apply(new RemoveBox(box.Id).Apply(Planned).Job!).Job.ShouldNotBeNull();
            Others(Planned, gone, box.Id).ShouldBeLessThanOrEqualTo(2, box.Id);
            looked++;
            if (looked % 8 == 0)
                IsHardlyDearerThanAfresh(gone, box.Id);

            // Loose and taken away are hardly different to the planner: every third shows both.
            if (looked % 3 != 0)
                continue;
            var loose = Planned with
            {
                Decisions = Planned.Decisions with
                {
                    Circuits = [.. Planned.Decisions.Circuits.Select(c => c with { Boxes = [.. c.Boxes.Where(b => b.Box != box.Id)] })],
                },
            };
            Others(Planned, new PlanCircuits(false).Apply(loose).Job.ShouldNotBeNull(), box.Id).ShouldBeLessThanOrEqualTo(2, box.Id);
        }
    }

    // By the planner's own weights, nobody charging for moves.
    private static void IsHardlyDearerThanAfresh(Job stable, string what)
    {
        static long Cost(Job job) => PlanExplain.CostOf(Core.Geometry.HouseShape.Of(job)).Cents;
        (Cost(stable) / (double)Cost(Planner.PlanAfresh(stable))).ShouldBeLessThanOrEqualTo(1.02, what);
    }

    [Fact]
    public void Moving_one_along_its_wall_moves_at_most_two_to_another_circuit()
    {
        foreach (
            var (_, box) in Planned
                .Decisions.Boxes.Where(b => b is { Kind: BoxKind.Receptacle, Wall: not null })
                .Index()
                .Where(b => b.Index % 2 == 0)
        )
        {
            var moved = new[] { 2.0, -2.0 }
                .Select(feet =>
                    new MoveBox(box.Id, box.Wall, Length.Max(Length.Zero, box.Along + Length.Feet(feet)), null).Apply(Planned).Job
                )
                .OfType<Job>()
                .First();
            var again = new PlanCircuits(false).Apply(moved).Job.ShouldNotBeNull();
            Others(Planned, again, box.Id).ShouldBeLessThanOrEqualTo(2, box.Id);
        }
    }

    [Fact]
    public void Adding_one_in_any_room_moves_at_most_two_others_and_renumbers_nothing()
    {
        foreach (var room in Planned.Rooms.Where(r => !r.Kind.Doorless()))
        {
            var more = new AddBox(BoxKind.Receptacle, room.Id, 0, Length.Feet(1), null).Apply(Planned).Job.ShouldNotBeNull();
            var again = new PlanCircuits(false).Apply(more).Job.ShouldNotBeNull();
            Others(Planned, again, "").ShouldBeLessThanOrEqualTo(2, room.Id);
            IsHardlyDearerThanAfresh(again, room.Id);
            Planned.Decisions.Circuits.Select(c => c.Number).Except(again.Decisions.Circuits.Select(c => c.Number)).ShouldBeEmpty();
        }
    }

    [Fact]
    public void A_locked_circuit_and_a_persons_boxes_stay_when_all_is_planned_afresh()
    {
        var locked = Planned.Decisions.Circuits.First(c => c.Purpose == CircuitPurpose.Receptacles && c.Boxes.Length > 4);
        var job = Planned with
        {
            Decisions = Planned.Decisions with
            {
                Circuits = [.. Planned.Decisions.Circuits.Select(c => c.Number == locked.Number ? c with { Locked = true } : c)],
            },
        };
        var light = job.Decisions.Boxes.First(b => b.Kind == BoxKind.Light && b.Room == "living").Id;
        job = new AssignBox(light, job.Decisions.Circuits.Last(c => c.Purpose == CircuitPurpose.Lighting).Number)
            .Apply(job)
            .Job.ShouldNotBeNull();
        var chosen = Where(job)[light];
        var afresh = new PlanCircuits(true).Apply(job).Job.ShouldNotBeNull();
        afresh
            .Decisions.Circuits.Single(c => c.Number == locked.Number)
            .Boxes.Select(b => b.Box)
            .Order()
            .ShouldBe(locked.Boxes.Select(b => b.Box).Order());
        Where(afresh)[light].ShouldBe(chosen);
    }
}
