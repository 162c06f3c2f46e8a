using System.Collections.Immutable;
using Circuitum.Core.Drafting;
using Circuitum.Core.Geometry;
using Circuitum.Core.Intake;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Commands;

/// <summary>What every edit of the plan ends with.</summary>
internal static class PlanEdit
{
    // Rounding of skew walls may make two rooms touch; more than this is a mistake of the hand.
    private const double LeastOverlapSqFt = 0.1;

    /// <summary>The changed job if its document is right and it brought no two rooms over each other.</summary>
    internal static CommandResult Finish(Job before, Job after)
    {
        var result = CommandResult.Checked(after);
        if (result.Job is null)
            return result;
        var old = before.Rooms.ToDictionary(r => r.Id);
        foreach (var room in after.Rooms.Where(r => !old.TryGetValue(r.Id, out var was) || !was.Outline.SequenceEqual(r.Outline)))
        {
            foreach (var other in after.Rooms.Where(r => r.Id != room.Id && r.Storey == room.Storey))
            {
                var now = HouseShape.OverlapSqFt(room, other);
                if (now < LeastOverlapSqFt)
                    continue;
                var then = old.TryGetValue(room.Id, out var a) && old.TryGetValue(other.Id, out var b) ? HouseShape.OverlapSqFt(a, b) : 0;
                if (now > then + 0.01)
                    return CommandResult.Refuse($"{JobRules.Short(room.Name)} would lie over {JobRules.Short(other.Name)}.");
            }
        }

        return result;
    }

    internal static string Gone(string what) => $"That {what} is not there any more.";
}

/// <summary>Draws a room by its corners, or a rectangle by two of them.</summary>
/// <param name="Storey">The storey.</param>
/// <param name="Corners">Two opposite corners, or all of them going round once.</param>
/// <param name="Name">Its name; empty takes the next free number.</param>
/// <param name="Kind">Its kind.</param>
public sealed record DrawRoom(string Storey, ImmutableArray<Point> Corners, string Name, RoomKind Kind) : JobCommand("draw room")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.StoreyById(Storey) is not { } storey)
            return CommandResult.Refuse("Pick a storey first.");
        if (Corners.Length is < 2 or > 64)
            return CommandResult.Refuse("A room has 3 to 64 corners; two make a rectangle.");
        var lines = SnapLines.Of(job, Storey);
        var corners = Corners.Select(lines.Exact).ToList();
        if (corners.Count == 2)
        {
            var (a, b) = (corners[0], corners[1]);
            if ((a.X - b.X).Abs() < Length.Feet(1) || (a.Y - b.Y).Abs() < Length.Feet(1))
                return CommandResult.Refuse("A room is at least a foot wide and deep.");
            var (w, e) = (Length.Min(a.X, b.X), Length.Max(a.X, b.X));
            var (n, s) = (Length.Min(a.Y, b.Y), Length.Max(a.Y, b.Y));
            corners = [new(w, n), new(e, n), new(e, s), new(w, s)];
        }

        // Inside out is the same room: corners are kept clockwise, as typed rooms have them.
        double twice = 0;
        for (var i = 0; i < corners.Count; i++)
        {
            var (p, q) = (corners[i], corners[(i + 1) % corners.Count]);
            twice += (p.X.InInches * q.Y.InInches) - (q.X.InInches * p.Y.InInches);
        }

        if (twice < 0)
            corners.Reverse();
        var name = Name.Trim();
        for (var n = 1; name.Length == 0; n++)
        {
            if (job.Rooms.All(r => r.Name != $"Room {n}"))
                name = $"Room {n}";
        }

        var room = new Room
        {
            Id = Names.Free(name, job.Rooms.Select(r => r.Id)),
            Name = name,
            Kind = Kind,
            Storey = Storey,
            CeilingHeight = storey.Ceiling ?? Length.Feet(8),
            Outline = [.. corners],
        };
        return PlanEdit.Finish(job, job with { Rooms = job.Rooms.Add(room) });
    }
}

/// <summary>Moves a wall; the rooms on both sides follow.</summary>
/// <param name="Room">The room from which it is seen.</param>
/// <param name="Wall">The number of its wall.</param>
/// <param name="By">How far outwards; negative moves it into the room.</param>
/// <param name="To">Instead, a place that the wall goes to.</param>
/// <param name="Alone">Only this room's side moves.</param>
public sealed record MoveWall(string Room, int Wall, Length? By, Point? To, bool Alone) : JobCommand("move wall")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.RoomById(Room) is not { } room || Wall < 0 || Wall >= room.Outline.Length)
            return CommandResult.Refuse(PlanEdit.Gone("wall"));
        var shape = new RoomShape(room);
        var wall = shape.Walls[Wall];
        var by = By ?? Length.Zero;
        if (To is { } p)
        {
            var to = SnapLines.Of(job, room.Storey).Exact(p);
            by =
                wall.Dx is 1 or -1 ? (to.Y - wall.A.Y)
                : wall.Dy is 1 or -1 ? (to.X - wall.A.X)
                : Length
                    .Inches(-(((p.X - wall.A.X).InInches * shape.InX(wall)) + ((p.Y - wall.A.Y).InInches * shape.InY(wall))))
                    .RoundTo(Length.Inches(0.5));
            if (wall.Dx is 1 or -1 && shape.InY(wall) > 0)
                by = -by;
            if (wall.Dy is 1 or -1 && shape.InX(wall) > 0)
                by = -by;
        }

        return by == Length.Zero
            ? CommandResult.Refuse("The wall stands there already.")
            : PlanEdit.Finish(job, WallMove.Move(job, Room, Wall, by, Alone));
    }
}

/// <summary>Gives a wall a length by moving the wall at its far corner, or at its first one.</summary>
/// <param name="Room">The room.</param>
/// <param name="Wall">The number of its wall.</param>
/// <param name="To">The length that it shall have.</param>
/// <param name="AtStart">The wall at its first corner moves.</param>
public sealed record SetWallLength(string Room, int Wall, Length To, bool AtStart) : JobCommand("set wall length")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.RoomById(Room) is not { } room || Wall < 0 || Wall >= room.Outline.Length)
            return CommandResult.Refuse(PlanEdit.Gone("wall"));
        var shape = new RoomShape(room);
        var wall = shape.Walls[Wall];
        var n = shape.Walls.Length;
        var other = shape.Walls[AtStart ? (Wall + n - 1) % n : (Wall + 1) % n];
        if (To < Length.Inches(1))
            return CommandResult.Refuse("A wall is at least 1 in long.");
        var dot = -((wall.Dx * shape.InX(other)) + (wall.Dy * shape.InY(other))) * (AtStart ? -1 : 1);
        if (Math.Abs(dot) < 0.05)
            return CommandResult.Refuse("The next wall runs in the same line; move another one.");
        var by =
            Math.Abs(dot) > 1 - 1e-12 ? (dot > 0 ? To - wall.Length : wall.Length - To) : Length.Inches((To - wall.Length).InInches * dot);
        return by == Length.Zero
            ? CommandResult.Refuse("The wall has that length already.")
            : PlanEdit.Finish(job, WallMove.Move(job, Room, other.Index, by, false));
    }
}

/// <summary>Moves a room with all that is in it.</summary>
/// <param name="Room">The room.</param>
/// <param name="East">To the east.</param>
/// <param name="South">To the south.</param>
public sealed record MoveRoom(string Room, Length East, Length South) : JobCommand("move room")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.RoomById(Room) is not { } room)
            return CommandResult.Refuse(PlanEdit.Gone("room"));

        // The corner goes to the nearest line of the other rooms, and the rest keeps its shape.
        var corner = new Point(room.Outline[0].X + East, room.Outline[0].Y + South);
        var to = SnapLines.Of(job with { Rooms = job.Rooms.Remove(room) }, room.Storey).Exact(corner);
        var (dx, dy) = (to.X - room.Outline[0].X, to.Y - room.Outline[0].Y);
        Point At(Point p) => new(p.X + dx, p.Y + dy);
        var moved = Anchors.Free(job, id => id == Room, At, s => s with { At = At(s.At!.Value) });
        return PlanEdit.Finish(job, moved with { Rooms = moved.Rooms.Replace(room, room with { Outline = [.. room.Outline.Select(At)] }) });
    }
}

/// <summary>Divides a room by a partition.</summary>
/// <param name="Room">The room.</param>
/// <param name="Wall">The wall on which the partition stands.</param>
/// <param name="Along">Middle of the partition, from that wall's first corner.</param>
/// <param name="Name">Name of the new room; empty takes the old one with a number.</param>
public sealed record SplitRoom(string Room, int Wall, Length Along, string Name) : JobCommand("split room")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.RoomById(Room) is not { } room || Wall < 0 || Wall >= room.Outline.Length)
            return CommandResult.Refuse(PlanEdit.Gone("wall"));
        var name = string.IsNullOrWhiteSpace(Name) ? $"{room.Name} 2" : Name.Trim();
        var (split, problem) = SplitJoin.Split(job, Room, Wall, Along, Names.Free(name, job.Rooms.Select(r => r.Id)), name);
        return split is null
            ? CommandResult.Refuse(problem)
            : PlanEdit.Finish(job, split with { Decisions = BoxLayout.BoxProposal.DropLost(split.Decisions) });
    }
}

/// <summary>Makes one room of two.</summary>
/// <param name="Room">The room whose name stays.</param>
/// <param name="With">The room that goes.</param>
public sealed record JoinRooms(string Room, string With) : JobCommand("join rooms")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.RoomById(Room) is not { } a || job.RoomById(With) is not { } b || a == b)
            return CommandResult.Refuse(PlanEdit.Gone("room"));
        var (joined, problem) = SplitJoin.Join(job, Room, With);
        return joined is null ? CommandResult.Refuse(problem) : PlanEdit.Finish(job, joined);
    }
}

/// <summary>Mirrors or turns the house.</summary>
/// <param name="How">How.</param>
public sealed record TurnHouse(Turning How) : JobCommand(How == Turning.QuarterTurn ? "turn the house" : "mirror the house")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job) => CommandResult.Checked(Turn.House(job, How));
}

/// <summary>Copies a storey.</summary>
/// <param name="From">The storey.</param>
/// <param name="Name">Name of the copy.</param>
/// <param name="Floor">Height of its floor over the first floor.</param>
public sealed record CopyStorey(string From, string Name, Length Floor) : JobCommand("copy storey")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.StoreyById(From) is not { } storey)
            return CommandResult.Refuse(PlanEdit.Gone("storey"));
        var copy = storey with { Id = Names.Free(Name, job.Storeys.Select(s => s.Id)), Name = Name.Trim(), Floor = Floor };
        return CommandResult.Checked(StoreyCopy.Make(job, From, copy, Names.Free));
    }
}

/// <summary>Changes a storey's name and heights.</summary>
/// <param name="Storey">The storey.</param>
/// <param name="Name">Its name.</param>
/// <param name="Floor">Height of its floor over the first floor.</param>
/// <param name="Ceiling">Ceiling height of rooms drawn on it.</param>
public sealed record EditStorey(string Storey, string Name, Length Floor, Length Ceiling) : JobCommand("edit storey")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job) =>
        job.StoreyById(Storey) is { } storey
            ? CommandResult.Checked(
                job with
                {
                    Storeys = job.Storeys.Replace(storey, storey with { Name = Name.Trim(), Floor = Floor, Ceiling = Ceiling }),
                }
            )
            : CommandResult.Refuse(PlanEdit.Gone("storey"));
}

/// <summary>Takes an empty storey away.</summary>
/// <param name="Storey">The storey.</param>
public sealed record RemoveStorey(string Storey) : JobCommand("remove storey")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.StoreyById(Storey) is not { } storey)
            return CommandResult.Refuse(PlanEdit.Gone("storey"));
        if (job.Rooms.Any(r => r.Storey == Storey))
            return CommandResult.Refuse($"{storey.Name} still has rooms. Remove them first.");
        return job.Storeys.Length == 1
            ? CommandResult.Refuse("A house has at least one storey.")
            : CommandResult.Checked(
                job with
                {
                    Storeys = job.Storeys.Remove(storey),
                    Underlays = job.Underlays.RemoveAll(u => u.Storey == Storey),
                    Decisions = job.Decisions with { Ways = job.Decisions.Ways.RemoveAll(w => w.Storey == Storey) },
                }
            );
    }
}

/// <summary>States how a wall is built; what equals the frame is not stated.</summary>
/// <param name="Fact">The wall and what is stated about it.</param>
public sealed record EditWall(WallFact Fact) : JobCommand("edit wall")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.RoomById(Fact.Room) is not { } room || Fact.Wall < 0 || Fact.Wall >= room.Outline.Length)
            return CommandResult.Refuse(PlanEdit.Gone("wall"));

        // One wall, one statement: what the rooms beyond said about it is replaced.
        var house = HouseShape.Of(job);
        var others = house.Facing(house[Fact.Room], Fact.Wall).Select(f => (f.Room.Room.Id, f.Wall)).ToHashSet();
        return CommandResult.Checked(
            job with
            {
                Walls = job
                    .Walls.RemoveAll(w => (w.Room == Fact.Room && w.Wall == Fact.Wall) || others.Contains((w.Room, w.Wall)))
                    .Add(Fact),
            }
        );
    }
}
