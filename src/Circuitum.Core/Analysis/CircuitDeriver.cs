using System.Collections.Immutable;
using Circuitum.Core.Circuits;
using Circuitum.Core.Codes;
using Circuitum.Core.Explain;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Loads;
using Circuitum.Core.Measure;
using Circuitum.Core.Protection;
using Circuitum.Core.Routing;
using Circuitum.Core.Sizing;

namespace Circuitum.Core.Analysis;

/// <summary>Works out one circuit: load, wire, breaker, protection, run and drop.</summary>
internal sealed class CircuitDeriver(HouseShape house, CodeEdition edition, Runs runs, IReadOnlyDictionary<string, Box> all)
{
    private readonly Job job = house.Job;

    internal CircuitAnalysis Derive(Circuit circuit, string label)
    {
        Box[] boxes = [.. circuit.Boxes.Select(m => all[m.Box])];
        var appliances = boxes.Select(b => job.ApplianceById(b.Appliance)).OfType<Appliance>().Select(ApplianceFacts.Of).ToList();
        var load = CircuitLoad.Of(job, edition, circuit.Purpose, boxes);
        var wire = Conductor.Choose(Case(circuit, boxes, appliances, load), edition);
        var needs = boxes.ToImmutableDictionary(b => b.Id, b => ProtectionNeeds.Of(house, edition, b, load.Volts, wire?.Breaker ?? 0));
        var arc = needs.Values.Any(n => n.Any(x => x.Kind == ProtectionKind.ArcFault));
        var ground = needs.Values.Any(n => n.Any(x => x.Kind == ProtectionKind.GroundFault));
        var inReceptacle = CircuitProtection.InReceptacle(ground, arc, load.Volts, circuit.Protection, job.Preferences.GroundFault, boxes);
        var first = inReceptacle ? boxes.Where(CircuitProtection.CanHoldDevice).MinBy(b => runs.FromPanel(b.Id))?.Id : null;
        var run = runs.Plan([.. boxes.Select(b => b.Id)], first);
        var protection = CircuitProtection.Of(needs, inReceptacle, run);
        var size = wire?.Size ?? "2";
        var (drop, dropWhy) = Drop(run, load, size, size);
        var home = size;
        var limit = edition.Number("dropPercentBranch");
        var upsize = job.Preferences.HomeRunUpsize;
        var general = circuit.Purpose is not CircuitPurpose.Appliance;
        if (wire is not null && ((upsize == HomeRunUpsize.WhenDropAsks && drop > limit) || (upsize == HomeRunUpsize.Always && general)) && Conductor.NextCable(size) is { } larger)
        {
            home = larger;
            (drop, dropWhy) = Drop(run, load, size, home);
        }

        var conductors = load.Volts == 240 && appliances.Any(a => a.Type.Neutral) ? 3 : 2;
        return new()
        {
            Circuit = circuit,
            Label = label,
            Boxes = [.. run.Hops.Select(h => all[h.To])],
            Load = load,
            Wire = wire,
            HomeRunSize = home,
            Cable = $"{home}-{conductors}",
            BranchCable = $"{size}-{conductors}",
            Run = run,
            DropPercent = drop,
            Protection = protection,
            Needs = needs,
            WireDerivation = wire?.Derivation ?? new("Wire and breaker", "none") { Because = "No sheathed cable carries this load." },
            DropDerivation = dropWhy,
            RunDerivation = new("Cable of the circuit", $"{run.Cut.InFeet:0} ft")
            {
                Formula = $"home run and {Math.Max(0, run.Hops.Length - 1)} further pieces",
                Because = "An estimate from the plan; each further box hangs on the nearest one that has room.",
                Steps = [.. run.Hops.Select(runs.Explain)],
            },
            ProtectionDerivation = new("Protection", protection.Mark.Length == 0 ? "none" : protection.Mark)
            {
                Because = protection.Reason,
                Steps = [.. needs.OrderBy(n => n.Key, StringComparer.Ordinal).SelectMany(n => n.Value.Select(x => (n.Key, x))).GroupBy(n => (n.x.Kind, n.x.Citation, n.x.Reason)).Select(g =>
                    new Derivation(g.Key.Kind == ProtectionKind.ArcFault ? "Arc-fault" : "Ground-fault", string.Join(", ", g.Select(x => x.Key).Take(6)) + (g.Count() > 6 ? " and more" : "")) { Because = g.Key.Reason, Citation = g.Key.Citation })],
            },
        };
    }

    private SizingCase Case(Circuit circuit, Box[] boxes, List<ApplianceFacts> appliances, CircuitLoad load)
    {
        var loads = boxes.Select(b => BoxLoad.Of(job, b)).ToList();
        var steady = loads.Where(l => l.Continuous).Sum(l => l.Load.Value) / load.Volts;
        var alone = appliances.Count == 1 && boxes.Length == 1 ? appliances[0] : null;
        var hvac = alone is { Type.Hvac: true, MinimumCircuitAmpacity: not null } ? alone : null;
        var receptacles = boxes.Sum(b => b.Kind == BoxKind.Receptacle ? 2 : b.Kind == BoxKind.Provision || appliances.Any(a => a.Appliance.Id == b.Appliance && !a.Hardwired) ? 1 : 0);
        var breaker = circuit.Breaker ?? Usual(circuit, alone, load);
        var c = new SizingCase
        {
            Continuous = new(steady),
            NonContinuous = new(Math.Max(0, load.Actual.Value - steady)),
            MinimumCircuitAmpacity = hvac?.MinimumCircuitAmpacity,
            MaximumBreaker = alone?.MaximumBreaker,
            Breaker = breaker,
            TerminationC = job.Preferences.TerminationC,
            SeveralReceptacles = receptacles > 1,
            CurrentCarrying = 2,
        };
        if (edition.InForce("wire.smallest")) c = c with { SmallestSize = $"{edition.Number("smallestWireAwg"):0}" };
        return job.Preferences.GeneralWire == GeneralWire.TwelveThroughout && circuit.Purpose is (CircuitPurpose.Lighting or CircuitPurpose.Receptacles or CircuitPurpose.Mixed) ? c with { SmallestSize = "12" } : c;
    }

    private int? Usual(Circuit circuit, ApplianceFacts? alone, CircuitLoad load)
    {
        if (alone is null || circuit.Purpose != CircuitPurpose.Appliance) return circuit.Purpose == CircuitPurpose.Appliance ? 20 : CircuitPlanning.GeneralRating(job.Preferences, circuit.Purpose);
        if (alone.Type.Hvac) return alone.MinimumCircuitAmpacity is null ? alone.Type.Breaker : alone.MaximumBreaker;
        var usual = alone.Type.Breaker;
        if (alone.Type.Id == "range" && alone.Load.Value >= edition.Number("rangeLeastVa")) usual = Math.Max(usual ?? 0, (int)edition.Number("rangeLeastBreaker"));
        if (usual is not { } u || alone.Type.Motor || alone.Type.Cooking || alone.Type.Id == "dryer") return usual;

        // One non-motor appliance over 13.3 A: at most 150 percent of its load, or the next standard size.
        var amps = load.Actual.Value;
        return amps > 13.3 && edition.BreakerFor(amps * 1.5) is { } most ? Math.Min(u, most) : u;
    }

    // Each piece of cable carries what is planned beyond it; the worst box counts.
    private (double Percent, Derivation Why) Drop(RunEstimate run, CircuitLoad load, string size, string homeSize)
    {
        if (run.Hops.Length == 0) return (0, new("Voltage drop", "0 percent"));
        var own = run.Hops.ToDictionary(h => h.To, h => BoxLoad.Of(job, all[h.To]).Load.Value);
        var sum = own.Values.Sum();
        var scale = sum > 0 ? load.Actual.Value * load.Volts / sum : 0;
        var beyond = own.ToDictionary(o => o.Key, o => o.Value * scale);
        foreach (var hop in run.Hops.Reverse())
        {
            if (hop.From is { } from) beyond[from] += beyond[hop.To];
        }

        var at = new Dictionary<string, double>();
        var path = new Dictionary<string, ImmutableList<Derivation>>();
        foreach (var hop in run.Hops)
        {
            var row = Conductor.Copper(hop.From is null ? homeSize : size);
            var amps = beyond[hop.To] / load.Volts;
            var volts = Conductor.DropVolts(hop.Way, new(amps), row);
            at[hop.To] = volts + (hop.From is { } f ? at[f] : 0);
            var step = new Derivation(hop.From is null ? "Home run" : $"{hop.From} to {hop.To}", $"{volts:0.00} V") { Formula = $"2 x {hop.Way.InFeet:0.#} ft x {amps:0.0#} A x {row.OhmPerKft} / 1000", Because = $"{row.Size} AWG" };
            path[hop.To] = (hop.From is { } g ? path[g] : []).Add(step);
        }

        var worst = at.MaxBy(a => a.Value);
        var percent = worst.Value / load.Volts * 100;
        return (percent, new("Voltage drop at the farthest load", $"{percent:0.0} percent")
        {
            Formula = $"{worst.Value:0.00} / {load.Volts} V",
            Citation = edition.Cite("wire.drop"),
            Because = $"Worst at {worst.Key}; 3 percent on a branch circuit is a recommendation.",
            Steps = [.. path[worst.Key]],
        });
    }
}
