using System.Collections.Immutable;
using Circuitum.Core.Measure;
using Circuitum.Core.Routing;

namespace Circuitum.Core.Analysis;

/// <summary>The list from which home runs are pulled: in groups by the way they go, the longest of a group first.</summary>
public static class PullList
{
    /// <summary>The groups, those over the highest storey last.</summary>
    public static ImmutableArray<PullGroup> Of(JobAnalysis a)
    {
        var lines = a
            .Circuits.Where(c => c.Run.First is not null && !c.Carried && a.Panel is not null)
            .Select(c => new PullLine(
                c,
                Label(a, c),
                c.Run.First!,
                a.RouteOf(c.Run.Segments[0]).Told(a.Units),
                c.Run.Segments[0].Cut,
                c.Pulled
            ));
        return
        [
            .. lines
                .GroupBy(l => (Storey: a.House[a.Boxes[l.To].Room].Room.Storey, Field: FieldOf(a.RouteOf(l.Circuit.Run.Segments[0]))))
                .OrderBy(g => a.Job.StoreyById(g.Key.Storey)!.Floor)
                .ThenBy(g => g.Key.Field, StringComparer.Ordinal)
                .Select(g => new PullGroup(
                    $"{a.Job.StoreyById(g.Key.Storey)!.Name}, {g.Key.Field}",
                    [.. g.OrderByDescending(l => l.Cut).ThenBy(l => l.Circuit.Number)]
                )),
        ];
    }

    /// <summary>The cables from box to box of a circuit, in an order in which each comes from a box that has power.</summary>
    public static ImmutableArray<BranchLine> Branches(JobAnalysis a, CircuitAnalysis c) =>
        [
            .. c
                .Run.Cables.Where(h => h.From is not null)
                .Select(h => new BranchLine(h.From!, h.To, c.CableOf(h), h.Use, a.RouteOf(h).Told(a.Units), h.Cut)),
        ];

    /// <summary>What each sort of cable comes to, smallest name first.</summary>
    public static ImmutableArray<PullTotal> Totals(IEnumerable<PullGroup> groups) =>
        [
            .. groups
                .SelectMany(g => g.Lines)
                .GroupBy(l => $"{l.Cable}")
                .OrderBy(g => g.Key, StringComparer.Ordinal)
                .Select(g => new PullTotal(
                    g.Key,
                    Sum(g, l => l.Cut),
                    Sum(g.Where(l => l.Pulled?.Measured is not null), l => l.Cut),
                    Sum(g, l => l.Pulled?.Measured ?? Length.Zero),
                    Sum(g.Where(l => l.Pulled is null), l => l.Cut)
                )),
        ];

    private static Length Sum(IEnumerable<PullLine> lines, Func<PullLine, Length> of) =>
        lines.Aggregate(Length.Zero, (sum, l) => sum + of(l));

    private static string Label(JobAnalysis a, CircuitAnalysis c) =>
        c.Pair is { } pair && a.CircuitByNumber(pair.Second) is { } mate
            ? $"{a.HomeRunLabel(c)}; HR-{mate.Number:00} {mate.Label}"
            : a.HomeRunLabel(c);

    private static string FieldOf(CableRoute route)
    {
        if (route.Pieces.Any(p => p.Kind == WayKind.Outside && p.Length > Length.Feet(5)))
            return "outside the house";
        if (route.Pieces.FirstOrDefault(p => p.Kind == WayKind.Field) is not { } across)
            return "inside a wall";
        return across.FromZ > route.Pieces[^1].ToZ ? "from above" : "from below";
    }
}
