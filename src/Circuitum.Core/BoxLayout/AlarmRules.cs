using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.BoxLayout;

/// <summary>Proposes smoke alarms in each bedroom, outside the bedrooms and on each storey, clear of bathroom doors.</summary>
internal static class AlarmRules
{
    internal static void Add(Draft draft)
    {
        var garage = draft.House.Rooms.Any(r => r.Room.Kind == RoomKind.Garage);
        foreach (var shape in draft.Rooms.Where(r => r.Room.Kind == RoomKind.Bedroom)) Place(draft, shape, false);
        foreach (var shape in OutsideBedrooms(draft.House).Where(draft.Rooms.Contains)) Place(draft, shape, garage);
        foreach (var storey in draft.Job.Storeys)
        {
            var inside = draft.House.Rooms.Where(r => r.Room.Storey == storey.Id && draft.Traits(r).FloorArea).ToList();
            if (inside.Count == 0 || draft.All.Any(b => b.Kind == BoxKind.SmokeAlarm && draft.House[b.Room].Room.Storey == storey.Id)) continue;
            var best = inside.OrderBy(r => Fitness(r.Room.Kind)).ThenBy(r => r.Room.Id, StringComparer.Ordinal).First();
            if (draft.Rooms.Contains(best)) Place(draft, best, garage && best.Room.Kind == RoomKind.Hallway);
        }
    }

    /// <summary>The rooms onto which bedrooms open and that are not themselves closets or baths: one for each sleeping area.</summary>
    internal static IEnumerable<RoomShape> OutsideBedrooms(HouseShape house) => house.Rooms
        .Where(r => r.Room.Kind == RoomKind.Bedroom)
        .Select(r => r.Openings.Where(o => o.IsDoorway && o.Beyond is not null).Select(o => house[o.Beyond!])
            .Where(n => n.Room.Kind is not (RoomKind.Closet or RoomKind.Bathroom or RoomKind.Bedroom or RoomKind.Garage) && !n.Room.Kind.Doorless())
            .OrderBy(n => n.Room.Kind == RoomKind.Hallway ? 0 : 1).FirstOrDefault())
        .OfType<RoomShape>().Distinct();

    private static int Fitness(RoomKind kind) => kind switch
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
        if (draft.All.Any(b => b.Kind == BoxKind.SmokeAlarm && b.Room == shape.Room.Id)) return;
        var lights = draft.All.Where(b => b.Kind == BoxKind.Light && b.Room == shape.Room.Id).Select(b => Places.Of(draft.House, b)).ToList();
        var baths = shape.Openings.Where(o => o.Beyond is { } n && draft.House[n].Room.Kind == RoomKind.Bathroom)
            .Select(o => shape.On(o.Wall, o.From + (o.Opening.Width / 2))).ToList();
        var clear = draft.Edition.Number("alarmFromBathDoorIn");
        var best = shape.Centre;
        var lowest = double.MaxValue;
        for (var i = 1; i < 12; i++)
        {
            for (var j = 1; j < 12; j++)
            {
                var p = new Point(shape.MinX + Length.Inches((shape.MaxX - shape.MinX).InInches * i / 12), shape.MinY + Length.Inches((shape.MaxY - shape.MinY).InInches * j / 12));
                if (!shape.Contains(p)) continue;
                var cost = p.InchesTo(shape.Centre);
                if (shape.InchesToWall(p) < 12) cost += 200;
                if (lights.Any(l => l.InchesTo(p) < 24)) cost += 100;
                if (baths.Any(b => b.InchesTo(p) < clear + 6)) cost += 1000;
                if (cost < lowest) (best, lowest) = (p, cost);
            }
        }

        draft.Add(new Box { Kind = BoxKind.SmokeAlarm, Room = shape.Room.Id, At = best, Height = shape.Room.CeilingHeight, CarbonMonoxide = carbonMonoxide });
    }
}
