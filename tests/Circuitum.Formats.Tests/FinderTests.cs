using Circuitum.Core.Simulation;

namespace Circuitum.Formats.Tests;

/// <summary>Faults found by tests, against what any way of testing needs at least.</summary>
public class FinderTests
{
    // How many tests the finder takes on average over all faults, each as likely as any other.
    private static double Taken(FaultFinder finder, int[] fitting)
    {
        if (finder.Next([.. fitting], _ => 0) is not { } test)
            return 0;
        var total = (double)fitting.Sum(c => Weight(finder, c));
        return 1 + Parts(finder, fitting, test).Sum(g => g.Sum(c => Weight(finder, c)) / total * Taken(finder, g));
    }

    private static int Weight(FaultFinder finder, int c) => Math.Max(1, finder.Classes[c].Faults.Length);

    private static List<int[]> Parts(FaultFinder finder, int[] fitting, int test) =>
        [.. fitting.GroupBy(c => finder.Classes[c].Outcomes[test]).Select(g => g.ToArray())];

    // Whatever test comes first, no way to go on needs fewer than the best code of words of so many letters, one letter a test, for what
    // that test leaves together.
    private static double Least(FaultFinder finder, int[] fitting, int ahead)
    {
        if (fitting.Length < 2)
            return 0;
        if (ahead == 0)
            return Code(finder, fitting);
        var total = (double)fitting.Sum(c => Weight(finder, c));
        return Enumerable
            .Range(0, finder.Tests.Length)
            .Select(t => Parts(finder, fitting, t))
            .Where(p => p.Count > 1)
            .Min(p => 1 + p.Sum(g => g.Sum(c => Weight(finder, c)) / total * Least(finder, g, ahead - 1)));
    }

    private static double Code(FaultFinder finder, int[] fitting)
    {
        var letters = Enumerable
            .Range(0, finder.Tests.Length)
            .Max(t => fitting.Select(c => finder.Classes[c].Outcomes[t]).Distinct().Count());
        var queue = new PriorityQueue<double, double>();
        var weights = fitting.Select(c => (double)Weight(finder, c)).ToList();
        while ((weights.Count - 1) % Math.Max(1, letters - 1) != 0)
            weights.Add(0);
        foreach (var x in weights)
            queue.Enqueue(x, x);
        var sum = 0.0;
        while (queue.Count > 1)
        {
            var joined = 0.0;
            for (var i = 0; i < letters && queue.Count > 0; i++)
                joined += queue.Dequeue();
            sum += joined;
            queue.Enqueue(joined, joined);
        }

        return sum / weights.Sum();
    }

    // Over all single faults of both demonstration houses, against what any way of testing needs at least.
    [Theory]
    [InlineData("gull-cottage")]
    [InlineData("tamarack-row")]
    public void Each_fault_of_a_house_is_found_and_in_few_tests(string demo)
    {
        var a = PaperPagesTests.House(demo);
        var (taken, least, faults) = (0.0, 0.0, 0.0);
        foreach (var w in HouseWirings.Of(a))
        {
            var finder = FaultFinder.Of(w);
            int[] every = [.. Enumerable.Range(0, finder.Classes.Length)];
            var all = every.Sum(c => Weight(finder, c));
            taken += all * Taken(finder, every);
            least += all * Least(finder, every, 2);
            faults += all;
            for (var c = 0; c < finder.Classes.Length; c++)
                Found(finder, c).ShouldBe([c]);
        }

        Console.WriteLine($"{faults} faults, {taken / faults:0.00} tests, {least / faults:0.00} at least");
        (taken / least).ShouldBeLessThan(1.3);
    }

    // Answers as the network with that fault would, until one class is left: it has to be the fault's own.
    private static int[] Found(FaultFinder finder, int wrong)
    {
        var found = new Dictionary<int, string>();
        while (true)
        {
            var fitting = finder.Fitting(found);
            if (finder.Next(fitting, _ => 0) is not { } test)
                return [.. fitting];
            found.ShouldNotContainKey(test);
            found[test] = finder.Classes[wrong].Outcomes[test];
        }
    }
}
