using System.Collections.Immutable;
using Circuitum.Core.Drafting;
using Circuitum.Core.Edits;
using Circuitum.Core.Entry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Commands;

/// <summary>
/// Draws a room by its corners, or a rectangle by two of them. A rectangle along a wall inside of a room is a
/// closet, and is taken out of it.
/// </summary>
/// <param name="Storey">The storey.</param>
/// <param name="Corners">Two opposite corners, or all of them going round once.</param>
/// <param name="Name">Its name; empty takes the next free number.</param>
/// <param name="Kind">Its kind.</param>
public sealed record DrawRoom(string Storey, ImmutableArray<Point> Corners, string Name, RoomKind Kind = RoomKind.Living)
    : JobCommand("draw room")
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

        if (Corners.Length == 2 && NookMaker.In(job, Storey, corners) is var (around, wall, from, along, deep))
        {
            var (made, problem) = NookMaker.Make(job, around, wall, from, along, deep, Name.Trim());
            return made is null ? CommandResult.Refuse(problem) : PlanEdit.Finish(job, made);
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
