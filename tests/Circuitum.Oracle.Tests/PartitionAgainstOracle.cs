using Circuitum.Core.Circuits;

namespace Circuitum.Oracle.Tests;

/// <summary>The division into zones held against all sets of rooms, those that no zone rule allows among them.</summary>
public class PartitionAgainstOracle
{
    [Fact]
    public void On_200_houses_of_5_to_17_rooms_and_some_of_up_to_28_nothing_is_cheaper()
    {
        (int Seed, int Rooms)[] large = [(300, 20), (301, 22), (302, 24), (303, 24), (304, 28)];
        var sizes = Enumerable.Range(0, 200).Select(seed => (Seed: seed, Rooms: 5 + (seed % 13))).Concat(large);
        Parallel.ForEach(sizes, size =>
        {
            var p = ZoneInstances.Make(size.Seed, size.Rooms);
            var partition = ZonePartition.Solve(p).ShouldNotBeNull();
            partition.Proven.ShouldBeTrue($"seed {size.Seed}");
            partition.Circuits.SelectMany(c => c).Order().ShouldBe(Enumerable.Range(0, p.Count));
            partition.Circuits.Sum(c => (long)p.Priced(c)).ShouldBe(partition.Cost);
            PartitionOracle.Least(p, partition.Cost).ShouldBe(partition.Cost, $"seed {size.Seed}, {size.Rooms} rooms");
        });
    }

    // Solved to the end by an integer programme solver of another make, from all sets of rooms written down by trying each.
    [Theory]
    [InlineData(400, 30, 222133)]
    [InlineData(401, 31, 185919)]
    [InlineData(402, 32, 239557)]
    [InlineData(403, 33, 220932)]
    [InlineData(404, 34, 252720)]
    [InlineData(405, 35, 254174)]
    [InlineData(406, 36, 239520)]
    [InlineData(407, 37, 247400)]
    [InlineData(408, 38, 267874)]
    [InlineData(409, 39, 286334)]
    [InlineData(410, 40, 284457)]
    [InlineData(411, 30, 214331)]
    [InlineData(412, 31, 215688)]
    [InlineData(413, 32, 207988)]
    [InlineData(414, 33, 232841)]
    [InlineData(415, 34, 264533)]
    [InlineData(416, 35, 225257)]
    [InlineData(417, 36, 260814)]
    [InlineData(418, 37, 259528)]
    [InlineData(419, 38, 265853)]
    public void Houses_of_30_to_40_rooms_are_divided_as_cheaply_as_another_solver_does(int seed, int rooms, long least)
    {
        var partition = ZonePartition.Solve(ZoneInstances.Make(seed, rooms)).ShouldNotBeNull();
        partition.Proven.ShouldBeTrue();
        partition.Cost.ShouldBe(least);
    }

    [Fact]
    public void The_search_finds_most_of_them_too_and_is_never_far_off()
    {
        var over = Enumerable
            .Range(0, 36)
            .AsParallel()
            .Select(seed =>
            {
                var p = ZoneInstances.Make(seed, 8 + (seed % 20));
                var search = new GroupSearch(p);
                return (double)search.Improve(search.First(), GroupSearch.Rounds(p.Count)).Cost() / ZonePartition.Solve(p)!.Cost;
            })
            .ToList();
        over.ShouldAllBe(o => o > 0.999999);
        over.Count(o => o < 1.000001).ShouldBeGreaterThanOrEqualTo(30, string.Join(" ", over.Where(o => o > 1).Select(o => $"{o:0.0000}")));
        over.Max().ShouldBeLessThan(1.04);
    }
}
