using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Checks;

/// <summary>
/// How the cables of a circuit hang together: as a tree, lights with their switches, alarms with each other, and inside where they can.
/// </summary>
internal sealed class WiringChecks : ICheck
{
    public ImmutableArray<string> Rules => ["box.alarmJoined", "circuit.parallel", "circuit.switched", "wire.noWay"];

    // A hand's breadth along an outer wall is no way outside.
    private static readonly Length LeastOutside = Length.Feet(2);

    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        foreach (var c in a.Circuits)
        {
            var laid = c.Run.Segments.Where(h => h.From is not null).Select(h => Pair(h.From!, h.To)).ToHashSet();
            foreach (var ring in c.Run.Beside.Where(h => !laid.Contains(Pair(h.From!, h.To))))
                yield return CheckList.Make(
                    a,
                    "circuit.parallel",
                    $"The cable from {ring.From} to {ring.To} closes a ring in circuit {c.Number}: current would come back by two ways.",
                    Subject.Circuit(c.Number),
                    Subject.Box(ring.From!),
                    Subject.Box(ring.To)
                );
        }

        foreach (var box in a.Job.Decisions.Boxes.Where(b => b.Gangs.Length > 0))
        {
            if (a.CircuitOf(box.Id) is not { } own)
                continue;
            foreach (var light in box.Gangs.SelectMany(g => g.Lights).Distinct())
            {
                if (a.CircuitOf(light) is { } other && other.Number != own.Number)
                {
                    yield return CheckList.Make(
                        a,
                        "circuit.switched",
                        $"{light} is on circuit {other.Number}, its switch {box.Id} on circuit {own.Number}: the switched wire "
                            + "and its neutral would part ways.",
                        Subject.Box(light),
                        Subject.Box(box.Id)
                    ) with
                    {
                        Fix = new("Put the light on the switch's circuit", new AssignBox(light, own.Number)),
                    };
                }
            }
        }

        var alarms = a.Job.Decisions.Boxes.Where(b => b.Kind == BoxKind.SmokeAlarm && a.CircuitOf(b.Id) is not null).ToList();
        var numbers = alarms.Select(b => a.CircuitOf(b.Id)!.Number).Distinct().Order().ToList();
        if (a.Job.Preferences.AlarmJoin == AlarmJoin.Wired && numbers.Count > 1)
            yield return CheckList.Make(
                a,
                "box.alarmJoined",
                $"The alarms are on circuits {string.Join(" and ", numbers)}: joined by wire they hang on one.",
                [.. alarms.Select(b => Subject.Box(b.Id))]
            );
        foreach (var found in WaysOutside(a))
            yield return found;
    }

    private static IEnumerable<Finding> WaysOutside(JobAnalysis a)
    {
        foreach (var o in a.Outside.Where(o => o.Length > LeastOutside))
        {
            var to = a.Boxes[o.CableSegment.To];
            var from = o.CableSegment.From is { } id ? a.Boxes[id].Room : a.PanelById(a.CircuitByNumber(o.Circuit)?.Panel)?.Panel.Room;
            var inside = !to.Outside && !a.House[to.Room].Room.Kind.OpenAir() && (o.CableSegment.From is not { } f || !a.Boxes[f].Outside);
            if (!inside || from is null || a.House[from].Room.Kind.OpenAir() || !a.House.BuildingOf(to.Room).Contains(from))
                continue;
            yield return CheckList.Make(
                a,
                "wire.noWay",
                $"Circuit {o.Circuit}: no way inside leads from {o.CableSegment.From ?? "the panel"} to {o.CableSegment.To}; it is planned "
                    + $"{o.Length.InFeet:0} ft outside. A ceiling or attic over the rooms between, or a space under their floor, "
                    + "would open one.",
                Subject.Circuit(o.Circuit),
                Subject.Box(o.CableSegment.To)
            );
        }
    }

    private static (string, string) Pair(string a, string b) => string.CompareOrdinal(a, b) < 0 ? (a, b) : (b, a);
}
