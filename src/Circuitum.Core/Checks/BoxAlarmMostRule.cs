using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>No more alarms are joined by wire than makers list together.</summary>
internal sealed class BoxAlarmMostRule : CheckedRule
{
    internal override string Id => "box.alarmMost";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        var alarms = a.Job.Decisions.Boxes.Where(b => b.Kind == BoxKind.SmokeAlarm).ToList();
        var most = a.Edition.Number("alarmsJoinedMost");
        if (a.Job.Preferences.AlarmJoin == AlarmJoin.Wired && alarms.Count > most)
            yield return Breach(
                a,
                $"{alarms.Count} alarms are joined by wire; makers list {most:0} together at most. Join them by radio, or plan a panel.",
                [.. alarms.Select(b => Subject.Box(b.Id))]
            );
    }
}
