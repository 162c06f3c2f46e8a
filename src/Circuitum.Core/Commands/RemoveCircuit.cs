using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>Takes a circuit and its breaker away; its boxes are loose again.</summary>
/// <param name="Circuit">The circuit.</param>
public sealed record RemoveCircuit(int Circuit) : JobCommand("remove circuit")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job) =>
        job.Decisions.Circuits.FirstOrDefault(c => c.Number == Circuit) is { } circuit
            ? CommandResult.Checked(
                job with
                {
                    Decisions = job.Decisions with
                    {
                        Circuits = job.Decisions.Circuits.Remove(circuit),
                        Spaces = job.Decisions.Spaces.RemoveAll(s => s.Circuit == Circuit),
                    },
                }
            )
            : CommandResult.Refuse($"There is no circuit {Circuit}.");
}
