using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;
using Circuitum.Core.Planning;

namespace Circuitum.Core.Commands;

/// <summary>Changes a panel.</summary>
/// <param name="Panel">The panel.</param>
/// <param name="Change">What changes.</param>
public sealed record EditPanel(string Panel, PanelChange Change) : JobCommand("edit the panel")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.Panels.FirstOrDefault(p => p.Id == Panel) is not { } panel)
            return CommandResult.Refuse("That panel is not there any more.");
        var changed = Change.On(panel);
        var result = CommandResult.Checked(
            job with
            {
                Panels = job.Panels.Replace(panel, changed),
                Decisions = job.Decisions with
                {
                    Spaces =
                    [
                        .. job.Decisions.Spaces.Where(s =>
                            (s.Panel != Panel || s.Space <= changed.Spaces) && (s.Feeds != Panel || s.Panel == changed.FedFrom)
                        ),
                    ],
                },
            }
        );
        return result.Job is { } done ? CommandResult.Checked(Planner.PlanSpaces(done)) : result;
    }
}
