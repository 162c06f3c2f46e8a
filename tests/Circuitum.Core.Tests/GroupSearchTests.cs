using Circuitum.Core.Circuits;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Tests;

/// <summary>The search that groups outlets; the project beside this one holds it against the exact optimum.</summary>
public class GroupSearchTests
{
    private static GroupProblem Instance(int seed, int count, int most, PlanWeights? weights = null) =>
        GroupInstances.Make(seed, count, most, weights);

    [Theory]
    [InlineData(60)]
    [InlineData(120)]
    public void Limits_locks_and_fixed_outlets_are_kept_and_the_plan_is_the_same_again(int count)
    {
        var p = Instance(count, count, 12) with
        {
            Existing = 3,
            Closed = [2],
            Fixed =
            [
                .. Enumerable
                    .Range(0, count)
                    .Select(i =>
                        i < 2 ? 0
                        : i < 5 ? 2
                        : -1
                    ),
            ],
        };
        GroupPlan Plan()
        {
            var search = new GroupSearch(p);
            return search.Improve(search.First(), 1500);
        }

        var plan = Plan();
        foreach (var circuit in plan.Circuits)
            p.Fits(circuit.ToArray()).ShouldBeTrue();
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
    public void Least_number_of_circuits(int count, int most, int least) =>
        GroupBound.LeastCircuits(Instance(1, count, most)).ShouldBe(least);

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
        Circuits(PlanWeights.LeastDarkness).ShouldBeGreaterThan(Circuits(PlanWeights.FewestBreakers));
    }
}
