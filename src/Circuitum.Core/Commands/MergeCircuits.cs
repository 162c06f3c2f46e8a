using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;
using Circuitum.Core.Planning;

namespace Circuitum.Core.Commands;

/// <summary>Puts all of one circuit on another; its breaker goes.</summary>
/// <param name="From">The circuit that goes.</param>
/// <param name="Into">The circuit that stays.</param>
public sealed record MergeCircuits(int From, int Into) : JobCommand("merge circuits")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (From == Into)
            return CommandResult.Refuse("Choose another circuit to merge with.");
        if (job.Decisions.Circuits.FirstOrDefault(c => c.Number == From) is not { } from)
            return CommandResult.Refuse($"There is no circuit {From}.");
        if (job.Decisions.Circuits.FirstOrDefault(c => c.Number == Into) is not { } into)
            return CommandResult.Refuse($"There is no circuit {Into}.");
        if (from.Locked || into.Locked)
            return CommandResult.Refuse($"Circuit {(from.Locked ? From : Into)} is locked. Unlock it first.");
        var merged = into with { Boxes = [.. into.Boxes, .. from.Boxes.Select(b => b with { By = Origin.Person })] };
        var circuits = job.Decisions.Circuits.Remove(from).Replace(into, merged);
        return CommandResult.Checked(
            Planner.PlanSpaces(
                job with
                {
                    Decisions = job.Decisions with
                    {
                        Circuits = circuits,
                        Spaces = job.Decisions.Spaces.RemoveAll(s => s.Circuit == From),
                        Pulled = [.. job.Decisions.Pulled.Select(p => p.Circuit == From ? p with { Circuit = Into } : p)],
                    },
                }
            )
        );
    }
}
