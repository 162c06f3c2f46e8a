using System.Collections.Immutable;
using System.Globalization;
using Circuitum.Core.Codes;

namespace Circuitum.Core.Simulation;

/// <summary>What is switched, plugged in and turned off while one looks.</summary>
public sealed record Setting
{
    /// <summary>All switches down, all breakers on, nothing plugged in.</summary>
    public static Setting None { get; } = new();

    /// <summary>Breakers and devices that are off, by their places in the network.</summary>
    public ImmutableHashSet<int> Off { get; init; } = [];

    /// <summary>Switches that are up, by their places in the network; all up, every light is lit.</summary>
    public ImmutableHashSet<int> Up { get; init; } = [];

    /// <summary>Watts that run at outlets, by their places in the network.</summary>
    public ImmutableDictionary<int, double> Watts { get; init; } = ImmutableDictionary<int, double>.Empty;

    /// <summary>Everything switched on and so many watts at every outlet.</summary>
    public static Setting AllOn(Wiring wiring, double watts) =>
        new()
        {
            Up = [.. Enumerable.Range(0, wiring.Switches.Length)],
            Watts = Enumerable.Range(0, wiring.Outlets.Length).ToImmutableDictionary(i => i, _ => watts),
        };
}

/// <summary>Why something opened.</summary>
public enum TripReason
{
    /// <summary>Far more current than it carries, at once.</summary>
    Short,

    /// <summary>Some of the current came back another way.</summary>
    GroundFault,

    /// <summary>It sparked.</summary>
    Arc,
}

/// <summary>A breaker or device that opened.</summary>
/// <param name="Guard">Which, by its place in the network.</param>
/// <param name="Reason">Why.</param>
public readonly record struct Trip(int Guard, TripReason Reason);

/// <summary>The network as it comes to rest: what has opened, and the volts everywhere.</summary>
public sealed class Simulator
{
    // A ground-fault device of Class A opens from 6 mA on; a breaker at once from about five times its rating.
    private const double LeakA = 0.006;
    private const double AtOnce = 5;
    private const double SparkA = 0.05;

    private readonly HashSet<int> open;
    private readonly Setting setting;
    private double[] volts = [];
    private bool[] floats = [];

    private Simulator(Wiring wiring, Setting setting)
    {
        (Wiring, this.setting) = (wiring, setting);
        open = [.. setting.Off.Concat(Enumerable.Range(0, wiring.Guards.Length).Where(g => wiring.Guards[g].Refuses))];
    }

    /// <summary>The network.</summary>
    public Wiring Wiring { get; }

    /// <summary>What has opened, in the order in which it did.</summary>
    public ImmutableArray<Trip> Trips { get; private set; } = [];

    /// <summary>Lets a network come to rest.</summary>
    /// <param name="wiring">The network.</param>
    /// <param name="setting">What is switched and plugged in.</param>
    public static Simulator Run(Wiring wiring, Setting setting)
    {
        var run = new Simulator(wiring, setting);
        run.Solve();
        while (run.Opening() is { Count: > 0 } now)
        {
            run.Trips = run.Trips.AddRange(now);
            run.open.UnionWith(now.Select(t => t.Guard));
            run.open.UnionWith(now.Select(t => wiring.Guards[t.Guard].Tied).OfType<int>());
            run.Solve();
        }

        return run;
    }

    /// <summary>Volts of a node to earth; less than zero on the second line.</summary>
    public double Volts(int node) => volts[node];

    /// <summary>Volts between two nodes, as a meter tells them: it brings what hangs in the air to the other itself.</summary>
    public double Between(int one, int other) => floats[one] || floats[other] ? 0 : Math.Abs(volts[one] - volts[other]);

    /// <summary>Amperes through a link, from its first node to its second.</summary>
    public double Amperes(int link) =>
        Conducts(Wiring.Links[link]) && double.IsFinite(Wiring.Links[link].Ohms)
            ? (volts[Wiring.Links[link].From] - volts[Wiring.Links[link].To]) / Wiring.Links[link].Ohms
            : 0;

    /// <summary>What a meter tells at an outlet.</summary>
    /// <param name="outlet">The outlet, by its place in the network.</param>
    public Reading At(int outlet)
    {
        var o = Wiring.Outlets[outlet];
        return new(Between(o.Hot, o.Back), Between(o.Hot, o.Ground), Between(o.Back, o.Ground));
    }

    /// <summary>Whether a guard is off, or has opened.</summary>
    public bool IsOpen(int guard) => open.Contains(guard);

    private bool Conducts(Link l) =>
        (l.Guard is not { } guard || !open.Contains(guard)) && (l.Switch is not { } s || setting.Up.Contains(s) == l.Up);

    private void Solve()
    {
        var links = new List<(int, int, double)>(Wiring.Links.Length + setting.Watts.Count);
        foreach (var l in Wiring.Links)
        {
            if (Conducts(l) && double.IsFinite(l.Ohms))
                links.Add((l.From, l.To, 1 / l.Ohms));
        }

        foreach (var (outlet, watts) in setting.Watts)
        {
            var o = Wiring.Outlets[outlet];
            if (watts > 0)
                links.Add((o.Hot, o.Back, watts / ((double)o.Volts * o.Volts)));
        }

        volts = NodalSolver.Volts(Wiring.Nodes.Length, links, Wiring.Fixed);
        floats = Floating(links);
    }

    // What no conductor joins with the supply, not even through a load.
    private bool[] Floating(List<(int A, int B, double)> links)
    {
        var root = Enumerable.Range(0, Wiring.Nodes.Length).ToArray();
        int Root(int n)
        {
            while (root[n] != n)
                n = root[n] = root[root[n]];
            return n;
        }

        foreach (var (a, b, _) in links)
            root[Root(a)] = Root(b);
        var fed = Wiring.Fixed.Keys.Select(Root).ToHashSet();
        return [.. Enumerable.Range(0, root.Length).Select(n => !fed.Contains(Root(n)))];
    }

    private List<Trip> Opening()
    {
        var trips = new List<Trip>();
        var sparks = Enumerable.Range(0, Wiring.Links.Length).Any(l => Wiring.Links[l].Arcs && Math.Abs(Amperes(l)) > SparkA);
        for (var g = 0; g < Wiring.Guards.Length; g++)
        {
            var guard = Wiring.Guards[g];
            if (open.Contains(g))
                continue;
            var most = guard.Senses.Where(s => Wiring.Links[s].Guard == g).Max(s => Math.Abs(Amperes(s)));
            if (guard.Box is null && most > AtOnce * guard.Amperes)
                trips.Add(new(g, TripReason.Short));
            else if (guard.GroundFault && Math.Abs(guard.Senses.Sum(Amperes)) > LeakA)
                trips.Add(new(g, TripReason.GroundFault));
            else if (guard.ArcFault && sparks && most > SparkA)
                trips.Add(new(g, TripReason.Arc));
        }

        return trips;
    }
}

/// <summary>What a meter tells at an outlet, in volts.</summary>
/// <param name="HotBack">Hot to neutral; of a 240 V appliance hot to hot.</param>
/// <param name="HotGround">Hot to ground.</param>
/// <param name="BackGround">Neutral to ground.</param>
public readonly record struct Reading(double HotBack, double HotGround, double BackGround)
{
    /// <summary>Fewer volts than this are none.</summary>
    public const double Nothing = 2;

    // Between that and a tenth under what should be there, something is in series.
    private const double Sag = 0.1;
    private const double Rise = 0.05;

    /// <summary>In words as a table of faults has them, such as <c>120, 120, 0</c>; a tilde before what is in between.</summary>
    /// <param name="supply">The supply, whose voltages are told without a tilde.</param>
    public string InWords(Supply supply) => $"{Say(HotBack, supply)}, {Say(HotGround, supply)}, {Say(BackGround, supply)}";

    private static string Say(double volts, Supply supply) =>
        volts < Nothing ? "0" : Near(volts, supply.ToNeutral) ?? Near(volts, supply.Between) ?? FormattableString.Invariant($"~{volts:0}");

    private static string? Near(double volts, int should) =>
        volts >= should * (1 - Sag) && volts <= should * (1 + Rise) ? should.ToString(CultureInfo.InvariantCulture) : null;
}
