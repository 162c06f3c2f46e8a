using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Planning;

namespace Circuitum.Core.Commands;

/// <summary>Puts a sub-panel on a wall, fed from the panel at the service.</summary>
/// <param name="Room">The room.</param>
/// <param name="Wall">Its wall.</param>
/// <param name="Along">From the wall's first corner to its centre.</param>
public sealed record AddSubPanel(string Room, int Wall, Length Along) : JobCommand("add a sub-panel")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.Panels is not [var main, ..])
            return CommandResult.Refuse("Put the panel at the service on a wall first.");
        if (job.RoomById(Room) is not { } room)
            return CommandResult.Refuse("That room is not there any more.");
        var sub = new Panel
        {
            Id = Names.Free("sub", job.Panels.Select(p => p.Id)),
            Name = $"{room.Name} panel",
            Room = Room,
            Wall = Wall,
            Along = Along,
            Top = job.Preferences.PanelTop,
            FedFrom = main.Id,
            MainBreaker = 100,
            Spaces = 20,
            BreakerFamily = main.BreakerFamily,
        };
        var result = CommandResult.Checked(job with { Panels = job.Panels.Add(sub) });
        return result.Job is { } added ? CommandResult.Checked(Planner.PlanSpaces(added)) : result;
    }
}
