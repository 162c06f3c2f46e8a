using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>Says how a cable that leaves the house is run on its way to a box.</summary>
/// <param name="To">The box.</param>
/// <param name="Change">What is said, from what is said so far.</param>
public sealed record SetOutsideRun(string To, Func<OutsideRun, OutsideRun> Change) : JobCommand("say how a run outside is made")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        var a = HouseDeriver.Derive(job);
        if (a.Panels.FirstOrDefault(p => p.Panel.Id == To && p.Feeder is not null) is { Feeder: { } feeder } at)
        {
            if (feeder.Run is { Outside: null, Bends: null })
                return CommandResult.Refuse($"The feeder of {at.Panel.Name} is cable inside the house.");
        }
        else if (a.Outside.All(o => o.Hop.To != To))
            return CommandResult.Refuse("No cable to that box leaves the house.");

        var said = Change(Routing.Burial.Said(job, To) ?? new OutsideRun { To = To });
        var rest = job.Decisions.Outside.RemoveAll(o => o.To == To);
        var nothing = said is { Method: null, Depth: null, Driveway: false, Bends: null, Extra: null };
        return CommandResult.Checked(job with { Decisions = job.Decisions with { Outside = nothing ? rest : rest.Add(said) } });
    }
}
