using System.Collections.Immutable;
using System.Globalization;
using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;
using Circuitum.Core.Simulation;

namespace Circuitum.Core.Field;

/// <summary>What a tester has to tell at the boxes of a circuit that is as planned, worked out with the circuit as a network.</summary>
public sealed class ExpectedReadings
{
    private readonly JobAnalysis a;
    private readonly CircuitAnalysis circuit;
    private readonly Wiring wiring;
    private readonly Setting on;
    private readonly Simulator run;

    /// <summary>Of a circuit that has a wire size and a first box.</summary>
    public ExpectedReadings(JobAnalysis a, CircuitAnalysis circuit)
    {
        (this.a, this.circuit) = (a, circuit);
        wiring = HouseWirings.Of(a, circuit.Number);
        on = Setting.AllOn(wiring, 0);
        run = Simulator.Run(wiring, on);
    }

    /// <summary>Under temporary power, at a box.</summary>
    public ImmutableArray<string> Live(Box box)
    {
        var lines = ImmutableArray.CreateBuilder<string>();
        foreach (var i in wiring.OutletsIn(box.Id).DistinctBy(i => (run.At(i).InWords(wiring.Supply), wiring.Outlets[i].Group)))
        {
            var (o, reading) = (wiring.Outlets[i], run.At(i));
            var back = o.Volts > a.Edition.Supply.ToNeutral ? "hot to hot" : "hot to neutral";
            lines.Add(
                $"{Volts(reading.HotBack)} {back}, {Volts(reading.HotGround)} hot to ground, "
                    + (
                        o.Volts > a.Edition.Supply.ToNeutral ? $"{Volts(reading.BackGround)} the other hot to ground"
                        : reading.BackGround < Reading.Nothing ? $"under {Reading.Nothing:0} V neutral to ground"
                        : $"{Volts(reading.BackGround)} neutral to ground"
                    )
                    + (o.Group is null ? "" : ", its switches on")
            );
        }

        lines.AddRange(Switches(box, "lights", "goes dark"));
        if (Guard(box.Id) is { } guard)
        {
            var dead = DeadWith(guard);
            lines.Add(
                dead.Length == 1
                    ? "Press test: it goes dead and nothing else; reset."
                    : $"Press test: dead are {string.Join(", ", dead)}, and no other; reset."
            );
        }

        if (lines.Count == 0)
            lines.Add($"Ends of circuit {circuit.Number} capped and folded; nothing to measure.");
        return lines.ToImmutable();
    }

    /// <summary>Without power, at a box, from the panel's end.</summary>
    public ImmutableArray<string> Dead(Box box)
    {
        var lines = ImmutableArray.CreateBuilder<string>();
        var two = wiring.OutletsIn(box.Id).Any(i => wiring.Outlets[i].Volts > a.Edition.Supply.ToNeutral);
        var pair = two ? "hot to hot" : "hot to neutral";
        lines.Add($"All far ends open: {pair} open, hot to ground open{(two ? "" : ", neutral to ground open at the branch")}.");

        // Of what hangs on a switched wire alone, the panel sees the joint through its switches.
        var switched = wiring.OutletsIn(box.Id).Any() && wiring.OutletsIn(box.Id).All(i => wiring.Outlets[i].Group is not null);
        lines.Add(
            $"Joined here, {pair}: closed at the panel{(switched ? " with its switches on, open with them off" : "")}; "
                + "the ground through to here."
        );
        lines.AddRange(Switches(box, "closes", "opens"));
        return lines.ToImmutable();
    }

    /// <summary>At the breaker, under temporary power.</summary>
    public ImmutableArray<string> Breaker()
    {
        var guard = wiring.Guards.First(g => g.Box is null && g.Circuit == circuit.Number);
        var lines = ImmutableArray.CreateBuilder<string>();
        if (guard.ArcFault || guard.GroundFault)
            lines.Add("Press the test button of the breaker: it trips.");
        lines.Add(
            guard.Tied is { } tied
                ? $"Off: circuit {circuit.Number} is dead, and {wiring.Guards[tied].Circuit} with it, which shares its neutral."
                : $"Off: all of circuit {circuit.Number} is dead and nothing else."
        );
        lines.Add("Off again, proven dead, before the next.");
        return lines.ToImmutable();
    }

    /// <summary>Boxes at which something goes dead when the device in a box opens; none where no device is in it.</summary>
    public ImmutableArray<string> DeadWith(string box) => Guard(box) is { } guard ? DeadWith(guard) : [];

    private ImmutableArray<string> DeadWith(int guard)
    {
        var off = Simulator.Run(wiring, on with { Off = [guard] });
        return
        [
            .. Enumerable
                .Range(0, wiring.Outlets.Length)
                .Where(i => run.At(i).HotBack > Reading.Nothing && off.At(i).HotBack <= Reading.Nothing)
                .Select(i => wiring.Outlets[i].Box)
                .Distinct(),
        ];
    }

    private int? Guard(string box)
    {
        var at = Enumerable.Range(0, wiring.Guards.Length).FirstOrDefault(g => wiring.Guards[g].Box == box, -1);
        return at < 0 ? null : at;
    }

    private IEnumerable<string> Switches(Box box, string onWord, string offWord)
    {
        foreach (var unit in wiring.Switches.Where(s => s.Box == box.Id).DistinctBy(s => s.Group))
        {
            var lights = string.Join(", ", unit.Group.Lights);
            yield return unit.Group.Switches.Length == 1
                ? $"{lights}: {onWord} in one position of the switch, {offWord} in the other."
                : $"{lights}: each of the {(1 << unit.Group.Switches.Length).ToString(CultureInfo.InvariantCulture)} combinations of "
                    + $"{string.Join(", ", unit.Group.Switches)}; every throw changes it.";
        }
    }

    private static string Volts(double volts) => volts < Reading.Nothing ? "0 V" : $"{volts:0} V";
}
