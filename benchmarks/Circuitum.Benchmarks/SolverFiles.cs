using System.Text;
using Circuitum.Core.Circuits;
using Circuitum.Generated;

namespace Circuitum.Benchmarks;

/// <summary>
/// Writes divisions into zones as set partitions in the usual text form of linear programmes, for a solver of another make: all sets
/// of up to five rooms that break no zone rule, found by trying every one. What breaks a rule costs more than all rooms alone.
/// </summary>
internal static class SolverFiles
{
    private const int MostRooms = 5;

    internal static void Write(string folder)
    {
        Directory.CreateDirectory(folder);
        foreach (var (seed, rooms) in Enumerable.Range(0, 20).Select(i => (400 + i, 30 + (i % 11))))
        {
            var p = ZoneInstances.Make(seed, rooms);
            var sets = Sets(p, [], 0).ToList();
            var text = new StringBuilder("Minimize\n obj:");
            for (var c = 0; c < sets.Count; c++)
                text.Append($" + {p.Priced(sets[c])} x{c}{(c % 10 == 9 ? "\n" : "")}");
            text.Append("\nSubject To\n");
            for (var room = 0; room < p.Count; room++)
            {
                var holding = sets.Select((s, c) => (Set: s, Column: c)).Where(x => x.Set.Contains(room));
                text.Append($" r{room}:")
                    .AppendJoin("", holding.Select((x, i) => $" + x{x.Column}{(i % 10 == 9 ? "\n" : "")}"))
                    .Append(" = 1\n");
            }

            text.Append($"Binary\n{string.Join('\n', sets.Select((_, c) => $" x{c}"))}\nEnd\n");
            File.WriteAllText(Path.Combine(folder, $"zones-{seed}-{rooms}.lp"), text.ToString());
            Console.WriteLine($"zones-{seed}-{rooms}: {sets.Count} sets, here {ZonePartition.Solve(p)!.Cost}");
        }
    }

    private static IEnumerable<int[]> Sets(GroupProblem p, int[] set, int from)
    {
        for (var t = from; t < p.Count; t++)
        {
            int[] grown = [.. set, t];
            if (p.Fits(grown) && (grown.Length == 1 || p.Zones!.Broken(p.PlacesOf(grown)) == 0))
                yield return grown;
            if (grown.Length == MostRooms)
                continue;
            foreach (var more in Sets(p, grown, t + 1))
                yield return more;
        }
    }
}
