using Circuitum.Core.Drafting;
using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>Mirrors or turns the house.</summary>
/// <param name="How">How.</param>
public sealed record TurnHouse(Turning How) : JobCommand(How == Turning.QuarterTurn ? "turn the house" : "mirror the house")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job) => CommandResult.Checked(Turn.House(job, How));
}
