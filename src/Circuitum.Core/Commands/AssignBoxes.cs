using System.Collections.Immutable;
using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;
using Circuitum.Core.Planning;

namespace Circuitum.Core.Commands;

/// <summary>Puts boxes on another circuit, or on a new one: one that is dragged, a lassoed lot, a whole room.</summary>
/// <param name="Boxes">The boxes.</param>
/// <param name="Circuit">The circuit, or none for a new one.</param>
public sealed record AssignBoxes(ImmutableArray<string> Boxes, int? Circuit)
    : JobCommand(Boxes.Length == 1 ? "move to circuit" : $"move {Boxes.Length} boxes to circuit")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        var wanted = Boxes.Distinct().ToHashSet();
        if (wanted.Count == 0)
            return CommandResult.Refuse("Choose the boxes to move first.");
        if (job.Decisions.Boxes.Count(b => wanted.Contains(b.Id)) != wanted.Count)
            return CommandResult.Refuse("One of those boxes is not there any more.");
        if (Circuit is { } to && job.Decisions.Circuits.All(c => c.Number != to))
            return CommandResult.Refuse($"There is no circuit {to}.");
        if (
            job.Decisions.Circuits.FirstOrDefault(c => c.Locked && (c.Number == Circuit || c.Boxes.Any(b => wanted.Contains(b.Box)))) is
            { } locked
        )
            return CommandResult.Refuse($"Circuit {locked.Number} is locked. Unlock it first.");
        var (moved, _) = CircuitMoves.Move(job, wanted, Circuit);
        return CommandResult.Checked(Planner.Numbered(job, Planner.PlanSpaces(moved)));
    }
}
