namespace Circuitum.Core.Tests;

/// <summary>No plan breaks a hard rule: 300 made-up houses; the benchmarks' command <c>houses</c> tries as many as one likes.</summary>
public class HardRuleTests
{
    [Theory]
    [InlineData(0)]
    [InlineData(100)]
    [InlineData(200)]
    public void A_hundred_houses_are_planned_without_a_breach(int from)
    {
        var broken = Enumerable.Range(from, 100).SelectMany(seed => GeneratedHouse.Try(seed).Select(b => $"house {seed}: {b}")).Take(12).ToList();
        broken.ShouldBeEmpty();
    }
}
