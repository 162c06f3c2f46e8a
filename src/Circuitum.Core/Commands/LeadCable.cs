using Circuitum.Core.Analysis;
using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Commands;

/// <summary>Leads a cable over a place of the plan, or by the shortest way again.</summary>
/// <param name="From">The box it comes from, or none for the panel.</param>
/// <param name="To">The box in which it ends.</param>
/// <param name="Storey">The storey on whose plan the place is.</param>
/// <param name="Over">The place, or none for the shortest way.</param>
public sealed record LeadCable(string? From, string To, string Storey, Point? Over)
    : JobCommand(Over is null ? "take the shortest way" : "lead a cable another way")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        var rest = job.Decisions.Ways.RemoveAll(w => w.From == From && w.To == To);
        if (Over is not { } over)
            return rest.Length == job.Decisions.Ways.Length
                ? CommandResult.Refuse("That cable takes its shortest way already.")
                : CommandResult.Checked(job with { Decisions = job.Decisions with { Ways = rest } });
        var now = HouseDeriver.Derive(job);
        if (now.CircuitOf(To) is not { } circuit || circuit.Run.Cables.FirstOrDefault(h => h.From == From && h.To == To) is not { } segment)
            return CommandResult.Refuse("There is no such cable any more.");
        if (segment.Via is not null)
            return CommandResult.Refuse(
                $"The home run of circuit {circuit.Number} is in the cable of circuit {circuit.Pair!.First}. Lead that one."
            );
        if (circuit.Pulled is not null && From is null)
            return CommandResult.Refuse($"The home run of circuit {circuit.Number} is pulled. Take back the tick first.");
        if (circuit.Circuit.Run is { } locked && locked.Any(c => c.From == From && c.To == To))
            return CommandResult.Refuse($"The run of circuit {circuit.Number} is locked. Unlock it first.");
        var led = CommandResult.Checked(
            job with
            {
                Decisions = job.Decisions with
                {
                    Ways = rest.Add(
                        new LedSegment
                        {
                            From = From,
                            To = To,
                            Storey = Storey,
                            Over = over,
                        }
                    ),
                },
            }
        );
        if (led.Job is null)
            return led;
        return HouseDeriver.Derive(led.Job).RouteOf(segment).Pieces.SequenceEqual(now.RouteOf(segment).Pieces)
            ? CommandResult.Refuse("That leads the cable no other way: nothing is open over or under that place, or it goes there already.")
            : led;
    }
}
