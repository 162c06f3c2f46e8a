using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>A receptacle in each unfinished part of a basement.</summary>
internal sealed class BoxBasementRule : CheckedRule
{
    internal override string Id => "box.basement";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a) =>
        RoomReceptacles
            .Without(a, RoomKind.UnfinishedBasement, RoomKind.Utility)
            .Where(r => RoomUse.IsUnfinishedBasement(a.Job, r.Room))
            .Select(r => Breach(a, $"{r.Room.Name} has no receptacle.", Subject.Room(r.Room.Id)) with { Fix = BoxFixes.Propose(r) });
}
