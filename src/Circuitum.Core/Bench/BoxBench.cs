using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Measure;
using Circuitum.Core.Sizing;

namespace Circuitum.Core.Bench;

/// <summary>Box fill, conduit fill and bends.</summary>
internal static class BoxBench
{
    internal static BenchQuestion Box { get; } =
        new(
            "box",
            "Box fill",
            [
                new("edition", "Rules", CodeLibrary.EditionIds[0], BenchDesk.Editions),
                new("wires", "Wires by size and count", "") { Needed = true, Example = "14:6,12:2" },
                new("grounds", "Grounds by size and count", "") { Example = "14:2,12:1" },
                new("devices", "Devices by the size on them and count", "") { Example = "14:1" },
                new("wide-devices", "Devices wider than one gang", "") { Example = "6:1" },
                new("clamps", "Clamps inside", "no", BenchDesk.YesNo),
                new("fittings", "Support fittings", "0"),
                new("connectors", "Wire connectors, where they take room", "0"),
                new("volume", "Volume of the box, in3", "") { Example = "18" },
            ],
            Volume
        );

    internal static BenchQuestion Conduit { get; } =
        new(
            "conduit",
            "Conduit fill and bends",
            [
                new("wires", "All wires by size and count, neutrals and grounds too", "") { Needed = true, Example = "2:4" },
                new("kind", "Conduit", "pvc40", "pvc40", "pvc80", "rigid", "emt"),
                new("nipple", "A nipple, 24 in at most", "no", BenchDesk.YesNo),
                new("edition", "Rules", CodeLibrary.EditionIds[0], BenchDesk.Editions),
                new("size", "A trade size to look at", "") { Example = "1" },
                new("bends", "Bends in degrees, in their order; 0 is a pull point", "") { Example = "90,90,45" },
            ],
            Fill
        );

    private static BenchAnswer Volume(BenchInput i)
    {
        var edition = CodeLibrary.Edition(i.Choice("edition"));
        var contents = new BoxContents
        {
            Conductors = Sized(i, "wires"),
            Grounds = Sized(i, "grounds"),
            Devices =
            [
                .. Sized(i, "devices").SelectMany(d => Enumerable.Repeat(new DeviceYoke(d.Size), d.Count)),
                .. Sized(i, "wide-devices").SelectMany(d => Enumerable.Repeat(new DeviceYoke(d.Size, true), d.Count)),
            ],
            Clamps = i.Yes("clamps"),
            Fittings = i.Whole("fittings", 0, 20),
            Connectors = i.Whole("connectors", 0, 100),
        };
        var fill = BoxFill.Of(contents, edition);
        var volume = i.Maybe("volume", 1, 1000);

        // A device wider than one gang takes two of them. Whoever says that clamps are inside gets a box for that, clamped or not.
        var gangs = contents.Devices.Sum(d => d.Wide ? 2 : 1);
        var smallest =
            gangs > 0
                ? BoxFill.Smallest("device", gangs, clamps =>
                    BoxFill.Of(contents with { Clamps = clamps || contents.Clamps }, edition).Inches3
                )
                : null;
        return new(
            [
                ("volume", Math.Round(fill.Inches3, 4)),
                ("passes", volume is { } v ? fill.Inches3 <= v + 1e-9 : null),
                ("smallestBox", smallest?.In(edition.Units).Name),
            ],
            fill.Derivation with
            {
                Because =
                    (edition.Units == LengthUnits.Metric ? $"{VolumeText.Show(fill.Inches3, edition.Units)}. " : "")
                    + (
                        volume is { } has
                            ? $"{(fill.Inches3 <= has + 1e-9 ? "Fits" : "Does not fit")} in {has:0.##} in3."
                                + $"{(smallest is null ? "" : $" The smallest that passes: {smallest.In(edition.Units).Name}.")}"
                            : ""
                    ),
            }
        );
    }

    private static BenchAnswer Fill(BenchInput i)
    {
        var wires = i.Wires("wires");
        foreach (var w in wires)
            if (CodeLibrary.Conductors.Copper.All(r => r.Size != w.Size))
                throw new BenchException("wires", $"there is no wire of {w.Size} in the table.");
        if (wires.Sum(w => w.Count) < 1)
            throw new BenchException("wires", "say which wires lie in it.");
        var fill = ConduitFill.Of(wires, i.Choice("kind"), i.Yes("nipple"), CodeLibrary.Edition(i.Choice("edition")));
        ImmutableArray<int> degrees = [.. i.Numbers("bends", 0, 180).Select(b => (int)b)];
        var bends = ConduitBends.Of(degrees, fill.Kind);
        var asked = i.Has("size")
            ? fill.Kind.Sizes.FirstOrDefault(s => s.Size == i.Text("size"))
                ?? throw new BenchException("size", $"choose one of {string.Join(", ", fill.Kind.Sizes.Select(s => s.Size))}.")
            : null;
        var at = asked ?? fill.Size;
        return new(
            [
                ("size", fill.Size?.Size),
                ("areaIn2", Math.Round(fill.AreaIn2, 4)),
                ("fillPercent", at is null ? null : Math.Round(fill.AreaIn2 / at.AreaIn2 * 100, 1)),
                (
                    "fillPasses",
                    asked is null
                        ? fill.Size is not null
                        : fill.Size is not null && fill.Kind.Sizes.IndexOf(asked) >= fill.Kind.Sizes.IndexOf(fill.Size)
                ),
                ("bendDegrees", bends.Stretches.ToArray()),
                ("bendsPass", bends.Pass),
                ("pullPointsWanted", bends.PullPointsWanted),
            ],
            fill.Derivation with
            {
                Steps = [.. fill.Derivation.Steps, .. degrees.Length > 0 ? new[] { bends.Derivation } : []],
            }
        );
    }

    private static ImmutableArray<WireCount> Sized(BenchInput i, string field)
    {
        var wires = i.Wires(field);
        if (wires.FirstOrDefault(w => CodeLibrary.Conductors.Copper.All(r => r.Size != w.Size || r.BoxIn3 <= 0)) is { } odd)
            throw new BenchException(field, $"{odd.Size} has no allowance in a box; sizes from 14 to 6 have.");
        return wires;
    }
}
