using Circuitum.Core.Edits;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

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
