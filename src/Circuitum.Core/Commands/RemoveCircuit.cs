using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>Takes a circuit and its breaker away; its boxes are loose again.</summary>
/// <param name="Number">The circuit.</param>
public sealed record RemoveCircuit(int Number) : JobCommand("remove circuit")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job) =>
        job.Decisions.Circuits.FirstOrDefault(c => c.Number == Number) is { } circuit
            ? CommandResult.Checked(
                job with
                {
                    Decisions = job.Decisions with
                    {
                        Circuits = job.Decisions.Circuits.Remove(circuit),
                        Spaces = job.Decisions.Spaces.RemoveAll(s => s.Circuit == Number),
                    },
                }
            )
            : CommandResult.Refuse($"There is no circuit {Number}.");
}
