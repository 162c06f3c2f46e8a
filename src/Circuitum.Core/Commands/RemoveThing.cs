using Circuitum.Core.Analysis;
using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>Takes an opening, counter, fixture or appliance away.</summary>
/// <param name="Thing">Its kind and id, such as <c>opening:o3</c>.</param>
public sealed record RemoveThing(Subject Thing) : JobCommand("remove")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        var id = Thing.Id;
        var left = Thing.Kind switch
        {
            SubjectKind.Opening => job with { Openings = job.Openings.RemoveAll(o => o.Id == id) },
            SubjectKind.Counter => job with { Counters = job.Counters.RemoveAll(c => c.Id == id) },
            SubjectKind.Fixture => job with { Fixtures = job.Fixtures.RemoveAll(f => f.Id == id) },
            SubjectKind.Wish => job with { Wishes = job.Wishes.RemoveAll(w => w.Id == id) },
            SubjectKind.Appliance => job with
            {
                Appliances = job.Appliances.RemoveAll(a => a.Id == id),
                Decisions = BoxLayout.BoxProposal.DropLost(
                    job.Decisions with
                    {
                        Boxes = job.Decisions.Boxes.RemoveAll(b => b.Appliance == id || b.Serves == id),
                        Refused = job.Decisions.Refused.RemoveAll(r => r.Appliance == id),
                    }
                ),
            },
            _ => job,
        };
        var same =
            left.Openings.Length == job.Openings.Length
            && left.Counters.Length == job.Counters.Length
            && left.Fixtures.Length == job.Fixtures.Length
            && left.Appliances.Length == job.Appliances.Length
            && left.Wishes.Length == job.Wishes.Length;
        return same ? CommandResult.Refuse("That is not there any more.") : CommandResult.Checked(left);
    }
}
