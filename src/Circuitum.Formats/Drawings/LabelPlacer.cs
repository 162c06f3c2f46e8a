using System.Collections.Immutable;

namespace Circuitum.Formats.Drawings;

/// <summary>A place where a label could stand.</summary>
/// <param name="Area">What it would cover.</param>
/// <param name="Cost">How much worse it is than the best place: lower is better.</param>
internal readonly record struct Candidate(Area Area, double Cost);

/// <summary>
/// Finds a place for each label so that none lies over another or over what may not be covered. The same input gives the same picture:
/// first each label in turn takes its cheapest free place, then those left without push others aside, a fixed number of times.
/// </summary>
internal sealed class LabelPlacer
{
    private const double Cell = 48;
    private const int Rounds = 3;

    private readonly Dictionary<(int, int), List<Area>> blocked = [];
    private readonly Dictionary<(int, int), List<(Area Area, double Cost)>> worse = [];

    /// <summary>What no label may cover.</summary>
    internal void Block(Area area) => Put(blocked, area, area);

    /// <summary>What a label had better not cover.</summary>
    internal void Worsen(Area area, double cost) => Put(worse, area, (area, cost));

    /// <summary>Whether an area covers nothing that may not be covered.</summary>
    internal bool Free(Area area) => !Near(blocked, area).Any(area.Overlaps);

    /// <summary>Which candidate each label takes, or -1 for one that finds no place.</summary>
    /// <param name="labels">The candidates of each label; earlier labels choose first.</param>
    internal int[] Place(IReadOnlyList<ImmutableArray<Candidate>> labels)
    {
        var open = labels.Select(Priced).ToArray();
        var taken = Enumerable.Repeat(-1, labels.Count).ToArray();
        var there = new Dictionary<(int, int), List<(Area Area, int Label)>>();
        for (var i = 0; i < open.Length; i++)
            Choose(i, null);
        for (var round = 0; round < Rounds && taken.Contains(-1); round++)
        {
            for (var i = 0; i < open.Length; i++)
            {
                if (taken[i] < 0)
                    PushAside(i);
            }
        }

        return taken;

        IEnumerable<int> Over(Area area, int self) =>
            Near(there, area).Where(o => o.Label != self && o.Area.Overlaps(area)).Select(o => o.Label).Distinct();

        bool Choose(int label, Area? without)
        {
            foreach (var (at, area, _) in open[label])
            {
                if ((without is { } w && w.Overlaps(area)) || Over(area, label).Any())
                    continue;
                Take(label, at, area);
                return true;
            }

            return false;
        }

        void Take(int label, int at, Area area)
        {
            Leave(label);
            taken[label] = at;
            Put(there, area, (area, label));
        }

        void Leave(int label)
        {
            if (taken[label] < 0)
                return;
            var area = labels[label][taken[label]].Area;
            foreach (var cell in Cells(area))
                there[cell].RemoveAll(o => o.Label == label);
            taken[label] = -1;
        }

        // A label without a place takes one from others that find another for themselves.
        void PushAside(int label)
        {
            foreach (var (at, area, _) in open[label])
            {
                var others = Over(area, label).Order().ToList();
                var before = others.Select(o => taken[o]).ToList();
                foreach (var other in others)
                    Leave(other);
                if (others.TrueForAll(o => Choose(o, area)))
                {
                    Take(label, at, area);
                    return;
                }

                foreach (var other in others)
                    Leave(other);
                for (var k = 0; k < others.Count; k++)
                    Take(others[k], before[k], labels[others[k]][before[k]].Area);
            }
        }
    }

    private List<(int At, Area Area, double Cost)> Priced(ImmutableArray<Candidate> candidates) =>
        [
            .. candidates
                .Select((c, at) => (At: at, c.Area, c.Cost))
                .Where(c => Free(c.Area))
                .Select(c => (c.At, c.Area, c.Cost + Near(worse, c.Area).Where(w => w.Area.Overlaps(c.Area)).Distinct().Sum(w => w.Cost)))
                .OrderBy(c => c.Item3)
                .ThenBy(c => c.At),
        ];

    private static IEnumerable<(int, int)> Cells(Area area)
    {
        for (var x = (int)Math.Floor(area.X0 / Cell); x <= (int)Math.Floor(area.X1 / Cell); x++)
        {
            for (var y = (int)Math.Floor(area.Y0 / Cell); y <= (int)Math.Floor(area.Y1 / Cell); y++)
                yield return (x, y);
        }
    }

    private static void Put<T>(Dictionary<(int, int), List<T>> grid, Area area, T what)
    {
        foreach (var cell in Cells(area))
        {
            if (!grid.TryGetValue(cell, out var list))
                grid[cell] = list = [];
            list.Add(what);
        }
    }

    private static IEnumerable<T> Near<T>(Dictionary<(int, int), List<T>> grid, Area area) =>
        Cells(area).SelectMany(cell => grid.TryGetValue(cell, out var list) ? list : []);
}
