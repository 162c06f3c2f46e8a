using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Explain;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Loads;

/// <summary>The load of a circuit.</summary>
/// <param name="Volts">120 or 240.</param>
/// <param name="Connected">Planned load on it.</param>
/// <param name="Actual">The current it draws.</param>
/// <param name="Sizing">What breaker and wire must carry: 125 percent of the continuous part and all of the rest.</param>
/// <param name="Derivation">How that came about.</param>
public sealed record CircuitLoad(int Volts, VoltAmperes Connected, Amperes Actual, Amperes Sizing, Derivation Derivation)
{
    /// <summary>Works out the load of a circuit's boxes.</summary>
    /// <param name="job">The job.</param>
    /// <param name="edition">Its edition.</param>
    /// <param name="purpose">The circuit's purpose; small-appliance and laundry circuits are taken at their fixed figure.</param>
    /// <param name="boxes">Its boxes.</param>
    public static CircuitLoad Of(Job job, CodeEdition edition, CircuitPurpose purpose, IReadOnlyList<Box> boxes)
    {
        var loads = boxes.Select(b => BoxLoad.Of(job, b)).Where(l => l.Load.Value > 0).ToImmutableArray();
        var appliances = boxes.Select(b => job.ApplianceById(b.Appliance)).OfType<Appliance>().Select(ApplianceFacts.Of).ToList();
        var volts = appliances.Count > 0 ? appliances.Max(a => a.Volts) : 120;
        if (purpose is CircuitPurpose.SmallAppliance or CircuitPurpose.Laundry && appliances.All(a => a.Load.Value <= 1500))
        {
            var fixedVa = new VoltAmperes(edition.Number(purpose == CircuitPurpose.Laundry ? "laundryVa" : "smallApplianceVa"));
            var fixedAmps = fixedVa.At(volts);
            return new(volts, fixedVa, fixedAmps, fixedAmps, new Derivation("Load on the circuit", $"{fixedVa}, {fixedAmps}")
            {
                Formula = $"{fixedVa.Value:0} / {volts} = {fixedAmps.Value:0.0#} A",
                Citation = "220.52",
                Because = "Small-appliance and laundry circuits are taken at 1500 VA each, whatever hangs on them.",
            });
        }

        if (appliances.Count == 1 && appliances[0].Type.Cooking && appliances[0].Type.Id == "range")
        {
            var demand = CookingDemand.OfRange(appliances[0].Load);
            var amps = demand.Demand.At(volts);
            return new(volts, appliances[0].Load, amps, amps, new Derivation("Load on the circuit", $"{amps}")
            {
                Formula = $"{demand.Demand.Value:0} / {volts} = {amps.Value:0.0#} A",
                Citation = edition.Cite("wire.range"),
                Because = "A range's circuit may use the demand table.",
                Steps = [demand.Derivation],
            });
        }

        var steady = loads.Where(l => l.Continuous).Aggregate(VoltAmperes.Zero, (sum, l) => sum + l.Load);
        var rest = loads.Where(l => !l.Continuous).Aggregate(VoltAmperes.Zero, (sum, l) => sum + l.Load);
        var factor = edition.Number("continuousFactor");
        var actual = (steady + rest).At(volts);
        var sizing = ((steady * factor) + rest).At(volts);
        return new(volts, steady + rest, actual, sizing, new Derivation("Load on the circuit", $"{steady + rest}, {sizing} for breaker and wire")
        {
            Formula = steady.Value > 0
                ? $"({steady.Value:0} x {factor:0.00} + {rest.Value:0}) / {volts} = {sizing.Value:0.0#} A"
                : $"{rest.Value:0} / {volts} = {sizing.Value:0.0#} A",
            Citation = edition.Cite("circuit.overload"),
            Steps = [.. loads.GroupBy(l => (l.Kind, l.Load, l.Continuous, l.Source, Name(job, l))).Select(g => Derivation.Fact(
                $"{(g.Count() > 1 ? $"{g.Count()} x " : "")}{g.Key.Item5}", $"{(g.Key.Load * g.Count()).Value:0} VA{(g.Key.Continuous ? ", continuous" : "")}", g.Key.Source))],
        });
    }

    private static string Name(Job job, BoxLoad load) => job.ApplianceById(load.Box.Appliance) is { } appliance
        ? ApplianceFacts.Of(appliance).Name
        : load.Kind switch { LoadKind.Light => "light", LoadKind.Fixed => "alarm", _ => "receptacle" };
}
