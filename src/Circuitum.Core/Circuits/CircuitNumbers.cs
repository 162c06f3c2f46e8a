using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Circuits;

/// <summary>The numbers of circuits: spaces that their breakers fill, or counted up in the order of the panel.</summary>
internal static class CircuitNumbers
{
    // Panels after the first count from 100, 200 and so on: 103 is space 3 of the second panel.
    private const int PerPanel = 100;

    /// <summary>Numbers circuits anew; records follow the circuit that they are about.</summary>
    /// <param name="job">The job, its breakers placed.</param>
    /// <param name="kept">Numbers that are on tags and papers already and stay.</param>
    internal static Job Settle(Job job, IReadOnlySet<int> kept)
    {
        var circuits = job.Decisions.Circuits;
        if (job.Panels.Length == 0 || circuits.All(c => kept.Contains(c.Number)))
            return job;
        var map = circuits.Where(c => kept.Contains(c.Number)).ToDictionary(c => c.Number, c => c.Number);
        var taken = kept.ToHashSet();
        var places = job
            .Decisions.Spaces.Where(s => s.Feeds is null)
            .GroupBy(s => s.Circuit)
            .ToDictionary(g => g.Key, g => g.MinBy(s => s.Space)!);
        var fresh = circuits
            .Where(c => !kept.Contains(c.Number))
            .Select(c => (c.Number, Place: places.GetValueOrDefault(c.Number)))
            .Select(c =>
                (
                    c.Number,
                    At: c.Place is null ? int.MaxValue : PanelAt(job, c.Place) + c.Place.Space,
                    Half: c.Place?.Half ?? TandemHalf.Whole
                )
            )
            .OrderBy(c => c.At)
            .ThenBy(c => c.Half)
            .ThenBy(c => c.Number)
            .ToList();
        // A place on a split board is no number: its circuits are counted in their order on it.
        var bySpace = job.Preferences.CircuitNumbers == NumberBy.Space && CodeLibrary.Edition(job.CodeEdition).Board is null;
        if (bySpace)
        {
            foreach (var c in fresh.Where(c => c.At < int.MaxValue && taken.Add(c.At)))
                map[c.Number] = c.At;
        }

        // What has no space of its own takes a number that is nobody's space, so that no tag misleads.
        var next = bySpace ? job.Panels[0].Spaces + 1 : 1;
        foreach (var c in fresh.Where(c => !map.ContainsKey(c.Number)))
        {
            while (!taken.Add(next))
                next++;
            map[c.Number] = next;
        }

        return Map(job, map);
    }

    private static int PanelAt(Job job, SpaceDecision place) =>
        PerPanel * Math.Max(0, job.Panels.ToList().FindIndex(p => p.Id == place.Panel));

    private static Job Map(Job job, Dictionary<int, int> map) =>
        job with
        {
            Decisions = job.Decisions with
            {
                Circuits = [.. job.Decisions.Circuits.Select(c => c with { Number = map[c.Number] }).OrderBy(c => c.Number)],
                Spaces = [.. job.Decisions.Spaces.Select(s => s.Feeds is null ? s with { Circuit = map[s.Circuit] } : s)],
                Pulled = [.. job.Decisions.Pulled.Select(p => p with { Circuit = map[p.Circuit] })],
                Pairs = [.. job.Decisions.Pairs.Select(p => p with { First = map[p.First], Second = map[p.Second] })],
            },
        };
}
