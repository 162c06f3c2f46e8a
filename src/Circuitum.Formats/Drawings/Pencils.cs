using Circuitum.Core.Analysis;

namespace Circuitum.Formats.Drawings;

/// <summary>
/// Which of eight pencils each circuit is drawn in: circuits that share a room differ as long as there are pencils. Each pencil has its
/// own line pattern, so that what is told by colour is told without it too. What feeds one thing alone is drawn in ink.
/// </summary>
internal sealed class Pencils
{
    /// <summary>How many there are.</summary>
    internal const int Count = 8;

    private readonly Dictionary<int, int> byCircuit = [];

    internal Pencils(JobAnalysis a)
    {
        var rooms = new Dictionary<string, HashSet<int>>();
        var used = new int[Count + 1];
        foreach (var c in a.Circuits.Where(c => c.Boxes.Length > 1).OrderBy(c => c.Number))
        {
            var near = c.Boxes.Select(b => b.Room).Distinct().SelectMany(r => rooms.GetValueOrDefault(r) ?? []).ToHashSet();
            var pencil = Enumerable.Range(1, Count).OrderBy(p => near.Contains(p)).ThenBy(p => used[p]).ThenBy(p => p).First();
            (byCircuit[c.Number], used[pencil]) = (pencil, used[pencil] + 1);
            foreach (var room in c.Boxes.Select(b => b.Room).Distinct())
            {
                if (!rooms.TryGetValue(room, out var there))
                    rooms[room] = there = [];
                there.Add(pencil);
            }
        }
    }

    /// <summary>The pencil of a circuit, from 1; 0 is ink.</summary>
    internal int Of(CircuitAnalysis? circuit) => circuit is null ? 0 : byCircuit.GetValueOrDefault(circuit.Number);
}
