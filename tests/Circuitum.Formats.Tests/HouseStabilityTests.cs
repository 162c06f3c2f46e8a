using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Circuits;
using Circuitum.Core.Commands;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Planning;
using Circuitum.Core.Review;

namespace Circuitum.Formats.Tests;

/// <summary>A change of the house itself leaves the circuits of everything else where they are, with their numbers.</summary>
public class HouseStabilityTests
{
    private static readonly Job Planned = Planner.PlanAll(JobFileTests.Demo("tamarack-row.json"), PlanEffort.Full);

    private static Job Again(Job changed) => new PlanCircuits(false).Apply(BoxProposal.Propose(changed)).Job.ShouldNotBeNull();

    private static void IsStable(Job after, string what, bool priced = true)
    {
        var now = after.Decisions.Circuits.SelectMany(c => c.Boxes.Select(b => (b.Box, c.Number))).ToDictionary(x => x.Box, x => x.Number);
        now.Keys.Order().ShouldBe(after.Decisions.Boxes.Where(b => b.Kind != BoxKind.Disconnect).Select(b => b.Id).Order(), what);
        var moved = Planned
            .Decisions.Circuits.SelectMany(c => c.Boxes.Where(b => now.TryGetValue(b.Box, out var n) && n != c.Number).Select(b => b.Box))
            .ToList();
        moved.Count.ShouldBeLessThanOrEqualTo(2, $"{what}: {string.Join(", ", moved)}");
        var kept = Planned.Decisions.Circuits.Where(c => c.Boxes.Any(b => now.ContainsKey(b.Box))).Select(c => c.Number);
        kept.Except(after.Decisions.Circuits.Select(c => c.Number)).ShouldBeEmpty(what);
        if (!priced)
            return;
        var cost =
            PlanExplain.CostOf(HouseShape.Of(after)).Cents / (double)PlanExplain.CostOf(HouseShape.Of(Planner.PlanAfresh(after))).Cents;
        cost.ShouldBeLessThanOrEqualTo(1.02, what);
    }

    [Theory]
    [InlineData(RoomKind.Bedroom)]
    [InlineData(RoomKind.Office)]
    [InlineData(RoomKind.Sunroom)]
    [InlineData(RoomKind.Closet)]
    public void A_room_more(RoomKind kind)
    {
        var beside = Planned.Rooms.First(r => r.Kind == RoomKind.Living);
        var added = new[] { Side.West, Side.South, Side.East, Side.North }
            .Select(on =>
                new AddRoom("Annex", kind, beside.Storey, Length.Feet(11), Length.Feet(10), beside.Id, on, Length.Feet(8))
                    .Apply(Planned)
                    .Job
            )
            .OfType<Job>()
            .First();
        IsStable(Again(added), $"{kind}");
    }

    [Theory]
    [InlineData(1.0)]
    [InlineData(-1.0)]
    [InlineData(2.0)]
    public void A_wall_that_moves(double feet)
    {
        var looked = 0;
        foreach (var room in Planned.Rooms.Where(r => r.Kind is RoomKind.Living or RoomKind.Bedroom or RoomKind.Kitchen).Take(4))
        {
            var moved = Enumerable
                .Range(0, 4)
                .Select(w => new MoveWall(room.Id, w, Length.Feet(feet), null, false).Apply(Planned).Job)
                .OfType<Job>()
                .FirstOrDefault();
            if (moved is null)
                continue;
            IsStable(Again(moved), $"{room.Id} by {feet} ft", priced: looked++ == 0);
        }

        looked.ShouldBeGreaterThan(2);
    }

    [Fact]
    public void An_appliance_that_goes_or_changes()
    {
        foreach (var (appliance, i) in Planned.Appliances.Select((x, i) => (x, i)))
        {
            IsStable(
                Again(new RemoveThing(Subject.Parse($"appliance:{appliance.Id}")).Apply(Planned).Job.ShouldNotBeNull(appliance.Id)),
                appliance.Id,
                priced: i % 5 == 0
            );
            if (i % 2 == 1)
                continue;
            var plate = new Nameplate { VoltAmperes = Core.Codes.ApplianceFacts.Of(Planned, appliance).Load.Value * 1.1, Confirmed = true };
            if (new SetNameplate(appliance.Id, plate, "").Apply(Planned).Job is { } changed)
                IsStable(Again(changed), $"{appliance.Id}, larger", priced: i % 8 == 0);
        }
    }
}
