namespace Circuitum.Core.Takeoff;

/// <summary>
/// Puts cuts on reels: open ones first, then the fewest new coils. Reels are filled one after the other as full as the cuts allow; where
/// that takes more coils than the bound and the cuts are few, all ways are gone through.
/// </summary>
internal sealed class CutSolver
{
    // So many steps take less than a tenth of a second.
    private const int MostSteps = 3_000_000;

    private readonly int[] cuts;
    private readonly int[] order;
    private readonly int[] open;
    private readonly int coil;
    private int steps;

    private CutSolver(int[] cuts, int[] open, int coil)
    {
        (this.cuts, this.coil) = (cuts, coil);
        order = [.. Enumerable.Range(0, cuts.Length).OrderByDescending(i => cuts[i]).ThenBy(i => i)];
        this.open = open;
    }

    /// <summary>Which cut comes off which reel: open ones in their order, then new coils; and the least that any way needs.</summary>
    /// <param name="cuts">Lengths of the cuts, none longer than the longest reel.</param>
    /// <param name="open">What is left on open reels, the shortest first.</param>
    /// <param name="coil">Length of a new coil.</param>
    internal static (int[] Reel, int Coils, int Bound) Solve(int[] cuts, int[] open, int coil)
    {
        var solver = new CutSolver(cuts, open, coil);
        var bound = solver.Bound();
        for (var coils = bound; ; coils++)
        {
            if ((solver.Fill(coils) ?? solver.Nearest(coils)) is { } filled)
                return (filled, coils, bound);
            if (cuts.Length > 40)
                continue;
            solver.steps = 0;
            if (solver.Search(coils) is { } found)
                return (found, coils, bound);

            // Gone through to the end without a way: one coil more is needed by any.
            if (solver.steps < MostSteps && coils == bound)
                bound++;
        }
    }

    // No way needs fewer: by length, by what is longer than every open reel, and by what is longer than half a coil.
    private int Bound()
    {
        var total = cuts.Sum(c => (long)c);
        var byLength = Up(total - open.Sum(o => (long)o));
        var longest = open.Length == 0 ? 0 : open.Max();
        var beyond = cuts.Where(c => c > longest).ToList();
        return new[] { byLength, Up(beyond.Sum(c => (long)c)), beyond.Count(c => 2 * c > coil), Halves() - open.Length }.Max();
    }

    // As if all reels were as long as the longest: what is longer than half of it has one each, and takes along only what fits beside it.
    // After Martello and Toth, over every length that a cut has.
    private int Halves()
    {
        var (best, full) = (0, open.Append(coil).Max());
        foreach (var least in cuts.Where(c => 2 * c <= full).Distinct().Prepend(0))
        {
            var alone = cuts.Count(c => c > full - least);
            var halves = cuts.Where(c => c <= full - least && 2 * c > full).ToList();
            var small = cuts.Where(c => c >= least && 2 * c <= full).Sum(c => (long)c);
            var beside = ((long)halves.Count * full) - halves.Sum(c => (long)c);
            best = Math.Max(best, alone + halves.Count + (int)Math.Max(0, (small - beside + full - 1) / full));
        }

        return best;
    }

    private int Up(long length) => length <= 0 ? 0 : (int)((length + coil - 1) / coil);

    private int[] Reels(int coils) => [.. open, .. Enumerable.Repeat(coil, coils)];

    // Each reel as full as it gets; a new coil begins with the longest cut that is left.
    private int[]? Fill(int coils)
    {
        var (reels, of) = (Reels(coils), new int[cuts.Length]);
        Array.Fill(of, -1);
        for (var r = 0; r < reels.Length; r++)
        {
            var left = order.Where(i => of[i] < 0).ToList();
            if (left.Count == 0)
                break;
            var room = reels[r];
            if (r >= open.Length)
            {
                of[left[0]] = r;
                room -= cuts[left[0]];
                left.RemoveAt(0);
            }

            foreach (var i in Fullest(left, room))
                of[i] = r;
        }

        return of.Contains(-1) ? null : of;
    }

    // Each cut, the longest first, on the reel that it fills best.
    private int[]? Nearest(int coils)
    {
        var (left, of) = (Reels(coils), new int[cuts.Length]);
        foreach (var i in order)
        {
            var best = -1;
            for (var r = 0; r < left.Length; r++)
            {
                if (left[r] >= cuts[i] && (best < 0 || left[r] < left[best]))
                    best = r;
            }

            if (best < 0)
                return null;
            of[i] = best;
            left[best] -= cuts[i];
        }

        return of;
    }

    // The cuts that together come nearest to a length without going over it; of equal ones those with the longest cuts.
    private List<int> Fullest(List<int> left, int room)
    {
        var last = new int[room + 1];
        Array.Fill(last, -1);
        last[0] = int.MaxValue;
        for (var n = 0; n < left.Count; n++)
        {
            var cut = cuts[left[n]];
            for (var sum = room; sum >= cut; sum--)
            {
                if (last[sum] < 0 && last[sum - cut] >= 0)
                    last[sum] = n;
            }
        }

        var at = Array.FindLastIndex(last, l => l >= 0);
        var taken = new List<int>();
        while (at > 0)
        {
            taken.Add(left[last[at]]);
            at -= cuts[left[last[at]]];
        }

        return taken;
    }

    // Goes through all ways of filling reel after reel, with no more left over than can be.
    private int[]? Search(int coils)
    {
        var (reels, of) = (Reels(coils), new int[cuts.Length]);
        Array.Fill(of, -1);
        return Reel(0, reels.Sum(r => (long)r) - cuts.Sum(c => (long)c)) ? of : null;

        bool Reel(int r, long slack)
        {
            if (slack < 0 || steps >= MostSteps)
                return false;
            var first = Array.FindIndex(order, i => of[i] < 0);
            if (first < 0)
                return true;
            if (r == reels.Length)
                return false;
            if (r < open.Length)
                return Take(r, 0, reels[r], slack, int.MaxValue);

            // New coils are alike, so the longest cut that is left goes on the next one.
            if (cuts[order[first]] > coil)
                return false;
            of[order[first]] = r;
            if (Take(r, first + 1, coil - cuts[order[first]], slack, int.MaxValue))
                return true;
            of[order[first]] = -1;
            return false;
        }

        // Takes more cuts on a reel or leaves it; what is left out and would still fit makes the way no better.
        bool Take(int r, int from, int room, long slack, int smallestLeft)
        {
            if (++steps >= MostSteps)
                return false;
            var skipped = -1;
            for (var n = from; n < order.Length; n++)
            {
                var i = order[n];
                if (of[i] >= 0 || cuts[i] == skipped)
                    continue;
                if (cuts[i] <= room)
                {
                    of[i] = r;
                    if (Take(r, n + 1, room - cuts[i], slack, smallestLeft))
                        return true;
                    of[i] = -1;
                    skipped = cuts[i];
                    smallestLeft = Math.Min(smallestLeft, cuts[i]);
                }
            }

            return room < smallestLeft && Reel(r + 1, slack - room);
        }
    }
}
