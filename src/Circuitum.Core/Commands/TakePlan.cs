using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;
using Circuitum.Core.Planning;

namespace Circuitum.Core.Commands;

/// <summary>Takes a whole plan with an aim, as the comparison shows it.</summary>
/// <param name="Aim">The aim's name.</param>
public sealed record TakePlan(string Aim) : JobCommand("take plan")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job) =>
        PlanAims.All.Where(a => a.Name == Aim).Select(a => CommandResult.Checked(PlanAims.Plan(job, a.Weights))).FirstOrDefault()
        ?? CommandResult.Refuse("There is no such plan.");
}
