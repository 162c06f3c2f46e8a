using System.Collections.Immutable;
using System.Globalization;
using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;

namespace Circuitum.Core.Simulation;

/// <summary>A search for a fault on one circuit: what was found so far, what fits, and what to test next.</summary>
public sealed class FaultSearch
{
    private const double StairInches = 360;

    private readonly JobAnalysis a;

    /// <summary>A search.</summary>
    /// <param name="a">The house.</param>
    /// <param name="finder">The finder of the circuit's network.</param>
    /// <param name="found">Tests by their place, with what they told, in the order in which they were made.</param>
    public FaultSearch(JobAnalysis a, FaultFinder finder, ImmutableArray<(int Test, string Told)> found)
    {
        (this.a, Finder, Found) = (a, finder, found);
        Fitting = finder.Fitting(found.DistinctBy(f => f.Test).ToDictionary(f => f.Test, f => f.Told));
    }

    /// <summary>The finder.</summary>
    public FaultFinder Finder { get; }

    /// <summary>What was found, the first one first.</summary>
    public ImmutableArray<(int Test, string Told)> Found { get; }

    /// <summary>The classes of faults that fit.</summary>
    public ImmutableArray<int> Fitting { get; }

    /// <summary>The next test; none when nothing more can be told apart.</summary>
    public int? Next => Finder.Next(Fitting, Away);

    /// <summary>What a test can tell, by what still fits, the likeliest first.</summary>
    public ImmutableArray<string> Outcomes(int test) =>
        [
            .. Fitting
                .GroupBy(c => Finder.Classes[c].Outcomes[test])
                .OrderByDescending(g => g.Sum(c => Math.Max(1, Finder.Classes[c].Faults.Length)))
                .ThenBy(g => g.Key, StringComparer.Ordinal)
                .Select(g => g.Key),
        ];

    /// <summary>The faults that fit; empty with a class that fits when nothing is wrong.</summary>
    public ImmutableArray<Fault> Faults => [.. Fitting.SelectMany(c => Finder.Classes[c].Faults)];

    /// <summary>Whether it fits that nothing is wrong, or something that no test of the list shows.</summary>
    public bool MayBeWhole => Fitting.Any(c => Finder.Classes[c].Faults.Length == 0);

    /// <summary>What was found, as a word of an address: <c>3=120, 120, 0|7=holds</c>.</summary>
    public static string Write(IEnumerable<(int Test, string Told)> found) =>
        string.Join('|', found.Select(f => string.Create(CultureInfo.InvariantCulture, $"{f.Test}={f.Told}")));

    /// <summary>Reads what was found; what names no test, or tells what that test cannot tell, is left out.</summary>
    public static ImmutableArray<(int Test, string Told)> Read(FaultFinder finder, string? text) =>
        [
            .. (text ?? "")
                .Split('|', StringSplitOptions.RemoveEmptyEntries)
                .Take(60)
                .Select(part => part.Split('=', 2))
                .Where(p => p.Length == 2 && int.TryParse(p[0], NumberStyles.None, CultureInfo.InvariantCulture, out _))
                .Select(p => (int.Parse(p[0], CultureInfo.InvariantCulture), p[1]))
                .Where(f => f.Item1 < finder.Tests.Length && finder.Classes.Any(c => c.Outcomes[f.Item1] == f.Item2)),
        ];

    /// <summary>A test in words.</summary>
    public string Say(int test)
    {
        var t = Finder.Tests[test];
        var plugged = t.Loaded ? "something small plugged in at every receptacle, lights in" : "nothing plugged in";
        if (t.Outlet is not { } o)
            return $"At the panel: turn the breaker on, {plugged}.";
        var box = a.Boxes[Finder.Wiring.Outlets[o].Box];
        var down = t.Down.Select(s => Finder.Wiring.Switches[s].Box).Distinct().ToList();
        return $"At {box.Id}, {a.House[box.Room].Room.Name}, {BoxSchedule.Place(a.House, box)}: measure, {plugged}"
            + (
                down.Count > 0 ? $", switched over at {string.Join(" and ", down)}."
                : Finder.Wiring.Outlets[o].Group is null ? "."
                : ", its switches as when the light is on."
            );
    }

    /// <summary>What a test told, in words.</summary>
    public string SayOutcome(int test, string told)
    {
        var t = Finder.Tests[test];
        if (t.Outlet is null)
            return told == FaultFinder.Holds ? "It holds" : $"Opens: {told}";
        var two = Finder.Wiring.Outlets[t.Outlet.Value].Volts > a.Edition.Supply.ToNeutral;
        return told.Split(", ") is [var one, var other, var third]
            ? $"{(two ? "hot to hot" : "hot to neutral")} {one}, hot to ground {other}, {(two ? "other hot" : "neutral")} to ground {third}"
            : told;
    }

    // From where the last test was, by the straight way; a stair is worth thirty feet. At first one stands at the panel.
    private double Away(FaultTest test)
    {
        var last = Found.IsEmpty ? null : Finder.Tests[Found[^1].Test].BoxIn(Finder.Wiring);
        if (test.BoxIn(Finder.Wiring) is not { } to)
            return last is null ? 0 : 1000;
        if (last is null)
            return Finder.Wiring.Cables.FirstOrDefault(c => c.Cable.From is null).Cable?.To == to ? 1 : 500;
        var (from, box) = (a.Boxes[last], a.Boxes[to]);
        var stair = a.House[from.Room].Room.Storey == a.House[box.Room].Room.Storey ? 0 : StairInches;
        return Places.Of(a.House, from).InchesTo(Places.Of(a.House, box)) + stair;
    }
}
