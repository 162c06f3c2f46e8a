using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>Locks all cables of a circuit as they are planned now, because they are in the frame, or frees them.</summary>
/// <param name="Circuit">The circuit.</param>
/// <param name="Locked">Lock.</param>
public sealed record LockRun(int Circuit, bool Locked = true) : JobCommand(Locked ? "lock a run" : "unlock a run")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.Decisions.Circuits.FirstOrDefault(c => c.Number == Circuit) is not { } circuit)
            return CommandResult.Refuse($"There is no circuit {Circuit}.");
        ImmutableArray<LockedCable>? run = null;
        if (Locked)
        {
            if (HouseDeriver.Derive(job).CircuitByNumber(Circuit) is not { Run.First: not null } c)
                return CommandResult.Refuse($"Circuit {Circuit} has no cable yet.");
            run =
            [
                .. c.Run.Cables.Select(h => new LockedCable
                {
                    From = h.From,
                    To = h.To,
                    Use = h.Use,
                }),
            ];
        }

        return CommandResult.Checked(
            job with
            {
                Decisions = job.Decisions with { Circuits = job.Decisions.Circuits.Replace(circuit, circuit with { Run = run }) },
            }
        );
    }
}
