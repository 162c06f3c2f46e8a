using System.Collections.Immutable;
using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>Changes what a person may set on a circuit.</summary>
/// <param name="Circuit">The circuit.</param>
/// <param name="Label">Text for the directory; empty goes back to the written one.</param>
/// <param name="Breaker">Rating; none goes back to the sized one.</param>
/// <param name="Protection">Place of the ground-fault device; none follows the job.</param>
/// <param name="Own">Preferences of its own, by key; none or empty follows the job in all.</param>
/// <param name="Ring">Both ends on one breaker, on a split board; none leaves it.</param>
public sealed record EditCircuit(
    int Circuit,
    string? Label,
    int? Breaker,
    ProtectionPlace? Protection,
    ImmutableSortedDictionary<string, string>? Own = null,
    bool? Ring = null
) : JobCommand("edit circuit")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.Decisions.Circuits.FirstOrDefault(c => c.Number == Circuit) is not { } circuit)
            return CommandResult.Refuse($"There is no circuit {Circuit}.");
        var changed = circuit with
        {
            Label = string.IsNullOrWhiteSpace(Label) ? null : Label.Trim(),
            Breaker = Breaker,
            Protection = Protection,
            Ring = Ring ?? circuit.Ring,
            Preferences = Own is { Count: > 0 } ? Own : null,
        };
        return CommandResult.Checked(
            job with
            {
                Decisions = job.Decisions with { Circuits = job.Decisions.Circuits.Replace(circuit, changed) },
            }
        );
    }
}
