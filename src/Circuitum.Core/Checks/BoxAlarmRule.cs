using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>Alarms in bedrooms, outside them and on each storey.</summary>
internal sealed class BoxAlarmRule : CheckedRule
{
    internal override string Id => "box.alarm";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        var alarms = a.Job.Decisions.Boxes.Where(b => b.Kind == BoxKind.SmokeAlarm).ToList();
        foreach (var room in a.House.Rooms.Where(r => r.Room.Kind == RoomKind.Bedroom && !alarms.Exists(b => b.Room == r.Room.Id)))
            yield return Breach(a, $"{room.Room.Name} has no smoke alarm.", Subject.Room(room.Room.Id)) with
            {
                Fix = BoxFixes.Propose(room),
            };
        foreach (var hall in AlarmRules.OutsideBedrooms(a.House))
        {
            var here = alarms.Where(b => b.Room == hall.Room.Id).ToList();
            if (here.Count == 0)
                yield return Breach(a, $"No smoke alarm outside the bedrooms, in {hall.Room.Name}.", Subject.Room(hall.Room.Id)) with
                {
                    Fix = BoxFixes.Propose(hall),
                };
            else if (!here.Exists(b => b.CarbonMonoxide) && AlarmRules.NeedsCarbonMonoxide(a.Job))
                yield return Breach(
                    a,
                    $"The alarm in {hall.Room.Name} does not sense carbon monoxide; the house has an attached garage or burns fuel.",
                    Subject.Box(here[0].Id)
                ) with
                {
                    Fix = BoxFixes.Change("Make it sense carbon monoxide", here[0].Id, new() { CarbonMonoxide = true }),
                };
        }

        foreach (
            var storey in a.Job.Storeys.Where(s =>
                a.House.Rooms.Any(r => r.Room.Storey == s.Id && AlarmRules.Counts(a.Edition, r.Room))
                && !alarms.Exists(b => a.House[b.Room].Room.Storey == s.Id)
            )
        )
            yield return Breach(a, $"{storey.Name} has no smoke alarm.", Subject.Storey(storey.Id)) with
            {
                Fix = BoxFixes.ProposeAll,
            };
    }
}
