using System.Collections.Immutable;
using Circuitum.Core.Explain;

namespace Circuitum.Core.Bench;

/// <summary>Cuts from coils.</summary>
public static class ReelBench
{
    internal static BenchQuestion Reels { get; } =
        new(
            "reels",
            "Cuts from coils",
            [new("cuts", "Lengths to cut, ft", "") { Needed = true, Example = "96,84,71" }, new("coil", "A coil, ft", "250")],
            i =>
            {
                var coil = i.Number("coil", 1, 10_000);
                var cuts = i.Numbers("cuts", 0.01, 10_000);
                if (cuts.FirstOrDefault(c => c > coil) is var long_ and > 0)
                    throw new BenchException("cuts", $"{long_:0.##} ft is longer than a coil of {coil:0.##} ft.");
                var packed = Pack(cuts, coil);
                var least = (int)Math.Ceiling((cuts.Sum() / coil) - 1e-9);
                return new(
                    [
                        ("coils", packed.Length),
                        ("least", least),
                        ("cuts", packed.Select(c => c.ToArray()).ToArray()),
                        ("leftovers", packed.Select(c => Math.Round(coil - c.Sum(), 2)).ToArray()),
                    ],
                    new("Cuts from coils", $"{packed.Length} coil{(packed.Length == 1 ? "" : "s")}")
                    {
                        Formula = $"{cuts.Sum():0.##} / {coil:0.##} = {cuts.Sum() / coil:0.00}, so at least {least}",
                        Because = packed.Length == least ? "No fewer are possible." : "The fewest that a thorough search found.",
                        Steps =
                        [
                            .. packed.Select(
                                (c, n) =>
                                    Derivation.Fact(
                                        $"Coil {n + 1}",
                                        string.Join(" + ", c.Select(x => $"{x:0.##}")),
                                        $"{coil - c.Sum():0.##} ft left"
                                    )
                            ),
                        ],
                    }
                );
            }
        );

    // A search that has looked at so many places for cuts stops with the best it has.
    private const int MostSteps = 400_000;

    /// <summary>Divides cuts over as few coils as it can: best fit first, then every way that could need fewer, up to a limit.</summary>
    /// <param name="cuts">Lengths, none longer than a coil.</param>
    /// <param name="coil">Length of a coil.</param>
    public static ImmutableArray<ImmutableArray<double>> Pack(IReadOnlyList<double> cuts, double coil)
    {
        var sorted = cuts.OrderDescending().ToArray();
        var least = (int)Math.Ceiling((sorted.Sum() / coil) - 1e-9);
        var best = BestFit(sorted, coil);
        for (var steps = 0; best.Count > least; )
        {
            var fewer = Enumerable.Range(0, best.Count - 1).Select(_ => new List<double>()).ToList();
            if (!Fits(0, fewer, [.. Enumerable.Repeat(coil, fewer.Count)], ref steps))
                break;
            best = fewer;
        }

        return [.. best.Where(b => b.Count > 0).Select(b => b.ToImmutableArray())];

        bool Fits(int n, List<List<double>> into, double[] left, ref int steps)
        {
            if (n == sorted.Length)
                return true;
            var tried = new HashSet<double>();
            for (var b = 0; b < left.Length; b++)
            {
                // Two coils with as much left are the same.
                if (left[b] < sorted[n] - 1e-9 || !tried.Add(Math.Round(left[b], 6)) || ++steps > MostSteps)
                    continue;
                left[b] -= sorted[n];
                into[b].Add(sorted[n]);
                if (Fits(n + 1, into, left, ref steps))
                    return true;
                into[b].RemoveAt(into[b].Count - 1);
                left[b] += sorted[n];
            }

            return false;
        }
    }

    private static List<List<double>> BestFit(double[] sorted, double coil)
    {
        var (coils, left) = (new List<List<double>>(), new List<double>());
        foreach (var cut in sorted)
        {
            var at = -1;
            for (var b = 0; b < left.Count; b++)
                if (left[b] >= cut - 1e-9 && (at < 0 || left[b] < left[at]))
                    at = b;
            if (at < 0)
            {
                coils.Add([]);
                left.Add(coil);
                at = coils.Count - 1;
            }

            coils[at].Add(cut);
            left[at] -= cut;
        }

        return coils;
    }
}
