using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Jobs;
using Circuitum.Core.Routing;

namespace Circuitum.Core.Training;

/// <summary>What is seen when all is done: devices tried, covers on, the panel closed.</summary>
internal static class FinalSightings
{
    /// <summary>In a room with its boxes.</summary>
    internal static IEnumerable<Sighting> InRoom(JobAnalysis a, RoomBoxes boxes)
    {
        var here = boxes.Lines.Select(l => l.Box.Id).ToHashSet();
        foreach (var c in a.Circuits.Where(c => c.Boxes.Any(b => here.Contains(b.Id))))
        {
            foreach (var d in c.Protection.Devices.Where(d => d.GroundFault))
            {
                var at = d.Box ?? $"breaker {c.Number}";
                if (d.Covers.FirstOrDefault(b => b != d.Box && here.Contains(b) && a.Boxes[b].Kind == BoxKind.Receptacle) is { } far)
                    yield return new(
                        $"the test button of {at} makes {far} dead",
                        $"{far} stays live when the test button of {at} is pressed",
                        "what a ground-fault device is to cover hangs on its load terminals"
                    );
            }
        }

        foreach (var line in boxes.Lines.Where(l => l.Box.Kind == BoxKind.Receptacle && a.CircuitOf(l.Box.Id) is not null))
        {
            yield return new(
                $"{line.Box.Id}: the tester tells it is wired as it should be",
                $"{line.Box.Id}: the tester tells hot and neutral exchanged",
                "the neutral goes to the silver screw"
            );
            if (line.Spec.TamperResistant)
                yield return new(
                    $"{line.Box.Id}: tamper-resistant",
                    $"{line.Box.Id}: a plain receptacle without shutters",
                    "receptacles in a dwelling are tamper-resistant"
                );
            if (line.Spec.Weather == WeatherNeed.Wet)
                yield return new(
                    $"{line.Box.Id}: its cover is tight with a plug in",
                    $"{line.Box.Id}: its cover closes only without a plug",
                    "in the open the cover is tight while in use"
                );
        }

        foreach (var alarm in boxes.Lines.Where(l => l.Box.Kind == BoxKind.SmokeAlarm))
            yield return new(
                $"{alarm.Box.Id}: sounds with all others",
                $"{alarm.Box.Id}: sounds alone",
                "alarms of a dwelling are joined, so that one wakes all"
            );
        foreach (var group in SwitchGroup.Of(a.Job).Where(g => g.Switches.Length > 1 && here.Contains(g.Switches[0])))
            yield return new(
                $"{string.Join(" and ", group.Switches)}: each works {string.Join(", ", group.Lights)}, however the other stands",
                $"{group.Switches[0]}: works {string.Join(", ", group.Lights)} only while {group.Switches[^1]} is up",
                "a light is worked from every place, however the other switches stand"
            );
    }

    /// <summary>At a panel.</summary>
    internal static IEnumerable<Sighting> AtPanel(PanelAnalysis at)
    {
        foreach (var row in at.Schedule.Where(r => r is { Circuit: not null, SecondPole: false }))
            yield return new(
                $"space {row.Place} is marked \"{row.Circuit!.Label}\"",
                $"space {row.Place} is marked \"plugs\"",
                "the directory tells each circuit from every other"
            );
        if (at.Schedule.Any(r => r.Free))
            yield return new("spaces without a breaker are closed", "one opening without a filler", "unused openings are closed");
        yield return new(
            "torque of every terminal noted",
            "no torque noted, and none by a tool",
            "terminals are tightened to the maker's figure with a tool that tells it"
        );
    }
}
