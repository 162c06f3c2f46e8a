using System.Collections.Immutable;
using Circuitum.Core.Circuits;

namespace Circuitum.Core.Simulation;

/// <summary>Something that can be looked at or measured to find a fault.</summary>
/// <param name="Outlet">Where, by its place in the network; none for the breaker.</param>
/// <param name="Loaded">With something small plugged in everywhere.</param>
/// <param name="Down">The switches that are down meanwhile, the others up.</param>
public sealed record FaultTest(int? Outlet, bool Loaded, ImmutableSortedSet<int> Down)
{
    /// <summary>The box at which one stands; none for the panel.</summary>
    public string? BoxIn(Wiring w) => Outlet is { } o ? w.Outlets[o].Box : null;
}

/// <summary>Faults that no test of the list tells apart.</summary>
/// <param name="Faults">The faults; none in it is the one in which nothing is wrong.</param>
/// <param name="Outcomes">What each test tells with one of them in the network.</param>
public sealed record FaultClass(ImmutableArray<Fault> Faults, ImmutableArray<string> Outcomes);

/// <summary>
/// Finds a fault by tests: of all single faults those that fit what was found, and the test that divides them best. What a test tells is
/// worked out by putting each fault into the network.
/// </summary>
public sealed class FaultFinder
{
    /// <summary>What the test at the panel tells when nothing opens.</summary>
    public const string Holds = "holds";

    // Watts plugged in for the tests under load: little enough that nothing sags.
    private const double SmallW = 15;

    private FaultFinder(Wiring wiring, ImmutableArray<FaultTest> tests, ImmutableArray<FaultClass> classes) =>
        (Wiring, Tests, Classes) = (wiring, tests, classes);

    /// <summary>The network.</summary>
    public Wiring Wiring { get; }

    /// <summary>All tests.</summary>
    public ImmutableArray<FaultTest> Tests { get; }

    /// <summary>What can be found.</summary>
    public ImmutableArray<FaultClass> Classes { get; }

    /// <summary>The finder of a network.</summary>
    public static FaultFinder Of(Wiring w)
    {
        var tests = TestsOf(w);
        var classes = SideBySide
            .Make<Fault?, (Fault? Fault, ImmutableArray<string> Outcomes)>([null, .. Fault.All(w)], f => (f, Outcomes(w, f, tests)))
            .GroupBy(x => string.Join('|', x.Outcomes))
            .Select(g => new FaultClass([.. g.Select(x => x.Fault).OfType<Fault>()], g.First().Outcomes))
            .ToImmutableArray();
        return new(w, tests, classes);
    }

    /// <summary>The classes that fit what was found.</summary>
    /// <param name="found">Tests by their place, with what they told.</param>
    public ImmutableArray<int> Fitting(IReadOnlyDictionary<int, string> found) =>
        [.. Enumerable.Range(0, Classes.Length).Where(c => found.All(f => Classes[c].Outcomes[f.Key] == f.Value))];

    /// <summary>
    /// The next test: the one that leaves the fewest to fit on average, the nearer one of equals; none when nothing divides.
    /// </summary>
    /// <param name="fitting">The classes that fit so far.</param>
    /// <param name="away">How far a test is from where one stands; of equal tests the nearest is taken.</param>
    public int? Next(ImmutableArray<int> fitting, Func<FaultTest, double> away)
    {
        if (fitting.Length < 2)
            return null;
        var weights = fitting.Select(c => (double)Math.Max(1, Classes[c].Faults.Length)).ToArray();
        var (best, least) = ((int?)null, (Left: double.PositiveInfinity, Away: double.PositiveInfinity));
        for (var t = 0; t < Tests.Length; t++)
        {
            var parts = fitting.Select((c, i) => (Classes[c].Outcomes[t], weights[i])).GroupBy(x => x.Item1).ToList();
            if (parts.Count < 2)
                continue;
            var left = parts.Sum(p => p.Sum(x => x.Item2) * Math.Log2(p.Count()));
            var here = (left, away(Tests[t]));
            if (here.left < least.Left - 1e-9 || (here.left < least.Left + 1e-9 && here.Item2 < least.Away))
                (best, least) = (t, here);
        }

        return best;
    }

    // At every outlet without and with a load; at the breaker; and each light in each position of its switches.
    private static ImmutableArray<FaultTest> TestsOf(Wiring w)
    {
        var tests = ImmutableArray.CreateBuilder<FaultTest>();
        tests.Add(new(null, false, []));
        tests.Add(new(null, true, []));
        for (var o = 0; o < w.Outlets.Length; o++)
        {
            tests.Add(new(o, false, []));
            tests.Add(new(o, true, []));
            if (w.Outlets[o].Group is not { } group || Enumerable.Range(0, o).Any(p => w.Outlets[p].Group == group))
                continue;
            var units = Enumerable.Range(0, w.Switches.Length).Where(s => w.Switches[s].Group == group).ToArray();
            for (var down = 1; down < 1 << Math.Min(units.Length, 3); down++)
                tests.Add(new(o, false, [.. units.Where((_, n) => ((down >> n) & 1) != 0)]));
        }

        return tests.ToImmutable();
    }

    private static ImmutableArray<string> Outcomes(Wiring w, Fault? fault, ImmutableArray<FaultTest> tests)
    {
        var wrong = fault?.In(w) ?? w;
        var runs = new Dictionary<string, Simulator>();
        return
        [
            .. tests.Select(t =>
            {
                var key = $"{t.Loaded} {string.Join(',', t.Down)}";
                if (!runs.TryGetValue(key, out var run))
                    runs[key] = run = Simulator.Run(
                        wrong,
                        Setting.AllOn(w, t.Loaded ? SmallW : 0) with
                        {
                            Up = [.. Enumerable.Range(0, w.Switches.Length).Except(t.Down)],
                        }
                    );
                return t.Outlet is { } o ? run.At(o).InWords(w.Supply)
                    : run.Trips.Length == 0 ? Holds
                    : string.Join(", ", run.Trips.Select(x => w.Guards[x.Guard].Box ?? $"{w.Guards[x.Guard].Circuit}").Distinct());
            }),
        ];
    }
}
