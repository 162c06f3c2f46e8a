using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.BoxLayout;

/// <summary>Proposes smoke alarms in each bedroom, outside the bedrooms and on each storey, clear of bathroom doors.</summary>
internal static class AlarmRules
{
    internal static void Add(Draft draft)
    {
        var garage = NeedsCarbonMonoxide(draft.Job);
        foreach (var shape in draft.Rooms.Where(r => r.Room.Kind == RoomKind.Bedroom))
            Place(draft, shape, false);
        foreach (var shape in OutsideBedrooms(draft.House).Where(draft.Rooms.Contains))
            Place(draft, shape, garage);
        foreach (var storey in draft.Job.Storeys)
        {
            var inside = draft.House.Rooms.Where(r => r.Room.Storey == storey.Id && Counts(draft.Edition, r.Room)).ToList();
            if (inside.Count == 0 || draft.All.Any(b => b.Kind == BoxKind.SmokeAlarm && draft.House[b.Room].Room.Storey == storey.Id))
                continue;
            var best = inside.OrderBy(r => Fitness(r.Room.Kind)).ThenBy(r => r.Room.Id, StringComparer.Ordinal).First();
            if (draft.Rooms.Contains(best))
                Place(draft, best, garage && best.Room.Kind == RoomKind.Hallway);
        }
    }

    /// <summary>Whether a room makes its storey one with an alarm: where people live, and a basement, finished or not.</summary>
    internal static bool Counts(Codes.CodeEdition edition, Room room) =>
        edition.Traits(room.Kind).FloorArea || room.Kind == RoomKind.UnfinishedBasement;

    /// <summary>
    /// Whether alarms outside the bedrooms sense carbon monoxide: with an attached garage or with anything that burns fuel (R315).
    /// </summary>
    internal static bool NeedsCarbonMonoxide(Job job) =>
        job.Rooms.Any(r => r.Kind == RoomKind.Garage)
        || job.Appliances.Any(a => Codes.CodeLibrary.Appliances[a.Type].Fuel)
        || job.Fixtures.Any(f => f.Kind == FixtureKind.Fireplace);

    /// <summary>The rooms onto which bedrooms open and that are not themselves closets or baths: one for each sleeping area.</summary>
    internal static IEnumerable<RoomShape> OutsideBedrooms(HouseShape house) =>
        house
            .Rooms.Where(r => r.Room.Kind == RoomKind.Bedroom)
            .Select(r =>
                r.Openings.Where(o => o.IsDoorway && o.Beyond is not null)
                    .Select(o => house[o.Beyond!])
                    .Where(n =>
                        n.Room.Kind is not (RoomKind.Closet or RoomKind.Bathroom or RoomKind.Bedroom or RoomKind.Garage)
                        && !n.Room.Kind.Doorless()
                    )
                    .OrderBy(n => n.Room.Kind == RoomKind.Hallway ? 0 : 1)
                    .FirstOrDefault()
            )
            .OfType<RoomShape>()
            .Distinct();

    private static int Fitness(RoomKind kind) =>
        kind switch
        {
            RoomKind.Hallway => 0,
            RoomKind.Living or RoomKind.Family => 1,
            RoomKind.Dining or RoomKind.Office or RoomKind.Den => 2,
            RoomKind.Kitchen => 8,
            RoomKind.Bathroom or RoomKind.Closet => 9,
            _ => 5,
        };

    private static void Place(Draft draft, RoomShape shape, bool carbonMonoxide)
    {
        if (draft.In(shape).Any(b => b.Kind == BoxKind.SmokeAlarm))
            return;
        var best = BestPlace(draft.House, draft.Edition, draft.In(shape), shape);
        draft.Add(
            new Box
            {
                Kind = BoxKind.SmokeAlarm,
                Room = shape.Room.Id,
                At = best,
                Height = shape.Room.CeilingHeight,
                CarbonMonoxide = carbonMonoxide,
            }
        );
    }

    /// <summary>
    /// The place in a room's ceiling that is clear of everything an alarm keeps away from, and among those the nearest to its middle.
    /// </summary>
    internal static Point BestPlace(HouseShape house, Codes.CodeEdition edition, IReadOnlyList<Box> boxes, RoomShape shape)
    {
        var lights = boxes.Where(b => b.Kind == BoxKind.Light && b.Room == shape.Room.Id).Select(b => Places.Of(house, b)).ToList();
        var best = shape.Centre;
        var lowest = double.MaxValue;
        foreach (var p in Places.Spread(shape, 12))
        {
            var cost = p.InchesTo(shape.Centre);
            if (shape.InchesToWall(p) < 12)
                cost += 200;
            if (lights.Any(l => l.InchesTo(p) < 24))
                cost += 100;
            cost += TooNear(house, edition, boxes, shape, p).Sum(n => 1000 + (n.Needed - n.Inches));
            if (cost < lowest)
                (best, lowest) = (p, cost);
        }

        return best;
    }

    // Half the sweep of a common ceiling fan.
    private const double FanBladeInches = 26;

    /// <summary>What an alarm at a place would stand too near to: bathroom doors, fans, cooking.</summary>
    internal static IEnumerable<(string What, double Inches, double Needed)> TooNear(
        HouseShape house,
        Codes.CodeEdition edition,
        IEnumerable<Box> boxes,
        RoomShape shape,
        Point at
    )
    {
        var door = edition.Number("alarmFromBathDoorIn");
        foreach (var o in shape.Openings.Where(o => o.IsDoorway && o.Beyond is { } n && house[n].Room.Kind == RoomKind.Bathroom))
        {
            var inches = shape.On(o.Wall, o.From + (o.Opening.Width / 2)).InchesTo(at);
            if (inches < door)
                yield return ("the door of a bathroom", inches, door);
        }

        var fan = edition.Number("alarmFromFanTipIn") + FanBladeInches;
        foreach (
            var box in boxes.Where(b =>
                b.Room == shape.Room.Id
                && (b.Fixture == LightStyle.Fan || ApplianceFacts.Has(house.Job.ApplianceById(b.Appliance), ApplianceTrait.CeilingFan))
            )
        )
        {
            var inches = Places.Of(house, box).InchesTo(at);
            if (inches < fan)
                yield return ("a ceiling fan", inches, fan);
        }

        var cooking = edition.Number("alarmFromCookingIn");
        foreach (
            var appliance in house.Job.Appliances.Where(a =>
                a.Room == shape.Room.Id
                && CodeLibrary.Appliances[a.Type] is var type
                && (type.Cooking || type.Has(ApplianceTrait.CookingSurface))
            )
        )
        {
            var inches = Places.InchesTo(shape, appliance.Spot, at);
            if (inches < cooking)
                yield return ("a cooking appliance", inches, cooking);
        }
    }
}
