using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>A receptacle in an accessory building.</summary>
internal sealed class BoxAccessoryRule : CheckedRule
{
    internal override string Id => "box.accessory";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a) =>
        RoomReceptacles
            .Without(a, RoomKind.AccessoryBuilding)
            .Select(r => Breach(a, $"{r.Room.Name} has no receptacle.", Subject.Room(r.Room.Id)) with { Fix = BoxFixes.Propose(r) });
}
