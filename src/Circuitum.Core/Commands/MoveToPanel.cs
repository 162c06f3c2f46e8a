using Circuitum.Core.Analysis;
using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>Moves a circuit to another panel, into the first space that is free there.</summary>
/// <param name="Circuit">The circuit.</param>
/// <param name="Panel">The panel.</param>
public sealed record MoveToPanel(int Circuit, string Panel) : JobCommand("move a circuit to another panel")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        var analysis = HouseDeriver.Derive(job);
        if (analysis.CircuitByNumber(Circuit) is not { } circuit)
            return CommandResult.Refuse($"There is no circuit {Circuit}.");
        if (analysis.Panels.FirstOrDefault(p => p.Panel.Id == Panel) is not { } at)
            return CommandResult.Refuse("That panel is not there any more.");
        if (circuit.Panel == Panel)
            return CommandResult.Refuse($"Circuit {Circuit} is in {at.Panel.Name} already.");
        if (circuit.Pulled is not null)
            return CommandResult.Refuse($"The home run of circuit {Circuit} is pulled to another panel. Take back the tick first.");
        return FreeSpace.In(at, job.Decisions.Spaces, PanelDeriver.Need(job, circuit)) is { } free
            ? new MoveBreaker(Circuit, free.Space, Panel, Half: free.Half).Apply(job)
            : CommandResult.Refuse($"{at.Panel.Name} has no {(circuit.Poles == 2 ? "two spaces one under the other" : "space")} left.");
    }
}
