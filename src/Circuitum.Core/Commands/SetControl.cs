using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>Makes one gang of a switch box a dimmer, a fan control, a timer or an ordinary switch; the box is then a person's.</summary>
/// <param name="Box">The switch box.</param>
/// <param name="Gang">Which gang, from the left, counted from 1.</param>
/// <param name="Control">What it does.</param>
public sealed record SetControl(string Box, int Gang, SwitchControl Control) : JobCommand("set control")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (BoxEdit.Find(job, Box) is not { } box)
            return CommandResult.Refuse(BoxEdit.Gone);
        if (box.Gangs.Length == 0)
            return CommandResult.Refuse("That box holds no switch.");
        if (Gang < 1 || Gang > box.Gangs.Length)
            return CommandResult.Refuse($"Gang: that box has {box.Gangs.Length}, counted from the left.");
        if (!Enum.IsDefined(Control))
            return CommandResult.Refuse("Control: there is no such one.");
        var gangs = box.Gangs.SetItem(Gang - 1, box.Gangs[Gang - 1] with { Control = Control });
        return BoxEdit.Replace(job, box, box with { Gangs = gangs, By = Origin.Person });
    }
}
