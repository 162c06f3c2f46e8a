using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Checks;

/// <summary>Alarms clear of what sets them off.</summary>
internal sealed class BoxAlarmPlaceRule : CheckedRule
{
    internal override string Id => "box.alarmPlace";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        foreach (var alarm in a.Job.Decisions.Boxes.Where(b => b.Kind == BoxKind.SmokeAlarm))
        {
            foreach (
                var near in AlarmRules.TooNear(a.House, a.Edition, a.Job.Decisions.Boxes, a.House[alarm.Room], Places.Of(a.House, alarm))
            )
                yield return Breach(
                    a,
                    $"{a.House[alarm.Room].Room.Name}: the alarm {alarm.Id} stands "
                        + $"{LengthText.Show(Length.Inches(near.Inches).RoundTo(Length.Inches(1)), a.Units)} from {near.What}; it wants "
                        + $"{LengthText.Show(Length.Inches(near.Needed), a.Units)}.",
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
