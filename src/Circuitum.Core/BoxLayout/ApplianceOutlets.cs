using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.BoxLayout;

/// <summary>Proposes the outlet of each appliance, behind it at the height that is usual for it.</summary>
internal static class ApplianceOutlets
{
    // Into the next cabinet, past its side.
    private static readonly Length Past = Length.Inches(6);

    /// <summary>
    /// The place on its wall in the space beside a built-in appliance: under the sink when that is next to it, else under the counter, else
    /// whichever side has wall.
    /// </summary>
    internal static Length BesideOf(Job job, RoomShape shape, Appliance appliance)
    {
        var (wall, from, to) = (appliance.Spot.Wall!.Value, appliance.Spot.From, appliance.Spot.From + appliance.Spot.Width);
        int Worth(Length at) =>
            at < Length.Inches(2) || at > shape.Walls[wall].Length - Length.Inches(2)
                ? -100
                : (
                    job.Fixtures.Any(f =>
                        f.Room == shape.Room.Id
                        && f.Kind == FixtureKind.Sink
                        && f.Spot.Wall == wall
                        && (at - f.Spot.From - (f.Spot.Width / 2)).Abs() < Length.Feet(3)
                    )
                        ? 4
                        : 0
                )
                    + (
                        job.Counters.Any(c =>
                            c.Room == shape.Room.Id && c.Spot.Wall == wall && at > c.Spot.From && at < c.Spot.From + c.Spot.Width
                        )
                            ? 2
                            : 0
                    )
                    - (
                        job.Appliances.Any(x =>
                            x.Id != appliance.Id
                            && x.Room == shape.Room.Id
                            && x.Spot.Wall == wall
                            && at > x.Spot.From
                            && at < x.Spot.From + x.Spot.Width
                        )
                            ? 8
                            : 0
                    );
        return new[] { from - Past, to + Past }.MaxBy(Worth).RoundTo(Length.Inches(1));
    }

    internal static void Add(Draft draft)
    {
        foreach (var appliance in draft.Job.Appliances)
        {
            var shape = draft.House[appliance.Room];
            if (!draft.Rooms.Contains(shape) || draft.All.Any(b => b.Appliance == appliance.Id))
                continue;
            var type = ApplianceFacts.Of(draft.Job, appliance).Type;
            var overhead = type.OutletHeightIn < 0;
            var height = overhead ? shape.Room.CeilingHeight : Length.Inches(type.OutletHeightIn);
            if (type.Has(ApplianceTrait.Range) && draft.Edition.InForce("box.rangeHeight"))
                height = Length.Min(height, draft.InchNumber("rangeHeightMostIn"));
            var box = new Box
            {
                Kind = BoxKind.Appliance,
                Room = appliance.Room,
                Appliance = appliance.Id,
                Height = height,
            };
            draft.Add(
                !overhead && appliance.Spot.Wall is { } wall
                    ? box with
                    {
                        Wall = wall,
                        Along =
                            type.OutletBeside && !ApplianceFacts.Of(draft.Job, appliance).Hardwired
                                ? BesideOf(draft.Job, shape, appliance)
                                : Length.Min(
                                    (appliance.Spot.From + (appliance.Spot.Width / 2)).RoundTo(Length.Inches(1)),
                                    shape.Walls[wall].Length
                                ),
                    }
                    : box with
                    {
                        At = Places.Of(shape, appliance.Spot, overhead ? Math.Max(12, appliance.Spot.Depth.InInches / 2) : 0),
                    }
            );
        }
    }
}
