using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>A receptacle where laundry equipment stands.</summary>
internal sealed class BoxLaundryRule : CheckedRule
{
    internal override string Id => "box.laundry";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a) =>
        RoomReceptacles
            .Without(a, RoomKind.Laundry)
            .Where(r =>
                a.Edition.Ways.Laundry == LaundryWay.OneMore
                || !a.Job.Decisions.Boxes.Any(b =>
                    b.Room == r.Room.Id && ApplianceFacts.Has(a.Job.ApplianceById(b.Appliance), ApplianceTrait.Washer)
                )
            )
            .Select(r => Breach(a, $"{r.Room.Name} has no receptacle.", Subject.Room(r.Room.Id)) with { Fix = BoxFixes.Propose(r) });
}
