using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Measure;
using Circuitum.Core.Simulation;

namespace Circuitum.Core.Training;

/// <summary>
/// Makes questions of a house. What is right is worked out with the circuit as a network, or is the plan's own; nothing is ever called safe
/// to touch.
/// </summary>
public static class Trainer
{
    private const int Tries = 60;
    private const int Offered = 4;

    /// <summary>A question; none where the house has nothing of the kind.</summary>
    /// <param name="a">The house.</param>
    /// <param name="kind">What is practised.</param>
    /// <param name="number">Makes it again.</param>
    public static Question? Make(JobAnalysis a, Exercise kind, int number)
    {
        var random = new Random((number * 31) + (int)kind);
        for (var i = 0; i < Tries; i++)
        {
            var made = kind switch
            {
                Exercise.Reach => Reach(a, random),
                Exercise.LineLoad => LineLoad(a, random),
                Exercise.Dark => Dark(a, random),
                Exercise.Tester => Tester(a, random),
                Exercise.Size => Size(a, random),
                Exercise.Walk => InspectionWalk.House(a, random),
                _ => InspectionWalk.Wall(a, random),
            };
            if (made is not null)
                return made;
        }

        return null;
    }

    /// <summary>One of some, or none of none.</summary>
    internal static T? Pick<T>(Random random, IReadOnlyList<T> from)
        where T : class => from.Count == 0 ? null : from[random.Next(from.Count)];

    private static Wiring? AnyWiring(JobAnalysis a, Random random, Func<CircuitAnalysis, bool> which) =>
        Pick(random, [.. a.Circuits.Where(c => c is { Wire: not null, Pair: null, Run.First: not null } && which(c))]) is { } circuit
            ? HouseWirings.Of(a, circuit.Number)
            : null;

    private static Wiring? WithDevice(JobAnalysis a, Random random) =>
        AnyWiring(a, random, c => c.Protection.Devices.Any(d => d.Box is not null) && c.Boxes.Length > 2);

    private static int DeviceOf(Wiring w) => Enumerable.Range(0, w.Guards.Length).First(g => w.Guards[g].Box is not null);

    private static Question? Reach(JobAnalysis a, Random random)
    {
        if (WithDevice(a, random) is not { } w)
            return null;
        var guard = DeviceOf(w);
        var on = Setting.AllOn(w, 0);
        var (whole, open) = (Simulator.Run(w, on), Simulator.Run(w, on with { Off = [guard] }));
        return Places(
            Exercise.Reach,
            w,
            $"The test button of the device in {w.Guards[guard].Box} is pressed. Which places go dead?",
            Order(a, w),
            i => Dead(open, i) && !Dead(whole, i),
            "What hangs on its load terminals goes dead with it; what is fed before it, or from its line terminals, does not."
        );
    }

    private static Question? LineLoad(JobAnalysis a, Random random)
    {
        if (WithDevice(a, random) is not { } w)
            return null;
        var (guard, modern) = (DeviceOf(w), random.Next(2) == 0);
        var box = w.Guards[guard].Box!;
        var wrong = new Fault(modern ? FaultKind.LineLoadModern : FaultKind.LineLoadOlder, box, null, "").In(w);
        var run = Simulator.Run(wrong, Setting.AllOn(w, 0) with { Off = [guard] });
        return Places(
            Exercise.LineLoad,
            w,
            modern
                ? $"Line and load are exchanged on the device in {box}, one that will not reset so. Which places have no power?"
                : $"Line and load are exchanged on the device in {box}, of the older sort, and its test is pressed. "
                    + "Which places have no power?",
            Order(a, w),
            i => Dead(run, i),
            modern
                ? "It cannot be set, so neither it nor what it feeds has power: it tells the mistake by itself."
                : "It opens what hangs beyond it, while its own face stays live without protection: the mistake is found only by a tester."
        );
    }

    private static Question? Dark(JobAnalysis a, Random random)
    {
        if (AnyWiring(a, random, c => c.Boxes.Length > 3) is not { } w)
            return null;
        if (Pick(random, [.. Fault.All(w).Where(f => f is { Kind: FaultKind.OpenWire, Net: "hot" })]) is not { } fault)
            return null;
        var (whole, run) = (Simulator.Run(w, Setting.AllOn(w, 0)), Simulator.Run(fault.In(w), Setting.AllOn(w, 0)));
        return Places(
            Exercise.Dark,
            w,
            $"The hot wire has parted in the {FaultWords.Where(w, fault)}. Which places go dead?",
            Order(a, w),
            i => Dead(run, i) && !Dead(whole, i),
            "Everything beyond the place, seen from the panel, and nothing before it."
        );
    }

    private static Question? Tester(JobAnalysis a, Random random)
    {
        if (AnyWiring(a, random, c => c.Boxes.Length > 1) is not { } w)
            return null;
        var outlets = Enumerable.Range(0, w.Outlets.Length).Where(i => w.Outlets[i].Kind == OutletKind.Receptacle).ToList();
        if (outlets.Count == 0)
            return null;
        var at = outlets[random.Next(outlets.Count)];
        var on = Setting.AllOn(w, 0) with { Watts = Enumerable.Range(0, w.Outlets.Length).ToImmutableDictionary(i => i, _ => 60.0) };
        var looks = Fault
            .All(w)
            .Where(f => f.Kind is not (FaultKind.OneLine or FaultKind.LineLoadModern or FaultKind.LineLoadOlder))
            .Select(f => (f.Kind, Net: f.Net, Run: Simulator.Run(f.In(w), on)))
            .Select(x => (Name: Name(x.Kind, x.Net), Look: x.Run.At(at).InWords(w.Supply), Opens: x.Run.Trips.Length > 0))
            .Where(x => x.Name.Length > 0)
            .ToList();
        var healthy = Simulator.Run(w, on).At(at).InWords(w.Supply);
        var telling = looks.Where(x => x.Look != healthy && !x.Opens).ToList();
        if (telling.Count == 0)
            return null;
        var shown = telling[random.Next(telling.Count)];
        var fits = looks.Where(x => x.Look == shown.Look && !x.Opens).Select(x => x.Name).ToHashSet();
        var others = looks.Select(x => x.Name).Distinct().Where(n => !fits.Contains(n)).ToList();
        if (others.Count < 2)
            return null;
        var choices = others.OrderBy(_ => random.Next()).Take(Offered - 1).Select(n => new Choice(n, false)).Append(new(shown.Name, true));
        var parts = shown.Look.Split(", ");
        return new(
            Exercise.Tester,
            $"At {w.Outlets[at].Box} a meter tells this, with lights on and something plugged in. What can it be?",
            [$"hot to neutral: {parts[0]} V", $"hot to ground: {parts[1]} V", $"neutral to ground: {parts[2]} V", "No breaker has opened."],
            [.. choices.OrderBy(_ => random.Next())],
            "A zero between hot and neutral says that one of the two is open; which one, hot to ground tells. Whatever the meter says, "
                + "treat every wire as live until it is proven dead."
        );
    }

    private static string Name(FaultKind kind, string net) =>
        kind switch
        {
            FaultKind.OpenWire or FaultKind.OpenJoint when net is "hot" or "neutral" or "ground" => $"{net} open on the way here",
            FaultKind.HotNeutralSwapped => "hot and neutral exchanged here",
            FaultKind.HotGroundSwapped => "hot and ground exchanged here",
            FaultKind.HotToNeutral => "hot touches neutral",
            FaultKind.NeutralToGround => "neutral touches ground",
            FaultKind.HotToGround => "hot touches ground",
            _ => "",
        };

    private static Question? Size(JobAnalysis a, Random random)
    {
        if (Pick(random, [.. a.Circuits.Where(c => c is { Wire: not null, Carried: false })]) is not { } c)
            return null;
        var right = $"{c.Cable} on {c.Breaker} A";
        var others = a
            .Circuits.Where(x => x.Wire is not null && x.Poles == c.Poles)
            .Select(x => $"{x.Cable} on {x.Breaker} A")
            .Distinct()
            .Where(x => x != right)
            .OrderBy(_ => random.Next())
            .Take(Offered - 1)
            .ToList();
        if (others.Count < 2)
            return null;
        return new(
            Exercise.Size,
            $"Which cable and breaker does this circuit take: {c.Label}?",
            [
                $"{c.Load.Volts} V",
                $"{c.Load.Actual.Value:0.0} A by its nameplate or its outlets",
                $"{LengthText.Far(c.Run.Segments[0].Cut, a.Units)} to its first box",
            ],
            [.. others.Select(o => new Choice(o, false)).Append(new(right, true)).OrderBy(_ => random.Next())],
            string.Join(" ", c.WireDerivation.Steps.Select(s => $"{s.What}: {s.Result}."))
        );
    }

    private static IEnumerable<string> Order(JobAnalysis a, Wiring w) =>
        a.CircuitByNumber(w.Guards[0].Circuit)!.Run.Segments.Select(s => $"{s.From ?? s.Via ?? "panel"} feeds {s.To}");

    private static bool Dead(Simulator run, int outlet) => run.At(outlet).HotBack < Reading.Nothing;

    private static Question? Places(Exercise kind, Wiring w, string text, IEnumerable<string> order, Func<int, bool> right, string why)
    {
        ImmutableArray<Choice> choices =
        [
            .. Enumerable
                .Range(0, w.Outlets.Length)
                .GroupBy(i => w.Outlets[i].Box)
                .Select(g => new Choice(g.Key, g.All(right)))
                .OrderBy(c => c.Text, StringComparer.Ordinal),
        ];
        return choices.Length < 2 || choices.All(c => !c.Right) ? null : new(kind, text, [.. order], choices, why);
    }
}
