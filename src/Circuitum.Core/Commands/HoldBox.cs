using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>Holds a box until something is known, or releases it.</summary>
/// <param name="Box">The box.</param>
/// <param name="For">What it waits for, or none to release it.</param>
public sealed record HoldBox(string Box, HeldFor? For) : JobCommand(For is null ? "release box" : "hold box")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (BoxEdit.Find(job, Box) is not { } box)
            return CommandResult.Refuse(BoxEdit.Gone);
        return For is not null && box.State == BoxState.Final
            ? CommandResult.Refuse("That box is final already.")
            : BoxEdit.Replace(job, box, box with { Held = For, By = Origin.Person });
    }
}
