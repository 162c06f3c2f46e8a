using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Routing;

/// <summary>A closed run: from the board through each point once and back to it, no longer than changes of two legs can make it.</summary>
internal static class RingTour
{
    /// <summary>The run of a ring; the leg back to the board is beside the others, since no box is fed by it alone.</summary>
    /// <param name="runs">The ways.</param>
    /// <param name="boxes">The points.</param>
    /// <param name="panel">The board, or none for the first one.</param>
    /// <param name="preferences">Make-up.</param>
    internal static CableRun Of(CableRouter runs, IReadOnlyList<string> boxes, string? panel, Preferences preferences)
    {
        if (boxes.Count == 0)
            return new([]);
        var order = Order(runs, boxes, panel);
        var (end, box) = (preferences.PanelMakeUp + preferences.BoxMakeUp, preferences.BoxMakeUp * 2);
        CableSegment Home(string to) => new(null, to, runs.FromPanel(to, panel), runs.FromPanel(to, panel) + end) { Panel = panel };
        return new([
            Home(order[0]),
            .. order
                .Zip(order.Skip(1))
                .Select(x => new CableSegment(x.First, x.Second, runs.Between(x.First, x.Second), runs.Between(x.First, x.Second) + box)),
        ])
        {
            Beside = order.Count < 2 ? [] : [Home(order[^1])],
        };
    }

    private static List<string> Order(CableRouter runs, IReadOnlyList<string> boxes, string? panel)
    {
        // The board is the place -1.
        Length Way(int a, int b) =>
            a < 0 ? runs.FromPanel(boxes[b], panel)
            : b < 0 ? runs.FromPanel(boxes[a], panel)
            : runs.Between(boxes[a], boxes[b]);
        var left = Enumerable.Range(0, boxes.Count).ToList();
        var tour = new List<int>();
        for (var at = -1; left.Count > 0; at = tour[^1])
        {
            var next = left.MinBy(i => Way(at, i));
            left.Remove(next);
            tour.Add(next);
        }

        int At(int i) => i < 0 || i >= tour.Count ? -1 : tour[i];
        for (var better = true; better; )
        {
            better = false;
            for (var i = 0; i < tour.Count - 1; i++)
            {
                for (var j = i + 1; j < tour.Count; j++)
                {
                    var (now, then) = (Way(At(i - 1), At(i)) + Way(At(j), At(j + 1)), Way(At(i - 1), At(j)) + Way(At(i), At(j + 1)));
                    if (then >= now)
                        continue;
                    tour.Reverse(i, j - i + 1);
                    better = true;
                }
            }
        }

        return [.. tour.Select(i => boxes[i])];
    }
}
