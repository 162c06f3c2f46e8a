using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>Takes a room away with all that stands in it.</summary>
/// <param name="Room">The room.</param>
public sealed record RemoveRoom(string Room) : JobCommand("remove room")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        var appliances = job.Appliances.Where(a => a.Room == Room).Select(a => a.Id).ToHashSet();
        var kept = job with
        {
            Rooms = job.Rooms.RemoveAll(r => r.Id == Room),
            Openings = job.Openings.RemoveAll(o => o.Room == Room || o.To == Room),
            Counters = job.Counters.RemoveAll(c => c.Room == Room),
            Fixtures = job.Fixtures.RemoveAll(f => f.Room == Room),
            Appliances = job.Appliances.RemoveAll(a => a.Room == Room),
            Panels = job.Panels.RemoveAll(p => p.Room == Room),
            Walls = job.Walls.RemoveAll(w => w.Room == Room),
            Wishes = job.Wishes.RemoveAll(w => w.Room == Room),
            Decisions = job.Decisions with
            {
                Boxes = job.Decisions.Boxes.RemoveAll(b =>
                    b.Room == Room || ((b.Appliance ?? b.Serves) is { } a && appliances.Contains(a))
                ),
                Spaces = job.Decisions.Spaces.RemoveAll(s => job.Panels.Any(p => p.Room == Room && (p.Id == s.Panel || p.Id == s.Feeds))),
            },
        };
        return CommandResult.Checked(kept with { Decisions = BoxLayout.BoxProposal.DropLost(kept.Decisions) });
    }
}
