using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Panels;
using Circuitum.Core.Routing;

namespace Circuitum.Core.Analysis;

/// <summary>Works out everything but the findings.</summary>
public static class HouseDeriver
{
    /// <summary>The analysis of a checked job, without findings.</summary>
    public static JobAnalysis Derive(Job job)
    {
        var house = HouseShape.Of(job);
        var edition = CodeLibrary.EditionOf(job);
        var boxes = job.Decisions.Boxes.ToImmutableDictionary(b => b.Id);
        var labels = LabelWriter.Write(house);
        var analysis = Build(job, house, edition, boxes, labels, new Runs(house), []);

        // Only where cables may lie so close that one would lose ampacity are the holes looked at.
        var deriver = new CircuitDeriver(house, edition, new Runs(house), boxes);
        return HoleSearch.Possible(analysis, deriver) ? HoleRemedies.Find(analysis, deriver, (runs, shared) => Build(job, house, edition, boxes, labels, runs, shared)) : analysis;
    }

    private static JobAnalysis Build(Job job, HouseShape house, CodeEdition edition, ImmutableDictionary<string, Box> boxes, IReadOnlyDictionary<int, string> labels, Runs runs, ImmutableArray<SharedHole> shared)
    {
        var circuits = Circuits(job, edition, new CircuitDeriver(house, edition, runs, boxes), labels, shared);
        var area = house.OutsideAreaSqFt(r => edition.Traits(r.Kind).FloorArea);
        var service = Case(job, edition, area);
        var byBox = circuits.SelectMany(c => c.Boxes.Select(b => (b.Id, c))).ToImmutableDictionary(x => x.Id, x => x.c);
        return new()
        {
            Job = job,
            House = house,
            Edition = edition,
            Boxes = boxes,
            Circuits = circuits,
            ByBox = byBox,
            Routes = new(() => circuits.SelectMany(c => c.Run.Cables).DistinctBy(h => (h.From, h.To)).ToImmutableDictionary(h => (h.From, h.To), runs.Route)),
            SharedHoles = shared,
            Apart = [.. shared.Where(s => s.Remedy == HoleRemedy.OwnHole).Select(s => s.Circuit)],
            Outside = OutsideRuns.Of(job, edition, runs, circuits),
            Specs = BoxSpecs.Of(house, edition, byBox),
            Schedule = Schedule(job, circuits),
            AreaSqFt = area,
            Standard = ServiceLoad.Standard(service, edition),
            Optional = ServiceLoad.Optional(service, edition),
        };
    }

    /// <summary>Works out single circuits of a house that has been analysed, each as if it stood alone: shared home runs are left out of account.</summary>
    public static Func<Circuit, string, CircuitAnalysis> OneByOne(JobAnalysis analysis)
    {
        var deriver = new CircuitDeriver(analysis.House, analysis.Edition, new Runs(analysis.House), analysis.Boxes);
        return (circuit, label) => deriver.Derive(circuit, label);
    }

    // The second of a pair goes on from where the first one's home run ends, so it comes after it.
    private static ImmutableArray<CircuitAnalysis> Circuits(Job job, CodeEdition edition, CircuitDeriver deriver, IReadOnlyDictionary<int, string> labels, ImmutableArray<SharedHole> shared)
    {
        var decisions = job.Decisions.WithoutLostPairs();
        var done = new SortedDictionary<int, CircuitAnalysis>();
        foreach (var circuit in job.Decisions.Circuits.OrderBy(c => decisions.PairOf(c.Number)?.Second == c.Number).ThenBy(c => c.Number))
        {
            var pair = decisions.PairOf(circuit.Number);
            var hole = shared.FirstOrDefault(s => s.Circuit == circuit.Number);
            var c = deriver.Derive(circuit, labels[circuit.Number], pair, pair?.Second == circuit.Number ? done[pair.First] : null, hole?.Remedy == HoleRemedy.LargerWire ? hole.CurrentCarrying : null);
            done[circuit.Number] = hole is null ? c : c with { WireDerivation = c.WireDerivation with { Steps = c.WireDerivation.Steps.Add(hole.Derivation(edition)) } };
        }

        return [.. done.Values];
    }

    /// <summary>What the panel needs for the circuits of an analysis.</summary>
    public static ImmutableArray<BreakerNeed> Breakers(JobAnalysis analysis) =>
        [.. analysis.Circuits.Where(c => c.Boxes.Length > 0).Select(c => new BreakerNeed(c.Number, c.Poles, c.Breaker, (int)Math.Round(c.Load.Connected.Value), analysis.Job.Rooms.IndexOf(analysis.Job.RoomById(c.Boxes[0].Room)!), c.Protection.Devices.Any(d => d.Box is null), c.Pair is { Kind: PairKind.SharedNeutral } pair ? pair.MateOf(c.Number) : null))];

    private static ImmutableArray<PanelRow> Schedule(Job job, ImmutableArray<CircuitAnalysis> circuits)
    {
        if (job.Panels.Length == 0) return [];
        var panel = job.Panels[0];
        var rows = new PanelRow[panel.Spaces + 1];
        for (var s = 1; s <= panel.Spaces; s++) rows[s] = new(s, null, false, Maker.Planner, VoltAmperes.Zero, VoltAmperes.Zero);
        foreach (var decision in job.Decisions.Spaces.Where(d => d.Panel == panel.Id).OrderByDescending(d => d.By))
        {
            if (circuits.FirstOrDefault(c => c.Number == decision.Circuit) is not { } circuit) continue;
            var spaces = SpacePlan.Taken(decision.Space, circuit.Poles).ToList();
            if (spaces.Any(s => s > panel.Spaces || rows[s].Circuit is not null)) continue;
            foreach (var (s, i) in spaces.Select((s, i) => (s, i)))
            {
                var load = circuit.Load.Connected * (1.0 / circuit.Poles);
                rows[s] = new(s, circuit, i > 0, decision.By, SpacePlan.OnLegA(s) ? load : VoltAmperes.Zero, SpacePlan.OnLegA(s) ? VoltAmperes.Zero : load);
            }
        }

        return [.. rows.Skip(1)];
    }

    private static ServiceCase Case(Job job, CodeEdition edition, double area)
    {
        var items = job.Appliances.Select(a => (Appliance: a, Facts: ApplianceFacts.Of(a)))
            .Where(a => Counts(a.Facts, edition, job))
            .Select(a => new ServiceItem(a.Facts.Name, a.Facts.Load, Kind(a.Facts), a.Facts.Type.Motor || a.Facts.Type.Id == "disposer"));
        return new()
        {
            AreaSqFt = area,
            SmallApplianceCircuits = job.Decisions.Circuits.Count(c => c.Purpose == CircuitPurpose.SmallAppliance),
            LaundryCircuits = job.Decisions.Circuits.Count(c => c.Purpose == CircuitPurpose.Laundry),
            Items = [.. items],
        };
    }

    // A refrigerator, washer or door operator on receptacles is within the general, small-appliance or laundry load.
    private static bool Counts(ApplianceFacts facts, CodeEdition edition, Job job) =>
        facts.Type.Id is not ("refrigerator" or "gas-range" or "washer" or "gas-dryer" or "garage-door" or "freezer" or "garment-steamer" or "bench-machine");

    private static ServiceItemKind Kind(ApplianceFacts facts) => facts.Type switch
    {
        { Cooking: true } => ServiceItemKind.Cooking,
        { Id: "dryer" } => ServiceItemKind.Dryer,
        { Charging: true } => ServiceItemKind.Charging,
        { Heating: true } => ServiceItemKind.Heating,
        { Id: "heat-pump" or "mini-split" } => ServiceItemKind.HeatPump,
        _ => ServiceItemKind.Fixed,
    };
}
