namespace Circuitum.Core.Tests;

/// <summary>What masters would say of any good plan, asked of 300 made-up houses and of their schools.</summary>
public class MasterTests
{
    [Fact]
    public void Three_hundred_houses_are_divided_as_a_master_would_or_the_plan_says_why_not()
    {
        var against = HouseSet.All.AsParallel().AsOrdered()
            .SelectMany(h => new Masters(h.House).All.SelectMany(s => s.Against.Select(w => (s.Name, Text: $"house {h.Seed}: {w}")))).ToList();
        var report = string.Join('\n', against.GroupBy(w => w.Name).Select(g => $"{g.Count()} {g.Key}\n    {string.Join("\n    ", g.Take(4).Select(w => w.Text))}"));
        against.ShouldBeEmpty(report);
    }
}
