using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Panels;

namespace Circuitum.Core.Tests;

/// <summary>Legs are as even as can be, and the largest panels are filled.</summary>
public class LegEvennessTests
{
    [Fact]
    public void Legs_are_as_even_as_any_division_on_500_panels()
    {
        var random = new Random(4711);
        for (var n = 0; n < 500; n++)
        {
            // Up to 42 spaces, some taken by two-pole breakers, some held by a person with what they carry.
            var spaces = 2 * random.Next(6, 22);
            var loads = Enumerable.Range(0, random.Next(1, Math.Min(spaces - 1, 40))).Select(_ => random.Next(0, 40) * 60).ToArray();
            var (a, b) = (spaces / 2, spaces / 2);
            var lead = random.Next(-2000, 2001);
            var split = LegBalance.Split(loads, a, b, lead);
            (split.Count(x => x) <= a && split.Count(x => !x) <= b).ShouldBeTrue($"panel {n}");
            var got = Math.Abs(lead + loads.Select((va, i) => split[i] ? va : -va).Sum());
            got.ShouldBe(Least(loads, a, b, lead), $"panel {n}");
        }
    }

    // Every reachable difference with every count on leg A, one load after the other.
    private static int Least(int[] loads, int a, int b, int lead)
    {
        var reach = new HashSet<(int Count, int Gap)> { (0, lead) };
        foreach (var va in loads)
            reach = [.. reach.SelectMany(r => new[] { (r.Count + 1, r.Gap + va), (r.Count, r.Gap - va) }).Where(r => r.Item1 <= a)];
        return reach.Where(r => loads.Length - r.Count <= b).Min(r => Math.Abs(r.Gap));
    }

    [Fact]
    public void The_largest_panels_with_tandems_are_filled()
    {
        var random = new Random(3);
        for (var n = 0; n < 40; n++)
        {
            var panel = new Panel
            {
                Id = "p",
                Spaces = 42,
                TandemSpaces = [.. Enumerable.Range(19, 24)],
            };
            List<BreakerNeed> needs =
            [
                .. Enumerable.Range(1, 58).Select(i => new BreakerNeed(i, 1, 20, random.Next(100, 1900), Protective: i <= 15)),
            ];
            var placed = SpacePlan.Fill(panel, [], needs, PanelOrder.ByNumber);
            placed.Length.ShouldBe(58);
            Math.Abs(placed.Sum(s => needs[s.Circuit - 1].Va * (CodeLibrary.Newest.Supply.LineOf(s.Space) == 0 ? 1 : -1)))
                .ShouldBeLessThanOrEqualTo(1);
        }
    }
}
