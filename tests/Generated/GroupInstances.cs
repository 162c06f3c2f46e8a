using Circuitum.Core.Jobs;

namespace Circuitum.Core.Circuits;

/// <summary>Made-up problems of grouping outlets.</summary>
internal static class GroupInstances
{
    /// <summary>Outlets of a made-up house: rooms on a grid, some outlets in each, the panel in a corner.</summary>
    internal static GroupProblem Make(int seed, int count, int most = 6, PlanWeights? weights = null)
    {
        var random = new Random(seed);
        var rooms = Math.Max(2, count / 4);
        var at = Enumerable.Range(0, rooms).Select(i => (X: i % 4 * 14.0, Y: i / 4 * 13.0)).ToArray();
        var room = Enumerable.Range(0, count).Select(i => i * rooms / count).ToArray();
        var place = room.Select(r => (X: at[r].X + (random.NextDouble() * 12), Y: at[r].Y + (random.NextDouble() * 11))).ToArray();
        var w = weights ?? new PlanWeights();
        int Feet(double f) => (int)(f * w.CableFoot);
        return new GroupProblem
        {
            Between = new(place.Select(a => place.Select(b => Feet(Math.Abs(a.X - b.X) + Math.Abs(a.Y - b.Y) + 4)).ToArray())),
            Home = [.. place.Select(a => Feet(a.X + a.Y + 20))],
            Load = [.. room.Select(_ => 180)],
            Size = [.. room.Select(_ => 1)],
            Room = room,
            Storey = [.. room.Select(r => r < rooms / 2 ? 0 : 1)],
            Fixed = [.. room.Select(_ => -1)],
            Standing = [.. room.Select(_ => -1)],
            MostSize = most,
            MostLoad = 2400,

            Weights = w,
        };
    }
}
