using Circuitum.Core.Takeoff;

namespace Circuitum.Oracle.Tests;

/// <summary>
/// Coils to buy, against the exactly fewest by another way: a table over all sets of cuts; of more than a table holds, over the
/// longest.
/// </summary>
public sealed class CutsAgainstOracle
{
    [Fact]
    public void Up_to_18_cuts_take_the_fewest_coils_that_any_way_needs()
    {
        var harder = 0;
        for (var seed = 0; seed < 120; seed++)
        {
            var (cuts, open, coil) = Made(seed, 3, 19);
            var (coils, why) = Solved(cuts, open, coil, seed);
            var fewest = 0;
            while (!Fits(cuts, [.. open, .. Enumerable.Repeat(coil, fewest)]))
                fewest++;
            coils.ShouldBe(fewest, why);
            harder += coils > Math.Max(0, (cuts.Sum() - open.Sum() + coil - 1) / coil) ? 1 : 0;
        }

        // Where length alone does not tell.
        harder.ShouldBeGreaterThan(10);
    }

    [Fact]
    public void Up_to_30_cuts_do_not_fit_on_one_coil_less()
    {
        const int Largest = 22;
        var (decided, asked) = (0, 0);
        for (var seed = 1000; seed < 1060; seed++)
        {
            var (cuts, open, coil) = Made(seed, 19, 31);
            var (coils, why) = Solved(cuts, open, coil, seed);
            int[] fewer = [.. open, .. Enumerable.Repeat(coil, Math.Max(0, coils - 1))];
            if (coils == 0 || cuts.Sum() > fewer.Sum())
                continue;

            // Where already the longest cuts do not fit, all of them do not.
            var longest = Fits([.. cuts.OrderDescending().Take(Largest)], fewer);
            asked++;
            decided += longest ? 0 : 1;
            if (cuts.Length <= Largest)
                longest.ShouldBeFalse(why);
        }

        decided.ShouldBeGreaterThan(3);
        (2 * decided).ShouldBeGreaterThan(asked);
    }

    private static (int[] Cuts, int[] Open, int Coil) Made(int seed, int least, int most)
    {
        var random = new Random(seed);
        var coil = (random.Next(3) == 0 ? 125 : 250) * 12;
        return (
            [
                .. Enumerable
                    .Range(0, random.Next(least, most))
                    .Select(_ => random.Next(seed % 3 == 2 ? coil / 4 : 8 * 12, coil * (1 + (seed % 3)) / 4)),
            ],
            [.. Enumerable.Range(0, random.Next(4)).Select(_ => random.Next(10 * 12, 200 * 12)).Order()],
            coil
        );
    }

    private static (int Coils, string Why) Solved(int[] cuts, int[] open, int coil, int seed)
    {
        var why = $"seed {seed}: {string.Join(' ', cuts)} on {string.Join(' ', open)}, {coil}";
        var (of, coils, bound) = CutSolver.Solve(cuts, open, coil);
        int[] reels = [.. open, .. Enumerable.Repeat(coil, coils)];
        Enumerable.Range(0, reels.Length).ShouldAllBe(r => cuts.Where((_, i) => of[i] == r).Sum() <= reels[r], why);
        of.ShouldAllBe(r => r >= 0, why);
        bound.ShouldBe(coils, why);
        return (coils, why);
    }

    // For each set of cuts the earliest reel on which it can end, and what is then used of it.
    private static bool Fits(int[] cuts, int[] reels)
    {
        var best = new (int Reel, int Used)[1 << cuts.Length];
        Array.Fill(best, (int.MaxValue, 0));
        best[0] = (0, 0);
        for (var set = 0; set < best.Length; set++)
        {
            if (best[set].Reel == int.MaxValue)
                continue;
            for (var i = 0; i < cuts.Length; i++)
            {
                if ((set & (1 << i)) != 0)
                    continue;
                var (reel, used) = best[set];
                while (reel < reels.Length && used + cuts[i] > reels[reel])
                    (reel, used) = (reel + 1, 0);
                if (reel == reels.Length)
                    continue;
                var then = (reel, used + cuts[i]);
                if (then.CompareTo(best[set | (1 << i)]) < 0)
                    best[set | (1 << i)] = then;
            }
        }

        return best[^1].Reel < int.MaxValue;
    }
}
