using Circuitum.Core.BoxLayout;
using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>What edits of boxes have in common.</summary>
internal static class BoxEdit
{
    internal const string Gone = "That box is not there any more.";

    internal static Box? Find(Job job, string id) => job.Decisions.Boxes.FirstOrDefault(b => b.Id == id);

    internal static CommandResult Replace(Job job, Box box, Box with) =>
        CommandResult.Checked(
            job with
            {
                Decisions = BoxProposal.DropLost(job.Decisions with { Boxes = job.Decisions.Boxes.Replace(box, with) }),
            }
        );

    internal static CommandResult Keep(Job job, Func<Box, bool> which) =>
        CommandResult.Checked(
            job with
            {
                Decisions = job.Decisions with
                {
                    Boxes = [.. job.Decisions.Boxes.Select(b => which(b) ? b with { By = Origin.Person } : b)],
                },
            }
        );
}
