using System.Collections.Immutable;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Codes;
using Circuitum.Core.Edits;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Commands;

/// <summary>States something of several rooms at once; what is none stays as it is in each.</summary>
/// <param name="Rooms">The rooms.</param>
/// <param name="Ceiling">Floor to ceiling.</param>
/// <param name="Build">How all their walls are built.</param>
/// <param name="Reach">Farthest from a place along a wall to a receptacle; zero goes by the job again.</param>
/// <param name="Style">What their receptacles are: duplex, quad.</param>
/// <param name="Deep">Boxes with room to spare: the largest of their gangs, or the smallest that serves again.</param>
/// <param name="Under">What is under their floor, on the lowest storey.</param>
public sealed record EditRooms(
    ImmutableArray<string> Rooms,
    Length? Ceiling,
    WallBuild? Build,
    Length? Reach,
    ReceptacleStyle? Style,
    bool? Deep,
    Under? Under
) : JobCommand(Rooms.Length == 1 ? "edit a room" : $"edit {Rooms.Length} rooms")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (Rooms.Length == 0)
            return CommandResult.Refuse("Choose the rooms first.");
        if (Rooms.Any(r => job.RoomById(r) is null))
            return CommandResult.Refuse(PlanEdit.Gone("room"));
        var chosen = Rooms.ToHashSet();
        job = job with { Rooms = [.. job.Rooms.Select(r => chosen.Contains(r.Id) ? Stated(r) : r)] };
        foreach (var room in job.Rooms.Where(r => Build is not null && chosen.Contains(r.Id)))
        {
            for (var wall = 0; wall < room.Outline.Length; wall++)
            {
                var fact = job.Walls.FirstOrDefault(w => w.Room == room.Id && w.Wall == wall) ?? new() { Room = room.Id, Wall = wall };
                var result = new EditWall(fact with { Build = Build!.Value }).Apply(job);
                if (result.Job is null)
                    return result;
                job = result.Job;
            }
        }

        var house = HouseShape.Of(job);
        var boxes = job.Decisions.Boxes.Select(b => chosen.Contains(b.Room) ? Stated(house, b) : b).ToImmutableArray();
        return CommandResult.Checked(job with { Decisions = job.Decisions with { Boxes = boxes } });
    }

    private Room Stated(Room room) =>
        room with
        {
            CeilingHeight = Ceiling ?? room.CeilingHeight,
            ReceptacleReach =
                Reach is null ? room.ReceptacleReach
                : Reach == Length.Zero ? null
                : Reach,
            Under = Under ?? room.Under,
        };

    private Box Stated(HouseShape house, Box box)
    {
        if (Style is { } style && box.Kind == BoxKind.Receptacle && (box.Style ?? ReceptacleStyle.Duplex) != style)
            box = box with { Style = style, Size = null, By = Origin.Person };
        if (Deep is { } deep && box.Kind is BoxKind.Receptacle or BoxKind.Switch)
        {
            var steel = box.Wall is { } wall && WallBody.Of(house, house[box.Room], wall).Build == WallBuild.MetalStud;
            var gangs = BoxHardware.Gangs(house.Job, box);
            var deepest = CodeLibrary
                .Boxes.Values.Where(b => b.Use == "device" && b.Gangs == gangs && !b.Metal && b.Bracket == steel)
                .MaxBy(b => b.Volume);
            var size = deep ? deepest?.Id : null;
            if (size != box.Size)
                box = box with { Size = size, By = Origin.Person };
        }

        return box;
    }
}
