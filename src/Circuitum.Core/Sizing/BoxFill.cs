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
    /// <exception cref="ArgumentException">A size has no allowance in a box.</exception>
    public static BoxFill Of(BoxContents contents, CodeEdition edition)
    {
        var lines = ImmutableArray.CreateBuilder<Derivation>();
        var sum = 0.0;
        foreach (var wire in contents.Conductors.Where(w => w.Count > 0))
            Add(
                $"{wire.Count} conductors {wire.Size} AWG",
                wire.Count * Allowance(wire.Size),
                $"{wire.Count} x {Allowance(wire.Size):0.00}",
                edition.Cite("box.countConductors")
            );
        var all = Largest(contents.Conductors.Concat(contents.Grounds));
        if (contents.Clamps && all is { } largest)
            Add(
                "clamps inside, one of the largest conductor",
                Allowance(largest),
                $"1 x {Allowance(largest):0.00}",
                edition.Cite("box.countClamps")
            );
        if (contents.Fittings > 0 && all is { } thickest)
            Add(
                "support fittings",
                contents.Fittings * Allowance(thickest),
                $"{contents.Fittings} x {Allowance(thickest):0.00}",
                edition.Cite("box.countFittings")
            );
        foreach (var group in contents.Devices.GroupBy(d => d))
        {
            var each = Allowance(group.Key.Size) * (group.Key.Wide ? 4 : 2);
            Add(
                $"{group.Count()} device{(group.Count() > 1 ? "s" : "")} on {group.Key.Size} AWG"
                    + $"{(group.Key.Wide ? ", wider than one gang" : "")}",
                group.Count() * each,
                $"{group.Count()} x {(group.Key.Wide ? 4 : 2)} x {Allowance(group.Key.Size):0.00}",
                edition.Cite("box.countDevices")
            );
        }

        var grounds = contents.Grounds.Sum(g => g.Count);
        if (grounds > 0)
        {
            var one = Allowance(Largest(contents.Grounds)!.Value);
            var more = Math.Max(0, grounds - edition.Number("groundsPerAllowance").Whole);
            Add(
                $"{grounds} ground{(grounds > 1 ? "s" : "")}",
                one + (more * one / 4),
                more > 0 ? $"{one:0.00} + {more} x {one / 4:0.00}" : $"1 x {one:0.00}",
                edition.Cite("box.countGrounds")
            );
        }

        return new(
            sum,
            new("Box fill", $"{sum:0.00} in3")
            {
                Formula = string.Join(" + ", lines.Select(l => l.Result)),
                Citation = edition.Cite("box.volume"),
                Steps = lines.ToImmutable(),
            }
        );

        void Add(string what, double volume, string formula, string cite)
        {
            sum += volume;
            lines.Add(new(what, $"{volume:0.00}") { Formula = formula, Citation = cite });
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

    /// <summary>Volume of one conductor in a box.</summary>
    /// <exception cref="ArgumentException">The size has no allowance in a box.</exception>
    public static double Allowance(WireSize size) =>
        CodeLibrary.Conductors.Copper.FirstOrDefault(r => r.Size == size) is { BoxIn3: > 0 } row
            ? row.BoxIn3
            : throw new ArgumentException($"{size} AWG has no allowance in a box.", nameof(size));

    private static WireSize? Largest(IEnumerable<WireCount> wires) => wires.Where(w => w.Count > 0).Max(w => (WireSize?)w.Size);
}
