using Circuitum.Core.Analysis;
using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Commands;

/// <summary>Ticks a home run off as pulled, with what it took where somebody measured, or takes the tick back.</summary>
/// <param name="Circuit">The circuit.</param>
/// <param name="Pulled">Pulled.</param>
/// <param name="Measured">Cable off the reel, or none.</param>
/// <param name="Reel">The reel, or none.</param>
public sealed record MarkPulled(int Circuit, bool Pulled = true, Length? Measured = null, string? Reel = null)
    : JobCommand(Pulled ? "tick off a pull" : "take back a tick")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        var rest = job.Decisions.Pulled.RemoveAll(p => p.Circuit == Circuit);
        if (!Pulled)
            return rest.Length == job.Decisions.Pulled.Length
                ? CommandResult.Refuse($"The home run of circuit {Circuit} is not ticked off.")
                : CommandResult.Checked(job with { Decisions = job.Decisions with { Pulled = rest } });
        if (HouseDeriver.Derive(job).CircuitByNumber(Circuit) is not { Run.First: { } first } c)
            return CommandResult.Refuse($"There is no home run of circuit {Circuit}.");
        if (c.Carried)
            return CommandResult.Refuse($"Circuit {Circuit} is in the cable of circuit {c.Pair!.First}. Tick that one off.");
        var reel = string.IsNullOrWhiteSpace(Reel) ? null : Reel.Trim();
        if (reel is not null && job.Stock?.Reels.FirstOrDefault(r => r.Id == reel) is var from && from?.Cable != $"{c.Cable}")
            return CommandResult.Refuse(
                from is null
                    ? $"There is no reel '{reel}'."
                    : $"On reel {reel} is {from.Cable}; the home run of circuit {Circuit} is {c.Cable}."
            );
        return CommandResult.Checked(
            job with
            {
                Decisions = job.Decisions with
                {
                    Pulled = rest.Add(
                        new PulledRun
                        {
                            Circuit = Circuit,
                            To = first,
                            Cable = $"{c.Cable}",
                            Measured = Measured,
                            Reel = reel,
                        }
                    ),
                },
            }
        );
    }
}
