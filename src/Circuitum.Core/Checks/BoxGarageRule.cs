using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Checks;

/// <summary>A receptacle in each vehicle bay.</summary>
internal sealed class BoxGarageRule : CheckedRule
{
    internal override string Id => "box.garage";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        var most = a.Edition.Number("requiredHeightMostIn").Length;
        foreach (var shape in a.House.Rooms.Where(r => r.Room.Kind == RoomKind.Garage))
        {
            var (low, bays) = (RoomReceptacles.In(a, shape).Count(b => b.Height <= most), RoomReceptacleRules.Bays(shape));
            if (low < bays)
                yield return Breach(
                    a,
                    $"{shape.Room.Name} has {low} receptacles up to {LengthText.Show(most, a.Units)} for {bays} vehicle bays.",
                    Subject.Room(shape.Room.Id)
                ) with
                {
                    Fix = BoxFixes.Propose(shape),
                };
        }
    }
}
