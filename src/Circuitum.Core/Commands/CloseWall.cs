using Circuitum.Core.Edits;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>Lets no cable through the studs of a wall, or lets it through again.</summary>
/// <param name="Room">The room from which it is named.</param>
/// <param name="Wall">Its wall.</param>
/// <param name="Closed">No cable.</param>
public sealed record CloseWall(string Room, int Wall, bool Closed = true)
    : JobCommand(Closed ? "keep cable out of a wall" : "let cable through a wall")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.RoomById(Room) is not { } room || Wall < 0 || Wall >= room.Outline.Length)
            return CommandResult.Refuse("That wall is not there any more.");
        var house = HouseShape.Of(job);
        var body = WallBody.Of(house, house[Room], Wall);
        var fact = body.Fact
            ?? new WallFact
            {
                Room = Room,
                Wall = Wall,
                Build = body.Build,
                Bearing = body.Bearing,
            };
        return CommandResult.Checked(
            job with
            {
                Walls = job.Walls.RemoveAll(w => w.Room == fact.Room && w.Wall == fact.Wall).Add(fact with { NoCable = Closed }),
            }
        );
    }
}
