using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Field;

/// <summary>The order in which the boxes of a circuit are walked to, from its panel and back.</summary>
public static class TestWalk
{
    // Feet that a stair is worth, and boxes up to which the shortest walk is found by trying all.
    private const double Stair = 30;
    private const int Exact = 10;

    /// <summary>
    /// The boxes of a circuit in the order of the shortest walk; of many boxes one that no exchange of two ways shortens.
    /// </summary>
    public static ImmutableArray<Box> Order(JobAnalysis a, CircuitAnalysis c)
    {
        var boxes = c.Run.Segments.Select(s => a.Boxes[s.To]).Distinct().ToList();
        if (boxes.Count < 2)
            return [.. boxes];
        var stops = boxes.Select(b => Stop(a, b)).ToList();
        if (a.PanelById(c.Panel) is { } panel && a.House[panel.Panel.Room] is { } room)
            stops.Insert(0, (room.On(panel.Panel.Wall, panel.Panel.Along), room.Room.Storey));
        else
            stops.Insert(0, stops[0]);
        var feet = new double[stops.Count, stops.Count];
        for (var i = 0; i < stops.Count; i++)
        {
            for (var j = 0; j < stops.Count; j++)
                feet[i, j] = (stops[i].At.InchesTo(stops[j].At) / 12) + (stops[i].Storey == stops[j].Storey ? 0 : Stair);
        }

        return [.. Round(feet).Select(i => boxes[i - 1])];
    }

    /// <summary>The stops in the order of a short round that begins and ends at the first: the shortest of all up to ten.</summary>
    /// <param name="feet">From each stop to each.</param>
    /// <returns>The others, by their places.</returns>
    public static ImmutableArray<int> Round(double[,] feet) => feet.GetLength(0) - 1 <= Exact ? Shortest(feet) : Improved(feet);

    /// <summary>How long a round is.</summary>
    /// <param name="feet">From each stop to each.</param>
    /// <param name="order">The stops after the first, in their order.</param>
    public static double LengthOf(double[,] feet, IReadOnlyList<int> order)
    {
        double sum = 0;
        var at = 0;
        foreach (var stop in order)
            (sum, at) = (sum + feet[at, stop], stop);
        return sum + feet[at, 0];
    }

    private static (Point At, string Storey) Stop(JobAnalysis a, Box box) => (Places.Of(a.House, box), a.House[box.Room].Room.Storey);

    // The shortest way to each set of stops that ends at each of them.
    private static ImmutableArray<int> Shortest(double[,] feet)
    {
        var n = feet.GetLength(0) - 1;
        var best = new double[1 << n, n];
        var from = new int[1 << n, n];
        for (var set = 1; set < 1 << n; set++)
        {
            for (var last = 0; last < n; last++)
            {
                best[set, last] = double.PositiveInfinity;
                if ((set & (1 << last)) == 0)
                    continue;
                var before = set & ~(1 << last);
                if (before == 0)
                    (best[set, last], from[set, last]) = (feet[0, last + 1], -1);
                for (var k = 0; k < n; k++)
                {
                    if ((before & (1 << k)) != 0 && best[before, k] + feet[k + 1, last + 1] < best[set, last])
                        (best[set, last], from[set, last]) = (best[before, k] + feet[k + 1, last + 1], k);
                }
            }
        }

        var all = (1 << n) - 1;
        var end = Enumerable.Range(0, n).MinBy(k => best[all, k] + feet[k + 1, 0]);
        var order = new List<int>();
        for (var set = all; set != 0; )
        {
            order.Add(end + 1);
            (set, end) = (set & ~(1 << end), from[set, end]);
        }

        order.Reverse();
        return [.. order];
    }

    // Nearest next, then ways that cross are uncrossed until none is left.
    private static ImmutableArray<int> Improved(double[,] feet)
    {
        var left = Enumerable.Range(1, feet.GetLength(0) - 1).ToList();
        var order = new List<int> { 0 };
        while (left.Count > 0)
        {
            var next = left.MinBy(k => feet[order[^1], k]);
            order.Add(next);
            left.Remove(next);
        }

        order.Add(0);
        for (var better = true; better; )
        {
            better = false;
            for (var i = 1; i < order.Count - 2; i++)
            {
                for (var j = i + 1; j < order.Count - 1; j++)
                {
                    var now = feet[order[i - 1], order[i]] + feet[order[j], order[j + 1]];
                    var then = feet[order[i - 1], order[j]] + feet[order[i], order[j + 1]];
                    if (then < now - 1e-9)
                    {
                        order.Reverse(i, j - i + 1);
                        better = true;
                    }
                }
            }
        }

        return [.. order.Skip(1).Take(order.Count - 2)];
    }
}
