using Circuitum.Core.Circuits;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Tests;

/// <summary>The search that groups outlets, held against every possible division of small instances.</summary>
public class GroupSearchTests
{
    /// <summary>Outlets of a made-up house: rooms on a grid, some outlets in each, the panel in a corner.</summary>
    internal static GroupProblem Instance(int seed, int count, int most = 6, PlanWeights? weights = null)
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
            Between = [.. place.Select(a => place.Select(b => Feet(Math.Abs(a.X - b.X) + Math.Abs(a.Y - b.Y) + 4)).ToArray())],
            Home = [.. place.Select(a => Feet(a.X + a.Y + 20))],
            Load = [.. room.Select(_ => 180)],
            Size = [.. room.Select(_ => 1)],
            Room = room,
            Storey = [.. room.Select(r => r < rooms / 2 ? 0 : 1)],
            Fixed = [.. room.Select(_ => -1)],
            Standing = [.. room.Select(_ => -1)],
            MostSize = most,
            MostLoad = 2400,
            Rooms = 2,
            Weights = w,
        };
    }

    // Every division into circuits, by subsets: the cheapest way to serve a set is a circuit with its lowest outlet and the rest.
    private static long Exact(GroupProblem p)
    {
        var n = p.Count;
        var circuit = new int[1 << n];
        Span<int> members = stackalloc int[n];
        for (var set = 1; set < 1 << n; set++)
        {
            var k = 0;
            for (var i = 0; i < n; i++)
            {
                if ((set >> i & 1) != 0) members[k++] = i;
            }

            circuit[set] = p.Fits(members[..k]) ? p.Cost(members[..k]) : int.MaxValue;
        }

        var best = new long[1 << n];
        for (var set = 1; set < 1 << n; set++)
        {
            var low = set & -set;
            var least = long.MaxValue;
            for (var part = set; part > 0; part = (part - 1) & set)
            {
                if ((part & low) == 0 || circuit[part] == int.MaxValue) continue;
                least = Math.Min(least, circuit[part] + best[set ^ part]);
            }

            best[set] = least;
        }

        return best[(1 << n) - 1];
    }

    [Fact]
    public void Small_instances_come_out_exactly_as_cheap_as_they_can_be()
    {
        var (equal, worst) = (0, 1.0);
        const int Instances = 200;
        for (var seed = 0; seed < Instances; seed++)
        {
            var p = Instance(seed, 5 + (seed % 8), 3 + (seed % 4));
            var search = new GroupSearch(p);
            var found = search.Improve(search.First(), GroupSearch.Rounds(p.Count)).Cost();
            var exact = Exact(p);
            found.ShouldBeGreaterThanOrEqualTo(exact);
            GroupBound.Cost(p).ShouldBeLessThanOrEqualTo(exact, $"seed {seed}");
            if (found == exact) equal++;
            worst = Math.Max(worst, (double)found / exact);
        }

        equal.ShouldBeGreaterThanOrEqualTo(Instances * 95 / 100);
        worst.ShouldBeLessThan(1.02);
    }

    [Theory]
    [InlineData(60)]
    [InlineData(120)]
    public void Limits_locks_and_fixed_outlets_are_kept_and_the_plan_is_the_same_again(int count)
    {
        var p = Instance(count, count, 12) with { Existing = 3, Closed = [2], Fixed = [.. Enumerable.Range(0, count).Select(i => i < 2 ? 0 : i < 5 ? 2 : -1)] };
        GroupPlan Plan()
        {
            var search = new GroupSearch(p);
            return search.Improve(search.First(), 1500);
        }

        var plan = Plan();
        foreach (var circuit in plan.Circuits) p.Fits(circuit.ToArray()).ShouldBeTrue();
        plan.Circuits.SelectMany(c => c).Order().ShouldBe(Enumerable.Range(0, count));
        (plan.Of(0), plan.Of(1)).ShouldBe((0, 0));
        string.Join(" ", plan.Circuits[2].Order()).ShouldBe("2 3 4", "nothing joins a locked circuit and nothing leaves it");
        Plan().Circuits.Select(c => string.Join(' ', c.Order())).ShouldBe(plan.Circuits.Select(c => string.Join(' ', c.Order())));
    }

    [Fact]
    public void More_rounds_are_never_dearer_and_the_bound_holds()
    {
        for (var seed = 1; seed < 5; seed++)
        {
            var p = Instance(seed, 80, 12);
            var search = new GroupSearch(p);
            var first = search.First();
            var some = new GroupSearch(p).Improve(first, 300).Cost();
            var more = new GroupSearch(p).Improve(first, 3000).Cost();
            some.ShouldBeLessThanOrEqualTo(first.Cost());
            more.ShouldBeLessThanOrEqualTo(first.Cost());
            GroupBound.Cost(p).ShouldBeLessThanOrEqualTo(more);
            (more / (double)GroupBound.Cost(p)).ShouldBeLessThan(1.3, "the bound is not that far below");
        }
    }

    [Theory]
    [InlineData(13, 13, 1)]
    [InlineData(14, 13, 2)]
    [InlineData(40, 13, 4)]
    public void Least_number_of_circuits(int count, int most, int least) => GroupBound.LeastCircuits(Instance(1, count, most)).ShouldBe(least);

    [Fact]
    public void Weights_pull_as_they_say()
    {
        int Circuits(PlanWeights w)
        {
            var p = Instance(3, 48, 13, w);
            var search = new GroupSearch(p);
            return search.Improve(search.First(), 2000).Circuits.Count(c => c.Count > 0);
        }

        Circuits(PlanWeights.FewestBreakers).ShouldBe(4);
        Circuits(PlanWeights.LeastDarkness).ShouldBeGreaterThan(5);
    }
}
