using Circuitum.Core.Drafting;
using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Commands;

/// <summary>Divides a room by a partition.</summary>
/// <param name="Room">The room.</param>
/// <param name="Wall">The wall on which the partition stands.</param>
/// <param name="Along">Middle of the partition, from that wall's first corner.</param>
/// <param name="Name">Name of the new room; empty takes the old one with a number.</param>
/// <param name="New">Which part is the new room: the one with the wall's first corner, or the other.</param>
public sealed record SplitRoom(string Room, int Wall, Length Along, string Name, End New = End.Finish) : JobCommand("split room")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.RoomById(Room) is not { } room || Wall < 0 || Wall >= room.Outline.Length)
            return CommandResult.Refuse(PlanEdit.Gone("wall"));
        var name = string.IsNullOrWhiteSpace(Name) ? $"{room.Name} 2" : Name.Trim();
        var (split, problem) = SplitJoin.Split(job, Room, Wall, Along, Names.Free(name, job.Rooms.Select(r => r.Id)), name, New);
        return split is null
            ? CommandResult.Refuse(problem)
            : PlanEdit.Finish(job, split with { Decisions = BoxLayout.BoxProposal.DropLost(split.Decisions) });
    }
}
