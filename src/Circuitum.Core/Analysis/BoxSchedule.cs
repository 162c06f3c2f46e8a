using System.Collections.Immutable;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Analysis;

/// <summary>The door to the box schedule: what is set where, room by room, and what waits for whom.</summary>
public static class BoxSchedule
{
    /// <summary>The rooms that have boxes, in the job's order.</summary>
    public static ImmutableArray<RoomBoxes> Of(JobAnalysis a)
    {
        var byRoom = a.Job.Decisions.Boxes.ToLookup(b => b.Room);
        return [.. a.House.Rooms.Where(r => byRoom[r.Room.Id].Any()).Select(r => Of(a, r, byRoom[r.Room.Id]))];
    }

    /// <summary>The boxes of one room.</summary>
    public static RoomBoxes Of(JobAnalysis a, RoomShape room, IEnumerable<Box> boxes)
    {
        ImmutableArray<BoxLine> lines =
        [
            .. boxes
                .OrderBy(b => b.Wall ?? int.MaxValue)
                .ThenBy(b => b.Outside)
                .ThenBy(b => b.Wall is { } w ? FromLeft(room, b, w).Units : 0)
                .ThenBy(b => b.Id, StringComparer.Ordinal)
                .Select(b => new BoxLine(b, a.Specs[b.Id], Place(a.House, b), Height(a.Job, b))),
        ];
        ImmutableArray<(string, int)> counts =
        [
            .. lines
                .GroupBy(l => l.Spec.Entry?.Name ?? l.Spec.Device)
                .Select(g => (g.Key, g.Count()))
                .OrderByDescending(g => g.Item2)
                .ThenBy(g => g.Key, StringComparer.Ordinal),
        ];
        return new(room, lines, counts);
    }

    /// <summary>All held boxes, by whom to ask.</summary>
    public static ImmutableArray<Box> Held(Job job) =>
        [
            .. job
                .Decisions.Boxes.Where(b => b.Held is not null)
                .OrderBy(b => b.Held!.Ask, StringComparer.OrdinalIgnoreCase)
                .ThenBy(b => b.Id, StringComparer.Ordinal),
        ];

    /// <summary>Along a wall from the corner at the left hand of a person who faces it; from outside for a box on the outer face.</summary>
    public static Length FromLeft(RoomShape room, Box box, int wall) =>
        room.RightIsAlong(wall) != box.Outside ? box.Along : room.Walls[wall].Length - box.Along;

    /// <summary>Where a tape finds a box.</summary>
    public static string Place(HouseShape house, Box box)
    {
        var room = house[box.Room];
        if (box.Wall is { } wall)
            return $"{LabelWriter.Facing(room, wall)} wall{(box.Outside ? ", outer face" : "")}, "
                + $"{LengthText.Show(FromLeft(room, box, wall), house.Job.Units)} from the left corner";
        var over = box.Kind is not (BoxKind.Light or BoxKind.SmokeAlarm) && box.Height >= Length.Feet(7) ? "on the ceiling, " : "";
        return over
            + string.Join(
                ", ",
                FromWalls(room, Places.Of(house, box))
                    .Select(w =>
                        $"{LengthText.Show(w.Away.RoundTo(Length.Inches(0.5)), house.Job.Units)} from the "
                        + $"{LabelWriter.Facing(room, w.Wall)} wall"
                    )
            );
    }

    /// <summary>The nearest wall and the nearest one that stands square to it: two tapes cross at one place.</summary>
    public static IEnumerable<(int Wall, Length Away)> FromWalls(RoomShape room, Point at)
    {
        var walls = room
            .Walls.Select(w =>
                (Wall: w, Away: Math.Abs(((at.X - w.A.X).InInches * w.Dy) - ((at.Y - w.A.Y).InInches * w.Dx)), On: w.Along(at))
            )
            .Where(w => w.On >= Length.Zero && w.On <= w.Wall.Length)
            .OrderBy(w => w.Away)
            .ToList();
        if (walls.Count == 0)
            yield break;
        var first = walls[0];
        yield return (first.Wall.Index, Length.Inches(first.Away));
        foreach (var (wall, away, _) in walls.Where(w => Math.Abs((w.Wall.Dx * first.Wall.Dx) + (w.Wall.Dy * first.Wall.Dy)) < 0.5).Take(1))
            yield return (wall.Index, Length.Inches(away));
    }

    private static string Height(Job job, Box box)
    {
        if (box.Wall is null)
            return box.Kind is BoxKind.Light or BoxKind.SmokeAlarm ? "ceiling"
                : box.Height >= Length.Feet(7) ? "ceiling"
                : box.Height <= Length.Inches(2) ? "floor"
                : $"centre {LengthText.Show(box.Height, job.Units)}";
        var gangs = BoxHardware.Gangs(job, box);
        return gangs == 0
            ? $"centre {LengthText.Show(box.Height, job.Units)}"
            : $"centre {LengthText.Show(box.Height, job.Units)}, bottom {LengthText.Show(box.Height - Length.Inches(2), job.Units)}";
    }
}
