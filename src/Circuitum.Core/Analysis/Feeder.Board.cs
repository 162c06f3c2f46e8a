using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Panels;
using Circuitum.Core.Routing;
using Circuitum.Core.Sizing;

namespace Circuitum.Core.Analysis;

// The sub-main of a split board.
public sealed partial record Feeder
{
    // Practice: a board that is fed by less is soon too small.
    private const int LeastSubMain = 32;

    private static Feeder OnBoard(
        Job job,
        HouseShape house,
        CodeEdition edition,
        CableRouter runs,
        Panel panel,
        ImmutableArray<CircuitAnalysis> circuits
    )
    {
        var counted = LoadCase.OfFeeder(house, edition, circuits);
        var load = BoardDemand.Of(counted, edition);
        var breaker = panel.FeederBreaker ?? edition.BreakerFor(Math.Max(LeastSubMain, load.Current.Value)) ?? edition.Breakers[^1];
        var c = new BoardSizingCase
        {
            Use = BoardUse.Fixed,
            ThreeLines = true,
            Watts = load.Total.Value,
            Volts = edition.Supply.Between,
            Held = breaker,
            AmbientC = Math.Max(job.Preferences.AmbientC, edition.Number("ambientLeastC").Whole),
            Together = job.Preferences.CablesTogether,
        };
        var (from, route) = (panel.FedFrom!, runs.Feeder(panel.FedFrom!, panel.Id));
        var wire = BoardSizing.Choose(c, edition);
        double Drop() => wire is null ? 0 : Conductor.DropVolts(route.Length, load.Current, wire.Row) / edition.Supply.Between * 100;
        var limit = edition.Number("dropPercentInAll") - edition.Number("dropPercentLights");
        while (wire is not null && Drop() > limit && BoardSizing.Larger(wire.Size) is { } larger)
            wire = BoardSizing.Choose(c with { Larger = larger }, edition);
        var outside = runs.FeederOutside(from, panel.Id);
        var made = wire is null ? "no cable carries it" : $"{new CableType(wire.Size, 4)} in conduit";
        return new()
        {
            Whole = false,
            Case = counted,
            Neutral = ServiceLoad.Neutral(counted, edition),
            Run = FeederWay.Of(job, edition, panel, route, outside, conduit: true),
            From = from,
            To = panel.Id,
            Load = load,
            Connected = circuits.Aggregate(VoltAmperes.Zero, (sum, x) => sum + x.Load.Connected),
            Breaker = breaker,
            Wire = wire,
            Ground = wire?.Ground ?? CodeLibrary.Families.SplitBoard.Cables[^1].Size,
            Conduit = null,
            Route = route,
            Cut = route.Length + (job.Preferences.PanelMakeUp * 2),
            DropPercent = Drop(),
            ToBuilding = !house.BuildingOf(panel.Room).Contains(job.Panels.First(p => p.Id == from).Room),
            Made = made,
            Derivation = new("Sub-main", $"{breaker} A, {made}")
            {
                Formula = $"{load.Total.Value:#,0} W / (1.732 x {edition.Supply.Between}) = {load.Current.Value:0.0} A",
                Citation = edition.Cite("wire.size"),
                Because = panel.FeederBreaker is not null
                    ? "As a person says."
                    : $"The next breaker over its demand, {LeastSubMain} A at least by practice.",
                Steps = [load.Derivation, .. wire is null ? [] : new[] { wire.Derivation }],
            },
        };
    }
}
