using Circuitum.Core.Circuits;

namespace Circuitum.Oracle.Tests;

/// <summary>The planner's search held against the exact optimum.</summary>
public class SearchAgainstOracle
{
    private const int Instances = 200;

    // Up to 24 outlets; small houses with larger circuits, larger ones with smaller, so that all circuits can be listed.
    private static GroupProblem Problem(int seed)
    {
        var count = 5 + (seed % 20);
        return GroupInstances.Make(seed, count, count <= 16 ? 4 + (seed % 5) : 3 + (seed % 4));
    }

    [Fact]
    public void On_200_instances_of_up_to_24_outlets_the_plan_is_as_cheap_as_it_can_be()
    {
        var (equal, worst, largest) = (0, 1.0, 0);
        var dearer = new List<string>();
        for (var seed = 0; seed < Instances; seed++)
        {
            var p = Problem(seed);
            largest = Math.Max(largest, p.Count);
            var search = new GroupSearch(p);
            var found = search.Improve(search.First(), GroupSearch.Rounds(p.Count)).Cost();
            var exact = PartitionOracle.Least(p, found);
            GroupBound.Cost(p).ShouldBeLessThanOrEqualTo(exact, $"seed {seed}: the bound is no bound");
            if (found == exact)
                equal++;
            else
                dearer.Add($"seed {seed}, {p.Count} outlets: {100.0 * (found - exact) / exact:0.00} percent");
            worst = Math.Max(worst, (double)found / exact);
        }

        largest.ShouldBe(24);
        equal.ShouldBeGreaterThanOrEqualTo(Instances * 95 / 100, string.Join("; ", dearer));
        worst.ShouldBeLessThan(1.02, string.Join("; ", dearer));
    }

    [Theory]
    [InlineData(1, 8, 3)]
    [InlineData(2, 9, 4)]
    [InlineData(3, 10, 5)]
    [InlineData(4, 11, 4)]
    public void The_oracle_agrees_with_trying_every_division(int seed, int count, int most)
    {
        var p = GroupInstances.Make(seed, count, most);

        // Every division, by subsets: the cheapest way to serve a set is a circuit with its lowest outlet and the rest.
        var circuit = new int[1 << count];
        Span<int> members = stackalloc int[count];
        for (var set = 1; set < 1 << count; set++)
        {
            var k = 0;
            for (var i = 0; i < count; i++)
            {
                if ((set >> i & 1) != 0)
                    members[k++] = i;
            }

            circuit[set] = p.Fits(members[..k]) ? p.Cost(members[..k]) : int.MaxValue;
        }

        var best = new long[1 << count];
        for (var set = 1; set < 1 << count; set++)
        {
            best[set] = long.MaxValue;
            for (var part = set; part > 0; part = (part - 1) & set)
            {
                if ((part & (set & -set)) != 0 && circuit[part] != int.MaxValue)
                    best[set] = Math.Min(best[set], circuit[part] + best[set ^ part]);
            }
        }

        PartitionOracle.Least(p, 10_000_000).ShouldBe(best[^1]);
    }
}
