using Circuitum.Core.Edits;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Commands;

/// <summary>Adds a rectangular room beside another one, or at the origin of an empty storey.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Kind">Its kind.</param>
/// <param name="Storey">The storey.</param>
/// <param name="Width">West to east, inside.</param>
/// <param name="Depth">North to south, inside.</param>
/// <param name="Beside">The room it is put beside, or none.</param>
/// <param name="On">On which side of that room.</param>
/// <param name="Ceiling">Ceiling height.</param>
public sealed record AddRoom(string Name, RoomKind Kind, string Storey, Length Width, Length Depth, string? Beside, Side On, Length Ceiling)
    : JobCommand("add room")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        var here = job.Rooms.Where(r => r.Storey == Storey).ToList();
        var beside = here.FirstOrDefault(r => r.Id == Beside) ?? here.LastOrDefault();
        var (x, y) = (Length.Zero, Length.Zero);
        if (beside is not null)
        {
            var s = new RoomShape(beside);
            var outdoors = Kind == RoomKind.Garage || Kind.OpenAir() || beside.Kind == RoomKind.Garage || beside.Kind.OpenAir();
            var gap = outdoors ? job.Frame.OutsideWall : job.Frame.Partition;
            (x, y) = On switch
            {
                Side.East => (s.MaxX + gap, s.MinY),
                Side.West => (s.MinX - gap - Width, s.MinY),
                Side.South => (s.MinX, s.MaxY + gap),
                _ => (s.MinX, s.MinY - gap - Depth),
            };
        }

        var room = new Room
        {
            Id = Names.Free(Name, job.Rooms.Select(r => r.Id)),
            Name = Name.Trim(),
            Kind = Kind,
            Storey = Storey,
            CeilingHeight = Ceiling,
            Outline = [new(x, y), new(x + Width, y), new(x + Width, y + Depth), new(x, y + Depth)],
        };
        return PlanEdit.Finish(job, job with { Rooms = job.Rooms.Add(room) });
    }
}
