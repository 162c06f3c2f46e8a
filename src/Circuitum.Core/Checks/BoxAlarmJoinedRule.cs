using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>Alarms that are joined by wire hang on one circuit.</summary>
internal sealed class BoxAlarmJoinedRule : CheckedRule
{
    internal override string Id => "box.alarmJoined";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        var alarms = a.Job.Decisions.Boxes.Where(b => b.Kind == BoxKind.SmokeAlarm && a.CircuitOf(b.Id) is not null).ToList();
        var numbers = alarms.Select(b => a.CircuitOf(b.Id)!.Number).Distinct().Order().ToList();
        if (a.Job.Preferences.AlarmJoin == AlarmJoin.Wired && numbers.Count > 1)
            yield return Breach(
                a,
                $"The alarms are on circuits {string.Join(" and ", numbers)}: joined by wire they hang on one.",
                [.. alarms.Select(b => Subject.Box(b.Id))]
            );
    }
}
