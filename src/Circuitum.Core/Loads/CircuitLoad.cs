using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Explain;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Loads;

/// <summary>The load of a circuit.</summary>
/// <param name="Connection">How many lines it hangs on.</param>
/// <param name="Volts">The voltage of that.</param>
/// <param name="Connected">Planned load on it.</param>
/// <param name="Actual">The current it draws.</param>
/// <param name="Sizing">What breaker and wire must carry: 125 percent of the continuous part and all of the rest.</param>
/// <param name="Derivation">How that came about.</param>
public sealed record CircuitLoad(
    Connection Connection,
    int Volts,
    VoltAmperes Connected,
    Amperes Actual,
    Amperes Sizing,
    Derivation Derivation
)
{
    /// <summary>What of <see cref="Sizing"/> is a planning figure that no rule holds a breaker to.</summary>
    public Amperes Practice { get; init; }

    /// <summary>Whether its receptacles are split: each half between the neutral and a line of its own.</summary>
    public bool Split { get; init; }

    /// <summary>Whether a circuit of a purpose has split receptacles in a job.</summary>
    public static bool IsSplit(Preferences preferences, CodeEdition edition, CircuitPurpose purpose) =>
        purpose == CircuitPurpose.SmallAppliance
        && edition.Ways.Counter == CounterWay.Alternating
        && preferences.CounterReceptacles == CounterReceptacles.Split;

    /// <summary>Works out the load of a circuit's boxes.</summary>
    /// <param name="job">The job.</param>
    /// <param name="edition">Its edition.</param>
    /// <param name="purpose">The circuit's purpose; small-appliance and laundry circuits are taken at their fixed figure.</param>
    /// <param name="boxes">Its boxes.</param>
    public static CircuitLoad Of(Job job, CodeEdition edition, CircuitPurpose purpose, IReadOnlyList<Box> boxes)
    {
        var loads = boxes.Select(b => BoxLoad.Of(job, b)).Where(l => l.Load.Value > 0).ToImmutableArray();
        var appliances = boxes
            .Select(b => job.ApplianceById(b.Appliance))
            .OfType<Appliance>()
            .Select(x => ApplianceFacts.Of(job, x))
            .ToList();
        var split = IsSplit(job.Preferences, edition, purpose);
        var connection = split ? Connection.TwoLines : appliances.Select(a => a.Connection).DefaultIfEmpty(Connection.OneLine).Max();
        var supply = edition.Supply;
        var volts = supply.Volts(connection);
        if (
            edition.Ways.Service == ServiceWay.StandardAndOptional
            && purpose is CircuitPurpose.SmallAppliance or CircuitPurpose.Laundry
            && appliances.All(a => a.Load.Value <= 1500)
        )
        {
            var fixedVa = new VoltAmperes(edition.Number(purpose == CircuitPurpose.Laundry ? "laundryVa" : "smallApplianceVa"));
            var fixedAmps = fixedVa.At(volts);
            return new(
                connection,
                volts,
                fixedVa,
                fixedAmps,
                fixedAmps,
                new Derivation("Load on the circuit", $"{fixedVa}, {fixedAmps}")
                {
                    Formula = $"{fixedVa.Value:0} / {volts} = {fixedAmps.Value:0.0#} A",
                    Citation = edition.Cite(purpose == CircuitPurpose.Laundry ? "service.laundry" : "service.smallAppliance"),
                    Because = $"Small-appliance and laundry circuits are taken at {fixedVa.Value:0} VA each, whatever hangs on them.",
                }
            );
        }

        if (edition.InForce("wire.range") && appliances.Count == boxes.Count && AsOneRange(appliances) is { } range)
        {
            var demand = CookingDemand.OfRange(range, edition);
            var amps = demand.Demand.At(volts);
            return new(
                connection,
                volts,
                range,
                amps,
                amps,
                new Derivation("Load on the circuit", $"{amps}")
                {
                    Formula = $"{demand.Demand.Value:0} / {volts} = {amps.Value:0.0#} A",
                    Citation = edition.Cite("wire.range"),
                    Because =
                        demand.Column.Length == 0 ? "All of a range is seldom on at once: its circuit counts what mostly is."
                        : appliances.Count == 1 ? "A range's circuit may use the demand table."
                        : $"One cooktop and up to two ovens of a room on one circuit count as a range of their sum "
                            + $"({edition.Cite("service.cooking")} note 4).",
                    Steps = [.. appliances.Select(a => Derivation.Fact(a.Name, $"{a.Load}", "nameplate")), demand.Derivation],
                }
            );
        }

        var steady = loads.Where(l => l.Continuous).Aggregate(VoltAmperes.Zero, (sum, l) => sum + l.Load);
        var rest = loads.Where(l => !l.Continuous).Aggregate(VoltAmperes.Zero, (sum, l) => sum + l.Load);
        var factor = edition.Number("continuousFactor");
        var actual = supply.Current(steady + rest, connection);

        // The largest motor counts a quarter more (430.22, 430.24); one that runs on and on has that already.
        var motor = loads.Where(l => l is { Motor: true, Continuous: false }).Select(l => l.Load).DefaultIfEmpty(VoltAmperes.Zero).Max();
        var moreShare = edition.Number("motorWireShare");
        var more = motor * moreShare;
        var sizing = supply.Current((steady * factor) + rest + more, connection);
        var parts = new[]
        {
            steady.Value > 0 ? $"{steady.Value:0} x {factor:0.00}" : "",
            rest.Value > 0 || steady.Value <= 0 ? $"{rest.Value:0}" : "",
            more.Value > 0 ? $"{motor.Value:0} x {moreShare:0.00}" : "",
        }
            .Where(p => p.Length > 0)
            .ToList();
        var sum = parts.Count > 1 ? $"({string.Join(" + ", parts)})" : parts[0];
        var practice = new Amperes(loads.Where(l => l.Practice).Sum(l => l.Load.Value) / volts);
        return new(
            connection,
            volts,
            steady + rest,
            actual,
            sizing,
            new Derivation("Load on the circuit", $"{steady + rest}, {sizing} for breaker and wire")
            {
                Formula = $"{sum} / {(connection == Connection.ThreeLines ? "1.732 / " : "")}{volts} = {sizing.Value:0.0#} A",
                Citation = edition.Cite(more.Value > 0 ? "wire.motor" : "circuit.overload"),
                Because = more.Value > 0 ? "The wire of a motor carries 125 percent of its current." : "",
                Steps =
                [
                    .. loads
                        .GroupBy(l => (l.Kind, l.Load, l.Continuous, l.Source, Name(job, l)))
                        .Select(g =>
                            Derivation.Fact(
                                $"{(g.Count() > 1 ? $"{g.Count()} x " : "")}{g.Key.Item5}",
                                $"{(g.Key.Load * g.Count()).Value:0} VA{(g.Key.Continuous ? ", continuous" : "")}",
                                g.Key.Source
                            )
                        ),
                ],
            }
        )
        {
            Practice = practice,
            Split = split,
        };
    }

    // A range by itself; or a cooktop with one or two ovens, all in one room. None for anything else, which goes by its plate.
    private static VoltAmperes? AsOneRange(List<ApplianceFacts> appliances)
    {
        if (appliances is [var only] && only.Type.Has(ApplianceTrait.Range))
            return only.Load;
        var (tops, ovens) = (
            appliances.Count(a => a.Type.Has(ApplianceTrait.Cooktop)),
            appliances.Count(a => a.Type.Has(ApplianceTrait.Oven))
        );
        if (tops != 1 || ovens is not (1 or 2) || tops + ovens != appliances.Count)
            return null;
        return appliances.DistinctBy(a => a.Appliance.Room).Count() > 1
            ? null
            : appliances.Aggregate(VoltAmperes.Zero, (sum, a) => sum + a.Load);
    }

    private static string Name(Job job, BoxLoad load) =>
        job.ApplianceById(load.Box.Appliance) is { } appliance
            ? ApplianceFacts.Of(job, appliance).Name
            : load.Kind switch
            {
                LoadKind.Light => "light",
                LoadKind.Fixed => "alarm",
                _ => "receptacle",
            };
}
