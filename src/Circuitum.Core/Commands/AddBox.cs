using Circuitum.Core.BoxLayout;
using Circuitum.Core.Edits;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Commands;

/// <summary>Adds a box at a place.</summary>
/// <param name="Kind">What it holds; appliances bring their own.</param>
/// <param name="Room">The room.</param>
/// <param name="Wall">Wall, or none for the ceiling.</param>
/// <param name="Along">Distance along the wall.</param>
/// <param name="At">Place in the ceiling.</param>
public sealed record AddBox(BoxKind Kind, string Room, int? Wall, Length Along, Point? At) : JobCommand("add box")
{
    /// <summary>A receptacle without a wall hangs from the ceiling, as for a door operator; otherwise it stands in the floor.</summary>
    public bool Overhead { get; init; }

    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.RoomById(Room) is not { } room)
            return CommandResult.Refuse("Pick a room first.");
        if (Kind == BoxKind.Appliance)
            return CommandResult.Refuse("An appliance brings its own outlet: add the appliance to the room.");
        if (Kind == BoxKind.Disconnect)
            return CommandResult.Refuse("A disconnect goes with its equipment: point at its place, or propose the boxes of the room.");
        if (Kind == BoxKind.Switch && Wall is null)
            return CommandResult.Refuse("A switch hangs on a wall: choose one.");
        var p = job.Preferences;
        var counter = job.Counters.Any(c =>
            c.Room == Room && c.Spot.Wall == Wall && Along >= c.Spot.From && Along <= c.Spot.From + c.Spot.Width
        );
        var height = Kind switch
        {
            BoxKind.Switch => p.SwitchCentre,
            BoxKind.Receptacle when Wall is null => Overhead ? room.CeilingHeight : Length.Zero,
            BoxKind.Receptacle => counter || room.Kind == RoomKind.Bathroom ? p.CounterCentre : p.ReceptacleBottom + Length.Inches(2),
            BoxKind.Light when Wall is not null => Length.Inches(78),
            _ => Wall is null ? room.CeilingHeight : Length.Inches(18),
        };
        var box = new Box
        {
            Id = BoxProposal.FreeId(job, Room),
            Kind = Kind,
            Room = Room,
            Wall = Wall,
            Along = Along,
            At = Wall is null ? At ?? new RoomShape(room).Centre : null,
            Height = height,
            By = Origin.Person,
        };
        if (Kind == BoxKind.Switch)
        {
            var sets = LightSets.Of(
                HouseShape.Of(job),
                job.Decisions.Boxes.Where(b => b.Kind == BoxKind.Light && b.Room == Room && !b.Outside)
            );
            if (sets.Count > 0)
                box = box with { Gangs = [new SwitchGang { Lights = [.. sets[0].Lights.Select(l => l.Id)] }] };
        }

        return CommandResult.Checked(
            job with
            {
                Decisions = BoxProposal.DropLost(job.Decisions with { Boxes = job.Decisions.Boxes.Add(box) }),
            }
        );
    }
}
