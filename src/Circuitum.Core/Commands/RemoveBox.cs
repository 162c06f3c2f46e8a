using Circuitum.Core.BoxLayout;
using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>Takes a box away. A proposal that is taken away is not made again.</summary>
/// <param name="Box">The box.</param>
public sealed record RemoveBox(string Box) : JobCommand("remove box")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (BoxEdit.Find(job, Box) is not { } box)
            return CommandResult.Refuse(BoxEdit.Gone);
        var decisions = job.Decisions with { Boxes = job.Decisions.Boxes.Remove(box) };
        if (box.By == Origin.Planner)
            decisions = decisions with
            {
                Refused = decisions.Refused.Add(
                    new RefusedBox
                    {
                        Kind = box.Kind,
                        Room = box.Room,
                        Wall = box.Wall,
                        Along = box.Along,
                        At = box.At,
                        Appliance = box.Appliance,
                    }
                ),
            };
        return CommandResult.Checked(job with { Decisions = BoxProposal.DropLost(decisions) });
    }
}
