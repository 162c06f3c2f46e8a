using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;
using Circuitum.Core.Planning;

namespace Circuitum.Core.Commands;

/// <summary>Gives the circuits of a shared home run a cable each again.</summary>
/// <param name="Circuit">One of them.</param>
public sealed record UnpairCircuits(int Circuit) : JobCommand("part a shared home run")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job) =>
        job.Decisions.PairOf(Circuit) is { } pair
            ? CommandResult.Checked(
                Planner.PlanSpaces(job with { Decisions = job.Decisions with { Pairs = job.Decisions.Pairs.Remove(pair) } })
            )
            : CommandResult.Refuse($"Circuit {Circuit} has its home run for itself.");
}
