using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Explain;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Sizing;

/// <summary>The volume that a box needs (314.16(B)).</summary>
/// <param name="Inches3">Cubic inches.</param>
/// <param name="Derivation">The sum, line by line.</param>
public sealed record BoxFill(double Inches3, Derivation Derivation)
{
    /// <summary>Works out the volume of what is in a box.</summary>
    /// <param name="contents">What is in it, in sizes from 14 to 6 AWG.</param>
    /// <param name="edition">The edition; before 2020 all grounds count as one.</param>
    /// <param name="units">In which it is told; none for those of the edition.</param>
    /// <exception cref="ArgumentException">A size has no allowance in a box.</exception>
    public static BoxFill Of(BoxContents contents, CodeEdition edition, LengthUnits? units = null)
    {
        var sheet = new Sheet(edition, units ?? edition.Units);
        sheet.Conductors(contents);
        if (edition.Ways.BoxRoom == BoxRoomWay.Pairs)
        {
            sheet.Fittings(contents);
            sheet.Connectors(contents);
            sheet.Devices(contents);
        }
        else
        {
            sheet.Clamps(contents);
            sheet.Fittings(contents);
            sheet.Devices(contents);
            sheet.Grounds(contents);
        }

        return sheet.Whole();
    }

    // The sum, line by line.
    private sealed class Sheet(CodeEdition edition, LengthUnits units)
    {
        private readonly ImmutableArray<Derivation>.Builder lines = ImmutableArray.CreateBuilder<Derivation>();
        private double sum;

        internal BoxFill Whole() =>
            new(
                sum,
                new("Box fill", VolumeText.Show(sum, units))
                {
                    Formula = string.Join(" + ", lines.Select(l => l.Result)),
                    Citation = edition.Cite("box.volume"),
                    Steps = lines.ToImmutable(),
                }
            );

        internal void Conductors(BoxContents contents)
        {
            foreach (var wire in contents.Conductors.Where(w => w.Count > 0))
                Add(
                    $"{wire.Count} conductors {wire.Size.Told}",
                    wire.Count * Room(wire.Size),
                    $"{wire.Count} x {Told(Room(wire.Size))}",
                    "box.countConductors"
                );
        }

        internal void Clamps(BoxContents contents)
        {
            if (contents.Clamps && Largest(contents.Conductors.Concat(contents.Grounds)) is { } largest)
                Add("clamps inside, one of the largest conductor", Room(largest), $"1 x {Told(Room(largest))}", "box.countClamps");
        }

        internal void Fittings(BoxContents contents)
        {
            if (contents.Fittings > 0 && Largest(contents.Conductors.Concat(contents.Grounds)) is { } thickest)
                Add(
                    "support fittings",
                    contents.Fittings * Room(thickest),
                    $"{contents.Fittings} x {Told(Room(thickest))}",
                    "box.countFittings"
                );
        }

        internal void Connectors(BoxContents contents)
        {
            if (contents.Connectors / 2 is var pairs and > 0 && Largest(contents.Conductors) is { } largest)
                Add(
                    $"{pairs} pair{(pairs == 1 ? "" : "s")} of connectors",
                    pairs * Room(largest),
                    $"{pairs} x {Told(Room(largest))}",
                    "box.countConnectors"
                );
        }

        internal void Devices(BoxContents contents)
        {
            foreach (var group in contents.Devices.GroupBy(d => d))
            {
                var each = Room(group.Key.Size) * (group.Key.Wide ? 4 : 2);
                Add(
                    $"{group.Count()} device{(group.Count() > 1 ? "s" : "")} on {group.Key.Size.Told}"
                        + $"{(group.Key.Wide ? ", wider than one gang" : "")}",
                    group.Count() * each,
                    $"{group.Count()} x {(group.Key.Wide ? 4 : 2)} x {Told(Room(group.Key.Size))}",
                    "box.countDevices"
                );
            }
        }

        internal void Grounds(BoxContents contents)
        {
            var grounds = contents.Grounds.Sum(g => g.Count);
            if (grounds <= 0)
                return;
            var one = Room(Largest(contents.Grounds)!.Value);
            var more = Math.Max(0, grounds - edition.Number("groundsPerAllowance").Whole);
            Add(
                $"{grounds} ground{(grounds > 1 ? "s" : "")}",
                one + (more * one / 4),
                more > 0 ? $"{Told(one)} + {more} x {Told(one / 4)}" : $"1 x {Told(one)}",
                "box.countGrounds"
            );
        }

        private double Room(WireSize size) =>
            edition.RoomInBox(size) ?? throw new ArgumentException($"{size.Told} has no allowance in a box.", nameof(size));

        private string Told(double volume) => VolumeText.Number(volume, units);

        private void Add(string what, double volume, string formula, string rule)
        {
            sum += volume;
            lines.Add(new(what, Told(volume)) { Formula = formula, Citation = edition.Cite(rule) });
        }
    }

    /// <summary>The smallest generic box that holds a volume, or none when none does.</summary>
    /// <param name="use"><c>device</c>, <c>fixture</c> or <c>fan</c>.</param>
    /// <param name="gangs">Gangs, for a device box.</param>
    /// <param name="needed">Works out the volume needed for a box with or without clamps.</param>
    /// <param name="reserve">What of the volume stays free where a box of the same sort allows it, as a share: nobody buys a box that is
    /// just full.</param>
    /// <param name="steel">For a steel stud.</param>
    public static BoxEntry? Smallest(string use, int gangs, Func<bool, double> needed, double reserve = 0, bool steel = false)
    {
        var sorts = CodeLibrary
            .Boxes.Values.Where(b => b.Use == use && b.Gangs == gangs && b.Bracket == steel)
            .OrderBy(b => b.Volume)
            .GroupBy(b => b.Metal)
            .OrderBy(g => g.Key)
            .ToList();
        var roomy = sorts
            .Select(g => g.FirstOrDefault(b => needed(b.Clamps) <= (b.Volume * (1 - reserve)) + 1e-9))
            .FirstOrDefault(b => b is not null);
        var least = sorts.Select(g => g.FirstOrDefault(b => needed(b.Clamps) <= b.Volume + 1e-9)).FirstOrDefault(b => b is not null);

        // Another sort of box is taken for need, not for room to spare.
        return roomy is not null && (least is null || roomy.Metal == least.Metal)
            ? roomy
            : sorts
                .Where(g => least is null || g.Key == least.Metal)
                .SelectMany(g => g)
                .LastOrDefault(b => needed(b.Clamps) <= b.Volume + 1e-9)
                ?? least;
    }

    private static WireSize? Largest(IEnumerable<WireCount> wires) => wires.Where(w => w.Count > 0).Max(w => (WireSize?)w.Size);
}
