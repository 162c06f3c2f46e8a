using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Field;

/// <summary>What is looked at before insulation and boards.</summary>
internal static class RoughChecks
{
    private const string House = "The house";

    internal static IEnumerable<CheckItem> Of(JobAnalysis a)
    {
        foreach (var room in BoxSchedule.Of(a))
        {
            foreach (var item in Room(a, room))
                yield return item;
        }

        foreach (var item in WholeHouse(a).Concat(a.Panels.SelectMany(p => Panel(a, p))))
            yield return item;
    }

    private static IEnumerable<CheckItem> Room(JobAnalysis a, RoomBoxes boxes)
    {
        var (room, p) = (boxes.Room.Room, a.Job.Preferences);
        CheckItem Item(string key, string title, params IEnumerable<string> lines) =>
            CheckOff.Item(Inspection.RoughIn, room.Name, $"{key}/{room.Id}", room.Id, Subject.Room(room.Id), title, lines);

        yield return Item(
            "boxes",
            $"{CheckOff.Count(boxes.Lines.Length, "box", "boxes")} in place, proud of the framing by the board",
            boxes.Lines.Select(l => $"{l.Box.Id}: {l.Height}{(l.Spec.Entry is { } e ? $", {e.Name}" : "")}")
        );
        var wired = boxes.Lines.Where(l => l.Spec.Cables.Length > 0).ToList();
        if (wired.Count > 0)
        {
            yield return Item(
                "conductors",
                "Free conductor and sheath in every box",
                $"at least {a.Units.Either("6\"", "150 mm")} free, {a.Units.Either("3\"", "75 mm")} of it outside the opening; sheath "
                    + $"{a.Units.Either("1/4\"", "6 mm")} into the box: {Names(wired)}"
            );
            yield return Item("grounds", "Grounds made up", $"every ground joined, and to the box where it is of metal: {Names(wired)}");
            if (
                wired.Where(l => l.Spec is { Fill: not null, Entry: not null }).MaxBy(l => l.Spec.Fill!.Inches3 / l.Spec.Entry!.Volume) is
                { } full
            )
                yield return Item(
                    "fill",
                    "No box too full",
                    $"fullest is {full.Box.Id}: {VolumeText.Number(full.Spec.Fill!.Inches3, a.Units)} of "
                        + $"{VolumeText.Show(full.Spec.Entry!.Volume, a.Units, "0.0")}"
                );
        }

        var walls = boxes.Room.Walls.Select(w => WallCables.Of(a, boxes.Room, w.Index)).ToList();
        if (walls.All(w => w.Cables.Length == 0))
            yield break;
        yield return Item(
            "secured",
            "Cable secured",
            $"within {LengthText.Show(p.StapleFromBox, a.Units)} of a box, then every {LengthText.Show(p.StapleEvery, a.Units)}: "
                + CheckOff.Count(walls.Sum(w => w.Cables.Sum(c => c.Staples.Length)), "staple", "staples")
        );
        var holes = walls.SelectMany(w => w.Holes).ToList();
        if (holes.Count > 0)
            yield return Item(
                "holes",
                "Holes and nail plates",
                $"{CheckOff.Count(holes.Count, "hole", "holes")}, {CheckOff.Count(holes.Count(h => h.NailPlate), "plate", "plates")} "
                    + $"where one is nearer than {a.Units.Either("1-1/4\"", "32 mm")} to a face; at most "
                    + $"{CheckOff.Count(holes.Max(h => h.Cables), "cable", "cables")} in a hole"
            );
    }

    private static IEnumerable<CheckItem> WholeHouse(JobAnalysis a)
    {
        static CheckItem Item(string key, string title, params IEnumerable<string> lines) =>
            CheckOff.Item(Inspection.RoughIn, House, $"house/{key}", "", default, title, lines);

        if (a.Circuits.Length == 0)
            yield break;
        var runs = a.Circuits.Where(c => c is { Carried: false, Run.First: not null }).ToList();
        yield return Item("labels", "Labels at both ends", $"{CheckOff.Count(runs.Count, "home run", "home runs")}: " + Numbers(runs));
        yield return Item(
            "bundles",
            "Cables parted, none in a corner or over joists where people walk",
            $"at most {a.Job.Preferences.CablesPerHole} in a hole, bundles parted; data cable apart"
        );
        if (a.Job.Storeys.Length > 1)
            yield return Item(
                "storeys",
                "Holes between storeys sealed",
                $"{a.Job.Storeys.Length} storeys: every plate that a cable goes through"
            );
        if (DrillList.Of(a).IntoGarage)
            yield return Item("garage", "Holes to the garage sealed", "in its walls to the house and over its ceiling");
        foreach (var o in a.Outside.Where(o => o.Buried).DistinctBy(o => o.CableSegment.To))
            yield return Item(
                $"trench/{o.CableSegment.To}",
                $"The trench to {o.CableSegment.To}, before it is filled",
                $"{o.InWords}, {LengthText.Far(o.Length, a.Units)}, at least {LengthText.Show(o.DepthWanted, a.Units)} deep"
                    + (o.Bends is null ? "" : "; bends counted, a pull line in it")
            );
    }

    private static IEnumerable<CheckItem> Panel(JobAnalysis a, PanelAnalysis at)
    {
        CheckItem Item(string key, string title, params IEnumerable<string> lines) =>
            CheckOff.Item(
                Inspection.RoughIn,
                at.Panel.Name,
                $"panel/{at.Panel.Id}/{key}",
                at.Panel.Room,
                Subject.Panel(at.Panel.Id),
                title,
                lines
            );

        yield return Item(
            "place",
            "Its height and the space before it",
            $"top at {LengthText.Show(at.Panel.Top, a.Units)}; the space before it {Of("workingWidthIn")} wide, "
                + $"{Of("workingDepthIn")} deep and clear to {LengthText.Show(Length.Inches(78), a.Units)}"
        );
        string Of(string number) =>
            a.Units == LengthUnits.FeetInches
                ? $"{a.Edition.Number(number).Length.InInches:0}\""
                : LengthText.Show(a.Edition.Number(number).Length, a.Units);
        if (a.Job.Preferences.RoughTesting == RoughTesting.Dead)
            yield return Item("open", "Nothing connected in it yet", "breakers and neutrals are landed after this inspection");
        yield return at.Feeder is null
            ? Item("bond", "Neutral and ground joined here, and nowhere else", "the electrode conductor comes here")
            : Item("bond", "Neutral and ground apart", $"fed from {a.PanelById(at.Feeder.From)!.Panel.Name}: no bonding screw or strap");
    }

    private static string Names(IEnumerable<BoxLine> lines) => string.Join(", ", lines.Select(l => l.Box.Id));

    private static string Numbers(IEnumerable<CircuitAnalysis> circuits) => string.Join(", ", circuits.Select(c => $"HR-{c.Number:00}"));
}
