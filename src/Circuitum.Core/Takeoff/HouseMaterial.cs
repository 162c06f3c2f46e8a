using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;

namespace Circuitum.Core.Takeoff;

/// <summary>The door to the takeoff: everything that a planned house needs, from what, and what it takes to put it in.</summary>
/// <param name="Pieces">What every box, cable, hole and panel needs.</param>
/// <param name="Labour">The work on each.</param>
public sealed record HouseMaterial(ImmutableArray<MaterialPiece> Pieces, ImmutableArray<LabourPiece> Labour)
{
    private readonly Lazy<ImmutableArray<MaterialLine>> lines = new(() => Grouped(Pieces));

    /// <summary>The lines: one for each item and stage, in the order in which people look for them.</summary>
    public ImmutableArray<MaterialLine> Lines => lines.Value;

    /// <summary>The material of a house.</summary>
    public static HouseMaterial Of(JobAnalysis a)
    {
        var tally = new Tally(a);
        CableCount.Count(a, tally);
        CableCount.Clamps(a, tally);
        BoxCount.Count(a, tally);
        TrimCount.Count(a, tally);
        FrameCount.Count(a, tally);
        PanelCount.Count(a, tally);
        OutsideCount.Count(a, tally);
        return new(tally.Pieces, tally.Labour);
    }

    /// <summary>The lines of some of the pieces.</summary>
    /// <param name="pieces">Such as those of one room.</param>
    public static ImmutableArray<MaterialLine> Grouped(IEnumerable<MaterialPiece> pieces) =>
        [
            .. pieces
                .GroupBy(p => (p.Item.Key, p.Stage))
                .Select(g => new MaterialLine(g.First().Item, g.Key.Stage, [.. g]))
                .OrderBy(l => l.Stage)
                .ThenBy(l => Order[l.Item.Type.Id])
                .ThenBy(l => l.Item.Key, StringComparer.Ordinal),
        ];

    private static readonly Dictionary<string, int> Order = CodeLibrary.Takeoff.Items.Select((i, n) => (i.Id, n)).ToDictionary();
}
