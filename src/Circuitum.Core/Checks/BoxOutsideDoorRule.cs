using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>A switched light outside each door to grade.</summary>
internal sealed class BoxOutsideDoorRule : CheckedRule
{
    internal override string Id => "box.outsideDoor";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        var (switched, ground) = (SwitchedLights.Of(a), OutdoorRules.Ground(a.House)?.Id);
        foreach (var shape in a.House.Rooms.Where(r => r.Room.Storey == ground && !r.Room.Kind.OpenAir()))
        {
            foreach (var door in OutdoorLightRules.DoorsOut(shape))
            {
                if (!a.Job.Decisions.Boxes.Any(b => LightRules.Lights(b, shape, door) && switched.Contains(b.Id)))
                    yield return Breach(a, $"{shape.Room.Name}: no switched light outside the door.", Subject.Opening(door.Opening.Id)) with
                    {
                        Fix = BoxFixes.Propose(shape),
                    };
            }
        }
    }
}
