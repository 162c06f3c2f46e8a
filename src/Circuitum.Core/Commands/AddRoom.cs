using Circuitum.Core.Edits;
using Circuitum.Core.Entry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Commands;

/// <summary>Adds a rectangular room beside another one, or at the origin of an empty storey.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Kind">Its kind; none goes by its name.</param>
/// <param name="Storey">The storey.</param>
/// <param name="Width">West to east, inside.</param>
/// <param name="Depth">North to south, inside.</param>
/// <param name="Beside">The room it is put beside, or none.</param>
/// <param name="On">On which side of that room.</param>
/// <param name="Ceiling">Ceiling height.</param>
public sealed record AddRoom(
    string Name,
    RoomKind? Kind,
    string Storey,
    Length Width,
    Length Depth,
    string? Beside,
    Side On,
    Length Ceiling
) : JobCommand("add room")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        var here = job.Rooms.Where(r => r.Storey == Storey).ToList();
        var beside = here.FirstOrDefault(r => r.Id == Beside) ?? here.LastOrDefault();
        var kind = Kind ?? RoomNames.KindOf(Name);
        var (x, y) = beside is null ? new Point(Length.Zero, Length.Zero) : RoomPlacer.Beside(job.Frame, beside, On, kind, Width, Depth);
        var room = new Room
        {
            Id = Names.Free(Name, job.Rooms.Select(r => r.Id)),
            Name = Name.Trim(),
            Kind = kind,
            Storey = Storey,
            CeilingHeight = Ceiling,
            Outline = [new(x, y), new(x + Width, y), new(x + Width, y + Depth), new(x, y + Depth)],
        };
        return PlanEdit.Finish(job, job with { Rooms = job.Rooms.Add(room) });
    }
}
