using Circuitum.Core.Edits;
using Circuitum.Core.Entry;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>Gives a room the fixed things that such rooms usually have.</summary>
/// <param name="Room">The room.</param>
public sealed record FurnishRoom(string Room) : JobCommand("furnish room")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        var (made, problem) = Furnishing.Of(job, Room);
        return made is null ? CommandResult.Refuse(problem) : CommandResult.Checked(made);
    }
}
