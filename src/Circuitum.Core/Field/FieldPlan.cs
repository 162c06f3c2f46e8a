using System.Collections.Immutable;
using System.Globalization;
using Circuitum.Core.Analysis;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Field;

/// <summary>Everything that is to be done in the field, from the very plan: room by room, in the order of the work.</summary>
public static class FieldPlan
{
    /// <summary>The tasks of a house.</summary>
    public static ImmutableArray<FieldTask> Of(JobAnalysis a)
    {
        var tests = TestPlan.Of(a).Steps.Select(s => s.Task).ToLookup(t => t.Room);
        var pulls = Pulls(a).ToLookup(t => t.Room);
        var boxes = BoxSchedule.Of(a).ToDictionary(r => r.Room.Room.Id);
        return
        [
            .. a.House.Rooms.SelectMany(room =>
            {
                var lines = boxes.GetValueOrDefault(room.Room.Id)?.Lines ?? [];
                return lines
                    .Select(l => Set(l, a.Units))
                    .Concat(pulls[room.Room.Id])
                    .Concat(lines.Where(l => a.Specs[l.Box.Id].Cables.Length > 0).Select(l => MakeUp(a, l)))
                    .Concat(Walls(a, room))
                    .Concat(tests[room.Room.Id]);
            }),
        ];
    }

    /// <summary>The boxes to set alone, which are told from the plan at once; all tasks take the circuits as networks.</summary>
    public static IEnumerable<FieldTask> Sets(JobAnalysis a) => BoxSchedule.Of(a).SelectMany(r => r.Lines.Select(l => Set(l, a.Units)));

    private static FieldTask Set(BoxLine line, LengthUnits units)
    {
        var entry = line.Spec.Entry?.Name;
        var lines = new List<string> { line.Place, $"Height: {line.Height}" };
        if (entry is not null)
            lines.Add($"Box: {entry}");
        lines.Add($"For: {line.Spec.Device}");
        if (line.Spec.Stud is { } stud)
            lines.Add(
                $"On the {stud.Side.ToString().ToLowerInvariant()} side of the stud at {LengthText.Show(stud.FromLeft, units)}"
                    + (stud.Needs.Length > 0 ? $", {stud.Needs}" : "")
            );
        if (line.Box.Held is { } held)
            lines.Add($"Held back, waits for {held.WaitsFor}{(held.Ask.Length > 0 ? $"; ask {held.Ask}" : "")}");
        return new(
            $"set/{line.Box.Id}",
            FieldWork.Set,
            line.Box.Room,
            Subject.Box(line.Box.Id),
            line.Box.Id,
            $"{What(line)}, {line.Place}",
            [.. lines]
        )
        {
            Wall = StripOf(line.Box),
            Box = line.Box.Id,
            Label = line.Spec.Mark,
            Mark = $"{line.Place}; {line.Height}{(entry is null ? "" : $"; {entry}")}",
        };
    }

    // A strip shows its wall from the room: what is on the outer face is not on it.
    private static int? StripOf(Box box) => box.Outside ? null : box.Wall;

    // The device without its ratings: what a hand looks for.
    private static string What(BoxLine line) => line.Spec.Device.Split(',')[0];

    private static FieldTask MakeUp(JobAnalysis a, BoxLine line) =>
        new(
            $"make/{line.Box.Id}",
            FieldWork.MakeUp,
            line.Box.Room,
            Subject.Box(line.Box.Id),
            line.Box.Id,
            $"{What(line)}, " + string.Join(", ", line.Spec.Cables.GroupBy(c => $"{c.Cable}").Select(g => $"{g.Count()} of {g.Key}")),
            [.. MakeUpGuide.Of(a, line.Box).Steps]
        )
        {
            Wall = StripOf(line.Box),
            Box = line.Box.Id,
            Label = line.Spec.Mark,
            Mark = string.Join("; ", line.Spec.Cables.Select(c => c.InWords)),
        };

    private static IEnumerable<FieldTask> Pulls(JobAnalysis a)
    {
        foreach (var p in a.Panels.Where(p => p.Feeder is not null))
        {
            yield return new(
                $"pull/feeder/{p.Panel.Id}",
                FieldWork.Pull,
                p.Panel.Room,
                Subject.Panel(p.Panel.Id),
                $"Feeder to {p.Panel.Name}",
                LengthText.Far(p.Feeder!.Cut, a.Units),
                [
                    $"From {a.PanelById(p.Feeder.From)!.Panel.Name}",
                    p.Feeder.Route.Told(a.Units),
                    $"Cut {LengthText.Far(p.Feeder.Cut, a.Units)} of {p.Feeder.Made}",
                ]
            )
            {
                Cable = new(a.PanelById(p.Feeder.From)!.Panel.Name, p.Panel.Name, p.Feeder.Route),
                Label = $"FEEDER {p.Panel.Name}, {p.Feeder.Breaker} A",
                Mark = p.Feeder.Made,
                Cut = p.Feeder.Cut,
            };
        }

        foreach (var line in PullList.Of(a).SelectMany(g => g.Lines))
        {
            var number = line.Circuit.Number.ToString(CultureInfo.InvariantCulture);
            var panel = a.PanelById(line.Circuit.Panel)!.Panel.Name;
            yield return new(
                $"pull/{number}",
                FieldWork.Pull,
                a.Boxes[line.To].Room,
                Subject.Circuit(line.Circuit.Number),
                $"Home run {number}",
                $"{line.Cable}, {LengthText.Far(line.Cut, a.Units)}",
                [$"{panel} to {line.To}", line.Way, $"Cut {LengthText.Far(line.Cut, a.Units)} of {line.Cable}"]
            )
            {
                Wall = StripOf(a.Boxes[line.To]),
                Box = line.To,
                Cable = new(panel, line.To, a.RouteOf(line.Circuit.Run.Cables.First(h => h.From is null && h.To == line.To))),
                Label = line.Label,
                Mark = $"{line.Cable} to {line.To}",
                HomeRun = line.Circuit.Number,
                DoneAtDesk = line.Pulled is not null,
                Cut = line.Cut,
            };
        }

        foreach (var c in a.Circuits)
        {
            foreach (var b in PullList.Branches(a, c))
                yield return new(
                    $"pull/{c.Number}/{b.From}/{b.To}{(b.Use == CableUse.Power ? "" : $"/{b.Use}")}",
                    FieldWork.Pull,
                    a.Boxes[b.To].Room,
                    Subject.Box(b.To),
                    $"{b.From} to {b.To}",
                    $"{b.Cable}, {LengthText.Far(b.Cut, a.Units)}",
                    [b.Way, $"Cut {LengthText.Far(b.Cut, a.Units)} of {b.Cable}"]
                )
                {
                    Wall = StripOf(a.Boxes[b.To]),
                    Box = b.To,
                    Cable = new(b.From, b.To, a.RouteOf(c.Run.Cables.First(h => h.From == b.From && h.To == b.To))),
                    Label = $"{c.Number} {c.Label}",
                    Mark = $"{b.Cable}",
                    Cut = b.Cut,
                };
        }
    }

    private static IEnumerable<FieldTask> Walls(JobAnalysis a, RoomShape room)
    {
        if (room.Room.Kind.OpenAir())
            yield break;
        var boxed = a.Job.Decisions.Boxes.Where(b => b.Room == room.Room.Id && !b.Outside).Select(b => b.Wall).ToHashSet();
        foreach (var wall in room.Walls)
        {
            var inside = WallCables.Of(a, room, wall.Index);
            if (inside.Cables.Length == 0 && !boxed.Contains(wall.Index))
                continue;
            var (name, place) = ($"{LabelWriter.Facing(room, wall.Index)} wall", $"{room.Room.Id}/{wall.Index}");
            var staples = inside.Cables.Sum(c => c.Staples.Length);
            var plates = inside.Holes.Count(h => h.NailPlate);
            if (inside.Cables.Length > 0)
                yield return new(
                    $"secure/{place}",
                    FieldWork.Secure,
                    room.Room.Id,
                    Subject.Wall(room.Room.Id, wall.Index),
                    name,
                    $"{staples} staples, {plates} plates",
                    [
                        $"{Count(staples, "staple")}, the first within "
                            + $"{LengthText.Show(a.Job.Preferences.StapleFromBox, a.Units)} of each box, "
                            + $"then every {LengthText.Show(a.Job.Preferences.StapleEvery, a.Units)}",
                        $"{Count(inside.Holes.Length, "hole")}, {Count(plates, "nail plate")} where one is nearer than "
                            + $"{a.Units.Either("1-1/4\"", "32 mm")} to a face",
                        .. inside.Cables.Select(c => c.Name).Distinct(),
                    ]
                )
                {
                    Wall = wall.Index,
                    Mark = $"{staples} staples, {plates} plates",
                };
            yield return new(
                $"photo/{place}",
                FieldWork.Photograph,
                room.Room.Id,
                Subject.Wall(room.Room.Id, wall.Index),
                name,
                "before it is closed",
                ["A tape from the floor in the picture, the whole wall from corner to corner"]
            )
            {
                Wall = wall.Index,
            };
        }
    }

    private static string Count(int n, string what) => $"{n} {what}{(n == 1 ? "" : "s")}";
}
