using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Checks;

/// <summary>R314, R315: alarms in bedrooms, outside them and on each storey, and clear of what sets them off.</summary>
internal sealed class Alarms : ICheck
{
    public ImmutableArray<string> Rules => ["box.alarm", "box.alarmPlace"];

    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        var alarms = a.Job.Decisions.Boxes.Where(b => b.Kind == BoxKind.SmokeAlarm).ToList();
        foreach (var room in a.House.Rooms.Where(r => r.Room.Kind == RoomKind.Bedroom && !alarms.Any(b => b.Room == r.Room.Id)))
            yield return CheckList.Make(a, "box.alarm", $"{room.Room.Name} has no smoke alarm.", Subject.Room(room.Room.Id)) with
            {
                Fix = BoxFixes.Propose(room),
            };
        foreach (var hall in AlarmRules.OutsideBedrooms(a.House))
        {
            var here = alarms.Where(b => b.Room == hall.Room.Id).ToList();
            if (here.Count == 0)
                yield return CheckList.Make(
                    a,
                    "box.alarm",
                    $"No smoke alarm outside the bedrooms, in {hall.Room.Name}.",
                    Subject.Room(hall.Room.Id)
                ) with
                {
                    Fix = BoxFixes.Propose(hall),
                };
            else if (!here.Any(b => b.CarbonMonoxide) && AlarmRules.NeedsCarbonMonoxide(a.Job))
                yield return CheckList.Make(
                    a,
                    "box.alarm",
                    $"The alarm in {hall.Room.Name} does not sense carbon monoxide; the house has an attached garage or burns fuel.",
                    Subject.Box(here[0].Id)
                ) with
                {
                    Fix = BoxFixes.Change("Make it sense carbon monoxide", here[0].Id, new() { CarbonMonoxide = true }),
                };
        }

        foreach (
            var storey in a.Job.Storeys.Where(s =>
                a.House.Rooms.Any(r => r.Room.Storey == s.Id && a.Edition.Traits(r.Room.Kind).FloorArea)
                && !alarms.Any(b => a.House[b.Room].Room.Storey == s.Id)
            )
        )
            yield return CheckList.Make(a, "box.alarm", $"{storey.Name} has no smoke alarm.", Subject.Storey(storey.Id)) with
            {
                Fix = new("Propose the boxes of the house", new ProposeBoxes(null)),
            };
        foreach (var alarm in alarms)
        {
            foreach (
                var near in AlarmRules.TooNear(a.House, a.Edition, a.Job.Decisions.Boxes, a.House[alarm.Room], Places.Of(a.House, alarm))
            )
                yield return CheckList.Make(
                    a,
                    "box.alarmPlace",
                    $"{a.House[alarm.Room].Room.Name}: the alarm {alarm.Id} stands "
                        + $"{LengthText.Show(Length.Inches(near.Inches).RoundTo(Length.Inches(1)))} from {near.What}; it wants "
                        + $"{LengthText.Show(Length.Inches(near.Needed))}.",
                    Subject.Box(alarm.Id)
                ) with
                {
                    Fix = Clear(a, alarm),
                };
        }
    }

    private static FindingFix? Clear(JobAnalysis a, Box alarm)
    {
        var room = a.House[alarm.Room];
        var place = AlarmRules.BestPlace(a.House, a.Edition, a.Job.Decisions.Boxes, room);
        return AlarmRules.TooNear(a.House, a.Edition, a.Job.Decisions.Boxes, room, place).Any()
            ? null
            : BoxFixes.MoveTo("Move it clear", alarm.Id, place);
    }
}
