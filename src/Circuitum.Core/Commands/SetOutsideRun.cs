using Circuitum.Core.Analysis;
using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>Says how a cable that leaves the house is run on its way to a box.</summary>
/// <param name="Said">The box in which it ends, and what is said.</param>
public sealed record SetOutsideRun(OutsideRun Said) : JobCommand("say how a run outside is made")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        var (a, to) = (HouseDeriver.Derive(job), Said.To);
        if (a.Panels.FirstOrDefault(p => p.Panel.Id == to && p.Feeder is not null) is { Feeder: { } feeder } at)
        {
            if (feeder.Run is { Outside: null, Bends: null })
                return CommandResult.Refuse($"The feeder of {at.Panel.Name} is cable inside the house.");
        }
        else if (a.Outside.All(o => o.CableSegment.To != to))
            return CommandResult.Refuse("No cable to that box leaves the house.");

        var said = Said with { Extra = Routing.Burial.Said(job, to)?.Extra };
        var rest = job.Decisions.Outside.RemoveAll(o => o.To == to);
        var nothing = said is { Method: null, Depth: null, Driveway: false, Bends: null, Extra: null };
        return CommandResult.Checked(job with { Decisions = job.Decisions with { Outside = nothing ? rest : rest.Add(said) } });
    }
}
