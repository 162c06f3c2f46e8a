using Circuitum.Core.Analysis;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Training;

/// <summary>Something that is seen on an inspection, right and wrong.</summary>
/// <param name="Good">As the plan wants it.</param>
/// <param name="Bad">With a mistake that the rules of the job's edition do not let pass.</param>
/// <param name="Why">Why that fails.</param>
internal sealed record Sighting(string Good, string Bad, string Why);

/// <summary>What is seen before insulation and boards: made from the very boxes, cables and walls of the plan.</summary>
internal static class Sightings
{
    /// <summary>In a wall with the cables of the plan.</summary>
    internal static IEnumerable<Sighting> InWall(JobAnalysis a, WallCables inside)
    {
        var p = a.Job.Preferences;
        var (near, every) = (FirstStaple.Of(a).Most, a.Edition.Number("stapleEveryIn").Length);
        yield return new(
            $"first staple {LengthText.Show(Least(p.StapleFromBox, near), a.Units)} from the box",
            $"first staple {LengthText.Show(near + Length.Inches(4), a.Units)} from the box",
            $"a cable is secured within {LengthText.Show(near, a.Units)} of each box"
        );
        yield return new(
            $"staples every {LengthText.Show(Least(p.StapleEvery, every), a.Units)}",
            $"staples every {LengthText.Show(every + Length.Feet(1), a.Units)}",
            $"a cable is secured at least every {LengthText.Show(every, a.Units)}"
        );
        if (inside.Holes.Length > 0)
            yield return new(
                $"holes {a.Units.Either("1-1/2\"", "38 mm")} from the face of the stud",
                $"holes {a.Units.Either("1\"", "25 mm")} from the face of the stud, no plate",
                $"nearer than {a.Units.Either("1-1/4\"", "32 mm")} it takes a plate"
            );
        foreach (var boxes in InBoxes(a.Units))
            yield return boxes;
    }

    /// <summary>In a room with its boxes.</summary>
    internal static IEnumerable<Sighting> InRoom(JobAnalysis a, RoomBoxes boxes)
    {
        foreach (var line in boxes.Lines.Where(l => l.Spec is { Fill.Inches3: > 4, Entry: not null, Cables.Length: > 0 }))
        {
            var (fill, volume) = (line.Spec.Fill!.Inches3, line.Spec.Entry!.Volume);
            if (fill <= volume)
                yield return new(
                    $"{line.Box.Id}: {VolumeText.Show(fill, a.Units)} of wire and devices in a box of "
                        + $"{VolumeText.Show(volume, a.Units, "0.0")}",
                    $"{line.Box.Id}: {VolumeText.Show(fill, a.Units)} of wire and devices in a box of "
                        + $"{VolumeText.Show(Math.Floor(fill - 1), a.Units, "0.0")}",
                    "a box holds no more than its volume"
                );
        }

        foreach (var line in boxes.Lines)
        {
            if (a.CircuitOf(line.Box.Id) is { Breaker: 20, Carried: false } c && line.Spec.Cables.Length > 0)
                yield return new(
                    $"{line.Box.Id}: {line.Spec.Cables[0].Cable} of circuit {c.Number}, on {c.Breaker} A",
                    $"{line.Box.Id}: 14-2 of circuit {c.Number}, on {c.Breaker} A",
                    "14 AWG copper takes no more than 15 A, wherever in the circuit it is"
                );
        }

        foreach (var wall in boxes.Room.Walls.Select(w => WallCables.Of(a, boxes.Room, w.Index)).Where(w => w.Cables.Length > 0))
        {
            foreach (var seen in InWall(a, wall))
                yield return seen;
        }
    }

    /// <summary>At a panel.</summary>
    internal static IEnumerable<Sighting> AtPanel(PanelAnalysis at)
    {
        yield return new(
            "30\" wide and 36\" deep before it are free",
            "a water tank stands 24\" before it",
            "the space before a panel is 30\" wide, 36\" deep and kept free"
        );
        yield return new(
            "each cable in a connector of its own",
            "three cables through one knockout without a connector",
            "a cable comes into a cabinet through a connector made for it"
        );
        yield return at.Feeder is null
            ? new(
                "neutral and ground joined here",
                "the bonding jumper is not in",
                "neutral and ground are joined at the disconnect of the service"
            )
            : new(
                "neutrals on a bar that stands apart from the ground",
                "the bonding screw is in",
                "beyond the service neutral and ground stay apart"
            );
        yield return new(
            "each home run carries its label",
            "two home runs without a label",
            "the plan goes by the labels, and the directory is written from them"
        );
    }

    private static IEnumerable<Sighting> InBoxes(LengthUnits units) =>
        [
            new(
                $"{units.Either("6\"", "150 mm")} of free conductor in each box",
                $"{units.Either("4\"", "100 mm")} of free conductor in one box",
                $"at least {units.Either("6\"", "150 mm")} of free conductor"
            ),
            new(
                $"sheath {units.Either("1/4\"", "6 mm")} into each box",
                "sheath ends before one box",
                $"the sheath comes at least {units.Either("1/4\"", "6 mm")} into the box"
            ),
            new("boxes proud of the stud by the board", "one box flush with the stud", "its edge has to meet the finished wall"),
            new("grounds joined in every box", "a ground folded back, not joined", "every ground of a box is joined"),
        ];

    private static Length Least(Length one, Length other) => one < other ? one : other;
}
