using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Field;

/// <summary>What is looked at when all is done.</summary>
internal static class FinalChecks
{
    private const string House = "The house";

    internal static IEnumerable<CheckItem> Of(JobAnalysis a)
    {
        foreach (var room in BoxSchedule.Of(a))
        {
            foreach (var item in Room(a, room))
                yield return item;
        }

        foreach (var item in Devices(a).Concat(Alarms(a)).Concat(a.Panels.SelectMany(Panel)))
            yield return item;
    }

    private static IEnumerable<CheckItem> Room(JobAnalysis a, RoomBoxes boxes)
    {
        var room = boxes.Room.Room;
        CheckItem Item(string key, string title, params IEnumerable<string> lines) =>
            CheckOff.Item(Inspection.Final, room.Name, $"{key}/{room.Id}", room.Id, Subject.Room(room.Id), title, lines);

        yield return Item(
            "devices",
            "Devices by kind and rating, covers on",
            boxes.Lines.Select(l =>
                $"{l.Box.Id}: {l.Spec.Device}{(l.Spec.Weather is WeatherNeed.None ? "" : ", with a cover for the weather")}"
            )
        );
        var receptacles = boxes.Lines.Where(l => l.Box.Kind == BoxKind.Receptacle && a.CircuitOf(l.Box.Id) is not null).ToList();
        if (receptacles.Count > 0)
            yield return Item("polarity", "Polarity and ground", string.Join(", ", receptacles.Select(l => l.Box.Id)));
        var groups = boxes
            .Lines.Select(l => a.CircuitOf(l.Box.Id))
            .OfType<CircuitAnalysis>()
            .Distinct()
            .SelectMany(c => c.Run.Switching.IsDefault ? [] : c.Run.Switching)
            .Select(s => s.Group)
            .Where(g => g.Switches.Any(s => boxes.Lines.Any(l => l.Box.Id == s)))
            .ToList();
        if (groups.Count > 0)
            yield return Item(
                "switches",
                "Each switch works what it should, from every place",
                groups.Select(g => $"{string.Join(" and ", g.Switches)}: {string.Join(", ", g.Lights)}")
            );
    }

    // What each device covers is what goes dead in the network when it opens, not what a list says.
    private static IEnumerable<CheckItem> Devices(JobAnalysis a)
    {
        foreach (var c in a.Circuits.Where(c => c is { Wire: not null, Run.First: not null } && c.Protection.Devices.Length > 0))
        {
            var expected = new ExpectedReadings(a, c);
            foreach (var d in c.Protection.Devices)
            {
                var at = d.Box ?? $"breaker {c.Number}";
                yield return CheckOff.Item(
                    Inspection.Final,
                    "Ground-fault and arc-fault devices",
                    $"device/{c.Number}/{d.Box ?? "breaker"}",
                    d.Box is null ? "" : a.Boxes[d.Box].Room,
                    d.Box is null ? Subject.Circuit(c.Number) : Subject.Box(d.Box),
                    $"{d.Mark}, {at}: test it",
                    [
                        d.Box is null
                            ? $"all of circuit {c.Number} goes dead, and nothing else; reset"
                            : $"dead are {string.Join(", ", expected.DeadWith(d.Box))}, and no other; reset",
                    ]
                );
            }
        }
    }

    private static IEnumerable<CheckItem> Alarms(JobAnalysis a)
    {
        var alarms = a.Job.Decisions.Boxes.Where(b => b.Kind == BoxKind.SmokeAlarm).Select(b => b.Id).ToList();
        if (alarms.Count > 0)
            yield return CheckOff.Item(
                Inspection.Final,
                House,
                "house/alarms",
                "",
                default,
                "Each alarm sounds all others",
                [string.Join(", ", alarms)]
            );
    }

    private static IEnumerable<CheckItem> Panel(PanelAnalysis at)
    {
        CheckItem Item(string key, string title, string line) =>
            CheckOff.Item(
                Inspection.Final,
                at.Panel.Name,
                $"panel/{at.Panel.Id}/{key}",
                at.Panel.Room,
                Subject.Panel(at.Panel.Id),
                title,
                [line]
            );

        yield return Item(
            "directory",
            "The directory tells the truth",
            $"{at.Schedule.Count(r => !r.Free && !r.SecondPole)} breakers, each tried"
        );
        yield return Item("torque", "Torque noted", "every breaker, neutral and ground by the maker's figure");
        yield return Item("fillers", "Filler plates", $"{at.Schedule.Count(r => r.Free)} spaces without a breaker are closed");
    }
}
