using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.BoxLayout;

/// <summary>
/// Proposes what cuts equipment off: a disconnect within sight of air conditioners, heat pumps, air handlers, water heaters and
/// motors, a service switch at a furnace (422.31, 424.19, 430.102, 440.14), a switch for a disposer and for a bath heater.
/// </summary>
internal static class EquipmentRules
{
    // Beside what it serves, where a hand reaches it and nobody has to lean over a machine.
    private static readonly Length Beside = Length.Inches(12);

    /// <summary>How high over the floor.</summary>
    internal static readonly Length Height = Length.Inches(48);

    // What is 50 ft away is out of sight.
    private const double SightInches = 50 * 12;

    internal static void Add(Draft draft)
    {
        foreach (var appliance in draft.Job.Appliances.Where(a => draft.Rooms.Any(r => r.Room.Id == a.Room)))
        {
            if (Missing(draft.House, draft.All, appliance) && Place(draft, appliance) is { } place)
                draft.Add(place);
        }
    }

    /// <summary>Whether an appliance wants a disconnect or a switch of its own and has none.</summary>
    internal static bool Missing(HouseShape house, IEnumerable<Box> boxes, Appliance appliance)
    {
        var facts = ApplianceFacts.Of(house.Job, appliance);
        if (facts.Cutoff == Cutoff.None || boxes.Any(b => b.Serves == appliance.Id))
            return false;
        return facts.Cutoff == Cutoff.Control || !InSightOfPanel(house, appliance);
    }

    // The breaker itself is the disconnect where the panel hangs in the same room.
    private static bool InSightOfPanel(HouseShape house, Appliance appliance) =>
        house.Job.Panels.Any(p =>
            p.Room == appliance.Room
            && house[p.Room].On(p.Wall, p.Along).InchesTo(Places.Of(house[appliance.Room], appliance.Spot)) <= SightInches
        );

    /// <summary>
    /// Whether a disconnect is within sight of what it serves: in the same room or place, or on the wall beside a door to it, and at most
    /// 50 ft off.
    /// </summary>
    internal static bool InSight(HouseShape house, Box box, Appliance appliance)
    {
        var (here, there) = (house[box.Room], house[appliance.Room]);
        var near = Places.Of(house, box).InchesTo(Places.Of(there, appliance.Spot)) <= SightInches;
        return near && (box.Room == appliance.Room || (box.Outside && there.Room.Kind.OpenAir() && here.Room.Storey == there.Room.Storey));
    }

    /// <summary>A place for what cuts an appliance off, or none.</summary>
    internal static Box? Place(Draft draft, Appliance appliance)
    {
        var facts = ApplianceFacts.Of(draft.Job, appliance);
        var shape = draft.House[appliance.Room];
        var box = new Box
        {
            Kind = BoxKind.Disconnect,
            Room = appliance.Room,
            Serves = appliance.Id,
            Height = Height,
        };
        if (facts.Type.Has(ApplianceTrait.Disposer))
        {
            // Over the counter beside the sink.
            var sink = draft
                .Job.Fixtures.FirstOrDefault(f => f.Room == appliance.Room && f.Kind == FixtureKind.Sink && f.Spot.Wall is not null)
                ?.Spot
                ?? appliance.Spot;
            return sink.Wall is { } wall
                ? Free(
                    draft,
                    box with
                    {
                        Wall = wall,
                        Along = (sink.From + sink.Width + Length.Inches(6)).RoundTo(Length.Inches(1)),
                        Height = draft.Job.Preferences.CounterCentre,
                    }
                )
                : null;
        }

        if (facts.Cutoff == Cutoff.Control)
        {
            if (SwitchReach.Entries(draft.House, shape).FirstOrDefault() is not { } door)
                return null;
            var (wall, along) = SwitchRules.LatchSide(shape, door);
            return Free(
                draft,
                box with
                {
                    Wall = wall,
                    Along = along.RoundTo(Length.Inches(1)),
                    Height = draft.Job.Preferences.SwitchCentre,
                }
            );
        }

        var at = Places.Of(shape, appliance.Spot);
        var (nearest, middle, _) = appliance.Spot.Wall is { } own
            ? (own, appliance.Spot.From + (appliance.Spot.Width / 2), 0.0)
            : shape.Nearest(at);
        var half = appliance.Spot.Width / 2;
        var side =
            middle + half + Beside <= shape.Walls[nearest].Length - Length.Inches(4) ? middle + half + Beside : middle - half - Beside;
        return Free(
            draft,
            box with
            {
                Wall = nearest,
                Along = Length.Max(Length.Inches(4), Length.Min(side, shape.Walls[nearest].Length - Length.Inches(4))),
            }
        );
    }

    private static Box Free(Draft draft, Box box) =>
        BoxBody.Settle(draft.House, box with { Id = "new" }, draft.Near(box.Room), 48, clear: true);
}
