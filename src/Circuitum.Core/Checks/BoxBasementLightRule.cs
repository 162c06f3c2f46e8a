using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>Lights of an unfinished basement by its area.</summary>
internal sealed class BoxBasementLightRule : CheckedRule
{
    internal override string Id => "box.basementLight";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        foreach (var room in a.House.Rooms.Where(r => r.Room.Kind == RoomKind.UnfinishedBasement))
        {
            var wanted = WorkLightRules.BasementLights(a.Edition, room);
            var there = a.Job.Decisions.Boxes.Count(b => b.Kind == BoxKind.Light && b.Room == room.Room.Id && !b.Outside);
            if (there < wanted)
                yield return Breach(a, $"{room.Room.Name} has {there} of {wanted} lights.", Subject.Room(room.Room.Id)) with
                {
                    Fix = BoxFixes.Propose(room),
                };
        }
    }
}
