using Circuitum.Core.Edits;
using Circuitum.Core.Intake;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>Makes a box the first of its circuit, where the home run ends, or lets the shortest way decide again.</summary>
/// <param name="Circuit">The circuit.</param>
/// <param name="Box">The box, or none.</param>
public sealed record ForceFirst(int Circuit, string? Box) : JobCommand(Box is null ? "let the shortest way decide" : "make first")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.Decisions.Circuits.FirstOrDefault(c => c.Number == Circuit) is not { } circuit)
            return CommandResult.Refuse($"There is no circuit {Circuit}.");
        if (Box is not null && !circuit.Holds(Box))
            return CommandResult.Refuse($"{JobRules.Short(Box)} is not on circuit {Circuit}.");
        if (job.Decisions.Pulled.FirstOrDefault(p => p.Circuit == Circuit) is { } pulled && pulled.To != Box)
            return CommandResult.Refuse($"The home run of circuit {Circuit} is pulled to {pulled.To}. Take back the tick first.");
        if (circuit.Run?.FirstOrDefault(c => c.From is null) is { } locked && locked.To != Box)
            return CommandResult.Refuse($"The run of circuit {Circuit} is locked, with {locked.To} first. Unlock it first.");
        return CommandResult.Checked(
            job with
            {
                Decisions = job.Decisions with { Circuits = job.Decisions.Circuits.Replace(circuit, circuit with { First = Box }) },
            }
        );
    }
}
