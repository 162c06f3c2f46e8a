using System.Collections.Immutable;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Routing;

namespace Circuitum.Core.Analysis;

/// <summary>Cable, conduit and wire of a house, summed up.</summary>
/// <param name="a">The house.</param>
public sealed class CableTotals(JobAnalysis a)
{
    /// <summary>What is added to the name of cable that lies in the ground.</summary>
    internal const string ForGround = " for the ground";

    /// <summary>Cable to buy in feet, with waste.</summary>
    public double Feet => ByType.Sum(c => c.Cut.InFeet) * (100 + a.Job.Preferences.WastePercent) / 100;

    /// <summary>What each sort of cable comes to, to cut, smallest name first; waste and what is in conduit outside not counted.</summary>
    public ImmutableArray<(string Cable, Length Cut)> ByType =>
        [
            .. a
                .Circuits.SelectMany(c => c.Run.Cables.Select(h => InHouse(c, h)))
                .Where(x => x.Cut > Length.Zero)
                .GroupBy(x => x.Cable)
                .OrderBy(g => g.Key, StringComparer.Ordinal)
                .Select(g => (g.Key, g.Aggregate(Length.Zero, (sum, x) => sum + x.Cut))),
        ];

    /// <summary>What of one piece is cable, and what that is called.</summary>
    internal (string Cable, Length Cut) InHouse(CircuitAnalysis c, CableSegment segment)
    {
        if (a.Outside.Length == 0 || a.OutsideOf(segment) is not { } outside)
            return ($"{c.CableOf(segment)}", segment.Cut);
        if (outside.Fill is null)
            return (
                outside.Method == OutsideMethod.DirectBurial ? $"{c.CableOf(segment)}{ForGround}" : $"{c.CableOf(segment)}",
                segment.Cut
            );

        // Where the cable ends and the wires begin is a box on the wall; nothing of the cable is left when all of the way is outside.
        return (
            $"{c.CableOf(segment)}",
            outside.Length >= segment.Way - Length.Feet(1) ? Length.Zero : Length.Max(Length.Zero, segment.Cut - outside.Length)
        );
    }

    /// <summary>Conduit and single wires for what is outside, in feet to buy with waste.</summary>
    public ImmutableArray<(string What, double Feet)> Conduit =>
        [
            .. a
                .Outside.Where(o => o.Fill?.Size is not null)
                .SelectMany(o =>
                    o.Wires.Select(w =>
                            (What: $"{w.Size.Told} wet-rated wire", Feet: w.Count * (o.Length + (a.Job.Preferences.BoxMakeUp * 2)).InFeet)
                        )
                        .Prepend((What: $"{o.Fill!.Size!.Told(a.Units)} conduit, {o.Fill.Kind.Name}", Feet: o.Length.InFeet))
                )
                .GroupBy(x => x.What)
                .OrderBy(g => g.Key, StringComparer.Ordinal)
                .Select(g => (g.Key, g.Sum(x => x.Feet) * (100 + a.Job.Preferences.WastePercent) / 100)),
        ];
}
