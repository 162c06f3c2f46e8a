using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Explain;
using Circuitum.Core.Routing;

namespace Circuitum.Core.Analysis;

/// <summary>
/// A circuit whose cable lies with so many others, through a sealed hole or over more than 24 in, that its wire would have to be larger.
/// </summary>
/// <param name="Circuit">Its number.</param>
/// <param name="CurrentCarrying">Current-carrying wires together.</param>
/// <param name="Where">The plates or the wall.</param>
/// <param name="Places">In how many places.</param>
/// <param name="Larger">The wire that it would need, AWG.</param>
/// <param name="Remedy">The cheapest way out.</param>
/// <param name="Cents">What each way out costs, as the planner weighs it; infinite where there is none.</param>
public sealed record SharedHole(
    int Circuit,
    int CurrentCarrying,
    string Where,
    int Places,
    string Larger,
    HoleRemedy Remedy,
    ImmutableDictionary<HoleRemedy, double> Cents
)
{
    /// <summary>How it was chosen.</summary>
    public Derivation Derivation(CodeEdition edition) =>
        new(
            "Cables together",
            Remedy switch
            {
                HoleRemedy.OwnHole => "holes of its own",
                HoleRemedy.OtherWay => "another way",
                _ => $"{Larger} AWG",
            }
        )
        {
            Citation = $"{edition.Cite("wire.sheathed")}, {edition.Cite("wire.count")}",
            Because =
                $"In {Where} it would lie with {CurrentCarrying} current-carrying wires in one hole and need {Larger} AWG. "
                + string.Join(
                    ", ",
                    Cents.Where(c => double.IsFinite(c.Value)).OrderBy(c => c.Key).Select(c => $"{Word(c.Key)} about ${c.Value / 100:0.00}")
                )
                + "; "
                + "the cheapest is taken.",
        };

    private string Word(HoleRemedy remedy) =>
        remedy switch
        {
            HoleRemedy.OwnHole => $"{Places} hole{(Places == 1 ? "" : "s")} of its own cost",
            HoleRemedy.OtherWay => "the way over the field costs",
            _ => "the larger wire costs",
        };
}

/// <summary>Looks for cables that lie so close together that they lose ampacity (334.80, 310.15(C)(1)).</summary>
internal static class HoleSearch
{
    // Wires that lie together over a shorter distance keep their ampacity.
    private const double BundleInches = 24;

    /// <summary>Whether any circuit could need larger wire with as many cables in a hole as the job allows.</summary>
    internal static bool Possible(JobAnalysis a, CircuitDeriver deriver)
    {
        var most = a.Job.Preferences.CablesPerHole;
        var four = a.Circuits.Count(c => c.Pair?.Kind == Jobs.PairKind.TwoNeutrals && !c.Carried);
        return most > 1 && a.Circuits.Any(c => Changes(c, deriver, (2 * most) + (2 * Math.Min(four, most))));
    }

    private static bool Changes(CircuitAnalysis c, CircuitDeriver deriver, int carrying) =>
        c.Wire is { } wire && deriver.WireWith(c, carrying) is var other && (other?.Size, other?.Breaker) != (wire.Size, wire.Breaker);

    /// <summary>The circuits that would need larger wire where their cables lie now, by number, with the cables concerned.</summary>
    internal static SortedDictionary<
        int,
        (int Carrying, string Where, int Places, string Larger, ImmutableHashSet<CableSegment> Segments)
    > Of(JobAnalysis a, CircuitDeriver deriver)
    {
        var holes = DrilledWays
            .Through(a, [])
            .SelectMany(p =>
                DrilledWays.Bored(a, p.Key.Member, p.Value).Where(h => h.Length > 1).Select(h => (p.Key.Member.Where, Hole: h))
            )
            .ToList();
        var bundles = holes
            .Where(h => !Plates(h.Where))
            .GroupBy(h =>
                (
                    h.Where,
                    Key: string.Join(' ', h.Hole.Select(x => $"{x.Circuit}:{x.CableSegment.From}:{x.CableSegment.To}:{x.CableSegment.Use}"))
                )
            )
            .Where(g => g.Count() * a.Job.Frame.StudSpacing.InInches > BundleInches)
            .SelectMany(g => g);

        // Two sheathed cables through a sealed hole keep theirs: the rule begins with the third.
        var found = new SortedDictionary<int, (int, string, int, string, ImmutableHashSet<CableSegment>)>();
        foreach (
            var group in holes
                .Where(h => Plates(h.Where) && h.Hole.Length > 2)
                .Concat(bundles)
                .SelectMany(h => h.Hole.Select(x => (h.Where, h.Hole, Cable: x)))
                .GroupBy(x => x.Cable.Circuit)
        )
        {
            if (a.CircuitByNumber(group.Key) is not { Wire: not null } c)
                continue;
            var hurt = group
                .Select(x => (x.Where, x.Cable.CableSegment, Carrying: x.Hole.Sum(y => y.Carrying)))
                .Where(x => Changes(c, deriver, x.Carrying))
                .ToList();
            if (hurt.Count == 0)
                continue;
            var worst = hurt.MaxBy(h => h.Carrying);
            found[group.Key] = (
                worst.Carrying,
                worst.Where,
                hurt.Count,
                deriver.WireWith(c, worst.Carrying)?.Size.ToString() ?? "no",
                [.. hurt.Select(h => h.CableSegment)]
            );
        }

        return found;
    }

    /// <summary>Whether all places of a wall name are plates, whose holes are sealed.</summary>
    private static bool Plates(string where) => where.Contains("plates", StringComparison.Ordinal);
}
