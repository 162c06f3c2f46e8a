using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>A switched light where equipment or storage is.</summary>
internal sealed class BoxEquipmentLightRule : CheckedRule
{
    internal override string Id => "box.equipmentLight";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        var switched = SwitchedLights.Of(a);
        foreach (var shape in a.House.Rooms.Where(r => Serviced(a.Job, r.Room)))
        {
            if (!a.Job.Decisions.Boxes.Any(b => b.Kind == BoxKind.Light && b.Room == shape.Room.Id && switched.Contains(b.Id)))
                yield return Breach(
                    a,
                    $"{shape.Room.Name} holds equipment or storage and has no switched light.",
                    Subject.Room(shape.Room.Id)
                ) with
                {
                    Fix = BoxFixes.Propose(shape),
                };
        }
    }

    private static bool Serviced(Job job, Room room) =>
        LightRules.Serviced(job, room) || (room.Kind == RoomKind.Utility && job.Appliances.Any(x => x.Room == room.Id));
}
