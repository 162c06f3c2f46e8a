using Circuitum.Core.Circuits;
using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;
using Circuitum.Core.Planning;

namespace Circuitum.Core.Commands;

/// <summary>Divides loose boxes into circuits and gives new breakers a space.</summary>
/// <param name="Afresh">Take back the planner's own circuits first.</param>
public sealed record PlanCircuits(bool Afresh) : PlanningCommand("plan circuits")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        var planner = new SearchCircuitPlanner(PlanEffort.Full, Watch);
        return CommandResult.Checked(Afresh ? Planner.PlanAfresh(job, planner) : Planner.PlanCircuits(job, planner));
    }
}
