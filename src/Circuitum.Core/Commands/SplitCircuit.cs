using Circuitum.Core.Edits;
using Circuitum.Core.Intake;
using Circuitum.Core.Jobs;
using Circuitum.Core.Planning;

namespace Circuitum.Core.Commands;

/// <summary>
/// Divides a circuit in two: what lies beyond a box, that box with it, goes on a new circuit; without a box the rear half of its cable.
/// </summary>
/// <param name="Circuit">The circuit.</param>
/// <param name="From">The box from which on, or none for about half.</param>
public sealed record SplitCircuit(int Circuit, string? From) : JobCommand("split circuit")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.Decisions.Circuits.FirstOrDefault(c => c.Number == Circuit) is not { } circuit)
            return CommandResult.Refuse($"There is no circuit {Circuit}.");
        if (circuit.Locked)
            return CommandResult.Refuse($"Circuit {Circuit} is locked. Unlock it first.");
        if (circuit.Boxes.Length < 2)
            return CommandResult.Refuse($"Circuit {Circuit} has {circuit.Boxes.Length} box: there is nothing to split.");
        if (From is not null && !circuit.Holds(From))
            return CommandResult.Refuse($"{JobRules.Short(From)} is not on circuit {Circuit}.");
        var run = Analysis.HouseDeriver.Derive(job).CircuitByNumber(Circuit)!.Run;

        // Where it is cut, one piece of cable goes; the pieces shall be as alike as the tree allows.
        var beyond = From is { } at
            ? run.Through(at)
            : run
                .Segments.Skip(1)
                .Select(h => run.Through(h.To))
                .OrderBy(t => Math.Abs((2 * t.Count) - run.Segments.Length))
                .ThenBy(t => t.Min(StringComparer.Ordinal), StringComparer.Ordinal)
                .First();
        if (beyond.Count == run.Segments.Length)
            return CommandResult.Refuse($"{From} is the first box of circuit {Circuit}: nothing would stay on it.");
        return CommandResult.Checked(Planner.Numbered(job, Planner.PlanSpaces(CircuitMoves.Move(job, beyond, null, circuit.Purpose).Job)));
    }
}
