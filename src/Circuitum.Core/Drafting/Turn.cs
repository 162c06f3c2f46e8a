using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Drafting;

/// <summary>Mirrors and turns a whole house about the middle of its plan, so that storeys stay over each other.</summary>
public static class Turn
{
    /// <summary>
    /// Turns the house. Distances along walls do not change, so what hangs on walls follows by itself; the street side
    /// turns too. Outlines stay clockwise. A traced picture is not turned.
    /// </summary>
    public static Job House(Job job, Turning turning)
    {
        if (job.Rooms.Length == 0)
            return job;
        var corners = job.Rooms.SelectMany(r => r.Outline).ToList();
        var (west, north) = (corners.Min(p => p.X), corners.Min(p => p.Y));
        var (east, south) = (corners.Max(p => p.X), corners.Max(p => p.Y));
        Point At(Point p) =>
            turning switch
            {
                Turning.MirrorEastWest => new(west + east - p.X, p.Y),
                Turning.MirrorNorthSouth => new(p.X, north + south - p.Y),
                _ => new(west + south - p.Y, north + p.X - west),
            };
        Spot Free(Spot s)
        {
            var (a, b) = (At(s.At!.Value), At(new(s.At.Value.X + s.Width, s.At.Value.Y + s.Depth)));
            return s with { At = new(Length.Min(a.X, b.X), Length.Min(a.Y, b.Y)), Width = (a.X - b.X).Abs(), Depth = (a.Y - b.Y).Abs() };
        }

        var quarter = turning == Turning.QuarterTurn;
        var turned = Anchors.Free(job, _ => true, At, Free);
        turned = turned with
        {
            Rooms =
            [
                .. job.Rooms.Select(r =>
                    r with
                    {
                        Outline = [.. r.Outline.Select(At)],
                        Joists =
                            quarter && r.Joists is { } j
                                ? j == JoistRun.EastWest
                                    ? JoistRun.NorthSouth
                                    : JoistRun.EastWest
                                : r.Joists,
                    }
                ),
            ],
            Frame = job.Frame with { Front = Front(job.Frame.Front, turning) },
        };
        return quarter ? turned : turned.Rooms.Aggregate(turned, (j, r) => Reversed(j, r.Id));
    }

    /// <summary>Makes sure that a room's corners go round clockwise on the page.</summary>
    internal static Job Clockwise(Job job, string room)
    {
        var shape = new Geometry.RoomShape(job.RoomById(room)!);
        var wall = shape.Walls[0];

        // Going clockwise the room lies to the right of each wall: its inward normal is the direction turned that way.
        return (-wall.Dy * shape.InX(wall)) + (wall.Dx * shape.InY(wall)) > 0 ? job : Reversed(job, room);
    }

    // The same room with its corners named the other way round: every wall begins where it ended.
    private static Job Reversed(Job job, string id)
    {
        var room = job.RoomById(id)!;
        var shape = new Geometry.RoomShape(room);
        var n = room.Outline.Length;
        var moved = Anchors.Map(job, id, (a, _) =>
            a with
            {
                Wall = (n - 2 - a.Wall + n) % n,
                From = shape.Walls[a.Wall].Length - a.From - a.Width,
            }
        );
        return moved with
        {
            Rooms = moved.Rooms.Replace(moved.RoomById(id)!, room with { Outline = [.. room.Outline.Reverse()] }),
            Openings = [.. moved.Openings.Select(o => o.Room == id ? o with { Hinge = o.Hinge == End.Start ? End.Finish : End.Start } : o)],
        };
    }

    private static Side Front(Side front, Turning turning) =>
        turning switch
        {
            Turning.MirrorEastWest => front is Side.East ? Side.West
            : front is Side.West ? Side.East
            : front,
            Turning.MirrorNorthSouth => front is Side.North ? Side.South
            : front is Side.South ? Side.North
            : front,
            _ => (Side)(((int)front + 1) % 4),
        };
}
