namespace Circuitum.Core.Tests;

/// <summary>No plan breaks a hard rule: 300 made-up houses; the benchmarks' command <c>houses</c> tries as many as one likes.</summary>
public class HardRuleTests
{
    [Fact]
    public void Three_hundred_houses_are_planned_without_a_breach() =>
        HouseSet
            .All.AsParallel()
            .SelectMany(h => GeneratedHouse.Broken(h.House).Select(b => $"house {h.Seed}: {b}"))
            .Take(12)
            .ToList()
            .ShouldBeEmpty();

    // Planning is dear, so a person has a hand in every tenth house only.
    [Fact]
    public void What_a_person_locked_or_put_somewhere_stays_when_thirty_houses_are_planned_again() =>
        HouseSet
            .All.Where(h => h.Seed % 10 == 0)
            .AsParallel()
            .SelectMany(h => GeneratedHouse.TryByHand(h.House.Job, h.Seed).Select(b => $"house {h.Seed}: {b}"))
            .Take(12)
            .ToList()
            .ShouldBeEmpty();

    // Fifteen alarms on a mixed circuit that was full already: receptacles outside had taken what was kept free for them.
    [Theory]
    [InlineData(6352)]
    public void Houses_that_once_broke_a_rule_are_planned_without_a_breach(int seed) => GeneratedHouse.Try(seed).ShouldBeEmpty();
}
