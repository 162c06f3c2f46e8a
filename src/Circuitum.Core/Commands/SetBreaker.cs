using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>Sets the breaker of a circuit, and nothing else of it.</summary>
/// <param name="Circuit">The circuit.</param>
/// <param name="Breaker">Rating in amperes; none goes back to the sized one.</param>
public sealed record SetBreaker(int Circuit, int? Breaker) : JobCommand("edit circuit")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.Decisions.Circuits.FirstOrDefault(c => c.Number == Circuit) is not { } circuit)
            return CommandResult.Refuse($"There is no circuit {Circuit}.");
        var circuits = job.Decisions.Circuits.Replace(circuit, circuit with { Breaker = Breaker });
        return CommandResult.Checked(job with { Decisions = job.Decisions with { Circuits = circuits } });
    }
}
