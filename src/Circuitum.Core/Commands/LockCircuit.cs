using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>Locks a circuit, so that the planner adds nothing and takes nothing away, or opens it again.</summary>
/// <param name="Circuit">The circuit.</param>
/// <param name="Locked">Lock it.</param>
public sealed record LockCircuit(int Circuit, bool Locked) : JobCommand(Locked ? "lock circuit" : "unlock circuit")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job) =>
        job.Decisions.Circuits.FirstOrDefault(c => c.Number == Circuit) is { } circuit
            ? CommandResult.Checked(
                job with
                {
                    Decisions = job.Decisions with { Circuits = job.Decisions.Circuits.Replace(circuit, circuit with { Locked = Locked }) },
                }
            )
            : CommandResult.Refuse($"There is no circuit {Circuit}.");
}
