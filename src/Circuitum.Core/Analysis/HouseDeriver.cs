using System.Collections.Immutable;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
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
        var runs = new CableRouter(house);
        var analysis = Build(job, house, edition, boxes, labels, runs, []);

        // Masonry has no bored holes. Elsewhere only where cables may lie so close that one would lose ampacity are the holes looked at.
        var deriver = new CircuitDeriver(house, edition, runs, boxes);
        return edition.Board is null && HoleSearch.Possible(analysis, deriver)
            ? HoleRemedies.Find(analysis, deriver, (other, shared) => Build(job, house, edition, boxes, labels, other, shared))
            : analysis;
    }

    private static JobAnalysis Build(
        Job job,
        HouseShape house,
        CodeEdition edition,
        ImmutableDictionary<string, Box> boxes,
        IReadOnlyDictionary<int, string> labels,
        CableRouter runs,
        ImmutableArray<SharedHole> shared
    )
    {
        var circuits = Circuits(job, edition, new CircuitDeriver(house, edition, runs, boxes), labels, shared);
        var area = house.OutsideAreaSqFt(r => FloorAreas.Counts(edition, r));
        var service = LoadCase.OfHouse(house, edition, area);
        var byBox = circuits.SelectMany(c => c.Run.Segments.Select(h => (Id: h.To, c))).ToImmutableDictionary(x => x.Id, x => x.c);
        return new()
        {
            Job = job,
            House = house,
            Edition = edition,
            Boxes = boxes,
            Circuits = circuits,
            ByBox = byBox,
            Routes = new(() =>
                circuits
                    .SelectMany(c => c.Run.Cables)
                    .DistinctBy(h => (h.From, h.To))
                    .ToImmutableDictionary(h => (h.From, h.To), runs.Route)
            ),
            SharedHoles = shared,
            Apart = [.. shared.Where(s => s.Remedy == HoleRemedy.OwnHole).Select(s => s.Circuit)],

            // How deep and in what a cable lies outdoors is asked of families that have rules for it.
            Outside = edition.Board is null ? OutsideRuns.Of(job, edition, runs, circuits) : [],
            SpecsWhenAsked = new(() => BoxSpecs.Of(house, edition, byBox)),
            Panels = PanelDeriver.Of(job, house, edition, runs, circuits, service),
            AreaSqFt = area,
            ServiceCase = service,
            ServiceLoads = ServiceLoad.Of(service, edition),
        };
    }

    /// <summary>
    /// Works out single circuits of a house that has been analysed, each as if it stood alone: shared home runs are left out of account.
    /// </summary>
    public static Func<Circuit, string, CircuitAnalysis> OneByOne(JobAnalysis analysis)
    {
        var deriver = new CircuitDeriver(analysis.House, analysis.Edition, new CableRouter(analysis.House), analysis.Boxes);
        return (circuit, label) => deriver.Derive(circuit, label);
    }

    // The second of a pair goes on from where the first one's home run ends, so it comes after it.
    private static ImmutableArray<CircuitAnalysis> Circuits(
        Job job,
        CodeEdition edition,
        CircuitDeriver deriver,
        IReadOnlyDictionary<int, string> labels,
        ImmutableArray<SharedHole> shared
    )
    {
        var decisions = job.Decisions.WithoutLostPairs();
        var done = new SortedDictionary<int, CircuitAnalysis>();
        foreach (var circuit in job.Decisions.Circuits.OrderBy(c => decisions.PairOf(c.Number)?.Second == c.Number).ThenBy(c => c.Number))
        {
            var pair = decisions.PairOf(circuit.Number);
            var hole = shared.FirstOrDefault(s => s.Circuit == circuit.Number);
            var c = deriver.Derive(
                circuit,
                labels[circuit.Number],
                pair,
                pair?.Second == circuit.Number ? done[pair.First] : null,
                hole?.Remedy == HoleRemedy.LargerWire ? hole.CurrentCarrying : null
            );
            done[circuit.Number] = hole is null
                ? c
                : c with
                {
                    WireDerivation = c.WireDerivation with { Steps = c.WireDerivation.Steps.Add(hole.Derivation(edition)) },
                };
        }

        return [.. done.Values];
    }
}
