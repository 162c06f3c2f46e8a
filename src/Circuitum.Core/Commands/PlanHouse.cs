using Circuitum.Core.BoxLayout;
using Circuitum.Core.Circuits;
using Circuitum.Core.Edits;
using Circuitum.Core.Entry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Planning;

namespace Circuitum.Core.Commands;

/// <summary>All that nobody has decided, in one step: a panel where there is none, boxes, circuits, home runs and spaces.</summary>
public sealed record PlanHouse() : PlanningCommand("plan the house")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.Rooms.Length == 0)
            return CommandResult.Refuse("There is no room yet. Type or draw the first one.");
        if (job.Panels.Length == 0)
        {
            if (PanelPlace.Find(job) is not var (room, wall, along))
                return CommandResult.Refuse(
                    "No wall outside baths, closets and stairs has the space to work at a panel. Make room in front of one, or put the "
                        + "panel on a wall by hand."
                );
            var hung = new PutOnWall("panel", room, wall, along, default).Apply(job);
            if (hung.Job is null)
                return hung;
            job = hung.Job;
        }

        return CommandResult.Checked(Planner.PlanCircuits(BoxProposal.Propose(job), new SearchCircuitPlanner(PlanEffort.Full, Watch)));
    }
}
