using System.Collections.Immutable;
using System.Globalization;
using Circuitum.Core.Analysis;

namespace Circuitum.Core.Simulation;

/// <summary>A circuit that is tried: its switches thrown, its breaker off, something wrong in it. Nothing of the job changes.</summary>
public sealed class Trial
{
    private const string Begins = "try:";

    private readonly JobAnalysis a;
    private Simulator? run;

    private Trial(JobAnalysis a, int circuit)
    {
        (this.a, Circuit) = (a, circuit);
        Whole = HouseWirings.Of(a, circuit);
        Faults = Fault.All(Whole);
    }

    private Trial(Trial like) =>
        (a, Circuit, Whole, Faults, Down, Off, Wrong, Loaded) = (
            like.a,
            like.Circuit,
            like.Whole,
            like.Faults,
            like.Down,
            like.Off,
            like.Wrong,
            like.Loaded
        );

    /// <summary>The circuit.</summary>
    public int Circuit { get; }

    /// <summary>Its network as planned.</summary>
    public Wiring Whole { get; }

    /// <summary>Everything that can be put wrong in it.</summary>
    public ImmutableArray<Fault> Faults { get; }

    /// <summary>Switches that are down; all up, every light is lit.</summary>
    public ImmutableSortedSet<int> Down { get; private init; } = [];

    /// <summary>Breakers that are off and devices whose test was pressed.</summary>
    public ImmutableSortedSet<int> Off { get; private init; } = [];

    /// <summary>Which fault is in it, by its place in <see cref="Faults"/>; none for none.</summary>
    public int? Wrong { get; private init; }

    /// <summary>Whether something of 60 W runs at every outlet.</summary>
    public bool Loaded { get; private init; }

    /// <summary>The network come to rest.</summary>
    public Simulator Run =>
        run ??= Simulator.Run(
            Wrong is { } f ? Faults[f].In(Whole) : Whole,
            Setting.AllOn(Whole, Loaded ? 60 : 0) with
            {
                Up = [.. Enumerable.Range(0, Whole.Switches.Length).Except(Down)],
                Off = [.. Off],
            }
        );

    /// <summary>A trial of a circuit as it is planned; none when there is nothing to try.</summary>
    public static Trial? Of(JobAnalysis a, int circuit) =>
        a.CircuitByNumber(circuit) is { Wire: not null, Run.First: not null } ? new(a, circuit) : null;

    /// <summary>Reads a trial; none for what is none, or names what is not there.</summary>
    /// <param name="a">The house.</param>
    /// <param name="text">As <see cref="Text"/> writes it, such as <c>try:7;d0;o1;f12;l</c>.</param>
    public static Trial? Parse(JobAnalysis a, string text)
    {
        if (!text.StartsWith(Begins, StringComparison.Ordinal) || text.Length > 400)
            return null;
        var parts = text[Begins.Length..].Split(';');
        if (Number(parts[0]) is not { } circuit || Of(a, circuit) is not { } trial)
            return null;
        foreach (var part in parts.Skip(1))
        {
            var n = part.Length > 1 ? Number(part[1..]) : null;
            var next = (part.Length > 0 ? part[0] : ' ', n) switch
            {
                ('d', { } s) when s < trial.Whole.Switches.Length => trial.Throw(s),
                ('o', { } g) when g < trial.Whole.Guards.Length => trial.Turn(g),
                ('f', { } f) when f < trial.Faults.Length => trial.With(f),
                ('l', null) => trial.Plug(),
                _ => null,
            };
            if (next is null)
                return null;
            trial = next;
        }

        return trial;
    }

    /// <summary>The trial as a word of an address.</summary>
    public string Text =>
        string.Join(
            ';',
            new[] { string.Create(CultureInfo.InvariantCulture, $"{Begins}{Circuit}") }
                .Concat(Down.Select(s => $"d{s}"))
                .Concat(Off.Select(g => $"o{g}"))
                .Concat(Wrong is { } f ? [$"f{f}"] : Array.Empty<string>())
                .Concat(Loaded ? ["l"] : Array.Empty<string>())
        );

    /// <summary>The same with a switch thrown.</summary>
    public Trial Throw(int unit) => new(this) { Down = Toggled(Down, unit) };

    /// <summary>The same with a breaker turned, or the test of a device pressed or reset.</summary>
    public Trial Turn(int guard) => new(this) { Off = Toggled(Off, guard) };

    /// <summary>The same with something plugged in everywhere, or nothing.</summary>
    public Trial Plug() => new(this) { Loaded = !Loaded };

    /// <summary>The same with something wrong, or with nothing.</summary>
    public Trial With(int? fault) => new(this) { Wrong = fault };

    /// <summary>The house as it then is: what has no power.</summary>
    public Outage Outage()
    {
        var dead = Whole
            .Outlets.Select((o, i) => (o.Box, Dead: Run.At(i).HotBack < Reading.Nothing))
            .GroupBy(x => x.Box)
            .Where(g => g.All(x => x.Dead))
            .Select(g => g.Key);
        return Analysis.Outage.Of(a, $"circuit {Circuit} as it is tried", [.. dead]);
    }

    private static ImmutableSortedSet<int> Toggled(ImmutableSortedSet<int> set, int n) => set.SymmetricExcept([n]);

    private static int? Number(string text) => int.TryParse(text, NumberStyles.None, CultureInfo.InvariantCulture, out var n) ? n : null;
}
