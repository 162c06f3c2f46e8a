using Circuitum.Core.BoxLayout;
using Circuitum.Core.Edits;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Planning;

namespace Circuitum.Core.Commands;

/// <summary>
/// Writes down a wish of the owner, at the middle of a wall or of the room. Where the room has its boxes they follow it, and where the
/// house is planned they get their circuits.
/// </summary>
/// <param name="Room">The room.</param>
/// <param name="Kind">What will be there.</param>
/// <param name="Wall">At which wall; none for the middle of the room.</param>
/// <param name="Note">In the owner's words. May be empty.</param>
public sealed record AddWish(string Room, WishKind Kind, int? Wall, string Note = "") : JobCommand("add a wish")
{
    // What stands at a wall has its middle about so far from it, in inches.
    private const double FromWall = 18;

    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.RoomById(Room) is not { } room || Wall < 0 || Wall >= room.Outline.Length)
            return CommandResult.Refuse(PlanEdit.Gone("room"));
        var shape = new RoomShape(room);
        var at = shape.Centre;
        if (Wall is { } wall && shape.On(wall, shape.Walls[wall].Length / 2, FromWall) is var near && shape.Contains(near))
            at = near;
        var wish = new Wish
        {
            Id = Names.Free($"{Kind}", job.Wishes.Select(w => w.Id)),
            Kind = Kind,
            Room = Room,
            At = new(at.X.RoundTo(Length.Inches(1)), at.Y.RoundTo(Length.Inches(1))),
            Note = Note.Trim(),
        };
        var wished = job with { Wishes = job.Wishes.Add(wish) };
        var result = CommandResult.Checked(wished);
        if (result.Job is null || job.Decisions.Boxes.All(b => b.Room != Room))
            return result;
        var proposed = BoxProposal.Propose(wished, Room);
        return CommandResult.Checked(job.Decisions.Circuits.Length > 0 ? Planner.PlanCircuits(proposed) : proposed);
    }
}
