using System.Diagnostics;
using Circuitum.Core.Circuits;
using Circuitum.Core.Jobs;

namespace Circuitum.Benchmarks;

/// <summary>How long the circuit search takes and how good it gets, from ten outlets to a thousand.</summary>
internal static class PlannerCurve
{
    internal static void Run()
    {
        Console.WriteLine("outlets | first ms | first cents | full ms | full cents | gap to bound % | 20x rounds ms | saved by 20x %");
        foreach (var count in new[] { 10, 24, 60, 120, 250, 1000 })
        {
            var p = Instance(7, count);
            new GroupSearch(p).First();
            var (first, firstMs) = Timed(() => new GroupSearch(p).First());
            var (full, fullMs) = Timed(() => new GroupSearch(p).Improve(first, GroupSearch.Rounds(count)));
            var (bound, _) = Timed(() => GroupBound.Cost(p));
            var longRun = count is 120 or 250 ? Timed(() => new GroupSearch(p, 99).Improve(first, 20 * GroupSearch.Rounds(count))) : default;
            Console.WriteLine($"{count} | {firstMs:0.0} | {first.Cost()} | {fullMs:0} | {full.Cost()} | {100.0 * (full.Cost() - bound) / bound:0.0} | {(longRun.Value is null ? "" : $"{longRun.Ms:0}")} | {(longRun.Value is null ? "" : $"{100.0 * (full.Cost() - longRun.Value.Cost()) / full.Cost():0.00}")}");
        }
    }

    private static (T Value, double Ms) Timed<T>(Func<T> work)
    {
        var watch = Stopwatch.StartNew();
        var value = work();
        return (value, watch.Elapsed.TotalMilliseconds);
    }

    // Rooms on a grid with four or five outlets each, two storeys, the panel in a corner.
    private static GroupProblem Instance(int seed, int count)
    {
        var random = new Random(seed);
        var rooms = Math.Max(2, count / 5);
        var wide = (int)Math.Ceiling(Math.Sqrt(rooms / 2.0));
        var room = Enumerable.Range(0, count).Select(i => i * rooms / count).ToArray();
        var storey = room.Select(r => r < (rooms + 1) / 2 ? 0 : 1).ToArray();
        var place = room.Select(r => (X: (r % wide * 14.0) + (random.NextDouble() * 12), Y: (r / wide % wide * 13.0) + (random.NextDouble() * 11))).ToArray();
        var w = new PlanWeights();
        int Feet(double f) => (int)(f * w.CableFoot);
        return new GroupProblem
        {
            Between = [.. Enumerable.Range(0, count).Select(a => Enumerable.Range(0, count).Select(b => Feet(Math.Abs(place[a].X - place[b].X) + Math.Abs(place[a].Y - place[b].Y) + 4 + (storey[a] == storey[b] ? 0 : 12))).ToArray())],
            Home = [.. Enumerable.Range(0, count).Select(a => Feet(place[a].X + place[a].Y + 16 + (12 * storey[a])))],
            Load = [.. room.Select(_ => 180)],
            Size = [.. room.Select(_ => 1)],
            Room = room,
            Storey = storey,
            Fixed = [.. room.Select(_ => -1)],
            Standing = [.. room.Select(_ => -1)],
            MostSize = 13,
            MostLoad = 2400,
            Weights = w,
        };
    }
}
