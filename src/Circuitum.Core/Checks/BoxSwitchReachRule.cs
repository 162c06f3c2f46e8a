using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Checks;

/// <summary>Nobody crosses a dark room to the switch.</summary>
internal sealed class BoxSwitchReachRule : CheckedRule
{
    internal override string Id => "box.switchReach";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        foreach (
            var shape in a.House.Rooms.Where(r =>
                a.Edition.Traits(r.Room.Kind) is { Light: true, Outdoors: false } && r.Room.Kind != RoomKind.Stairs
            )
        )
        {
            foreach (var dark in SwitchReach.Unserved(a.House, shape, a.Job.Decisions.Boxes))
            {
                var from = dark.Door.Beyond is { } beyond ? a.House[beyond].Room.Name : "outside";
                var far = dark.Nearest is { } n
                    ? $"the nearest switch of its light is {LengthText.Show(n.RoundTo(Length.Inches(1)), a.Units)} away"
                    : "no switch of its light can be walked to";
                yield return Breach(
                    a,
                    $"{shape.Room.Name}: who comes in from {from} crosses the dark; {far}, the job wants "
                        + $"{LengthText.Show(a.Job.Preferences.SwitchReach, a.Units)}.",
                    Subject.Opening(dark.Door.Opening.Id),
                    Subject.Room(shape.Room.Id)
                ) with
                {
                    Fix = Serves(a, shape, dark.Door) ? SwitchedLights.SwitchAt(shape, dark.Door) : null,
                };
            }
        }
    }

    // Where the wall beside the door is too short, the nearest place may be too far as well.
    private static bool Serves(JobAnalysis a, RoomShape shape, RoomOpening door)
    {
        var (wall, along) = SwitchRules.LatchSide(shape, door);
        return SwitchReach.Walk(shape, door, shape.On(wall, along)) <= a.Job.Preferences.SwitchReach.InInches;
    }
}
