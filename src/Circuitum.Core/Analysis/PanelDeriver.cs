using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Panels;
using Circuitum.Core.Routing;

namespace Circuitum.Core.Analysis;

/// <summary>Works out the panels: who feeds whom with what, and what is in which space.</summary>
internal static class PanelDeriver
{
    internal static ImmutableArray<PanelAnalysis> Of(
        Job job,
        HouseShape house,
        CodeEdition edition,
        CableRouter runs,
        ImmutableArray<CircuitAnalysis> circuits,
        ServiceCase service
    )
    {
        var feeders = job
            .Panels.Skip(1)
            .ToDictionary(p => p.Id, p => Feeder.Of(job, house, edition, runs, p, On(job, p.Id, circuits), service, circuits.Length));
        return
        [
            .. job.Panels.Select(p => new PanelAnalysis(
                p,
                Schedule(job, edition.Supply, p, circuits, feeders),
                feeders.GetValueOrDefault(p.Id),
                edition.Supply
            )),
        ];
    }

    // The circuits of a panel and of all that it feeds.
    internal static ImmutableArray<CircuitAnalysis> On(Job job, string panel, ImmutableArray<CircuitAnalysis> circuits)
    {
        var below = new HashSet<string> { panel };
        foreach (var p in job.Panels)
            if (p.FedFrom is { } from && below.Contains(from))
                below.Add(p.Id);
        return [.. circuits.Where(c => c.Panel is { } id && below.Contains(id))];
    }

    private static ImmutableArray<PanelRow> Schedule(
        Job job,
        Supply supply,
        Panel panel,
        ImmutableArray<CircuitAnalysis> circuits,
        Dictionary<string, Feeder> feeders
    )
    {
        PanelRow Empty(int space, TandemHalf half) => new(space, null, false, Origin.Planner, LineLoads.None(supply)) { Half = half };
        var rows = new List<PanelRow>[panel.Spaces + 1];
        for (var s = 1; s <= panel.Spaces; s++)
            rows[s] = [Empty(s, TandemHalf.Whole)];
        foreach (var decision in job.Decisions.Spaces.Where(d => d.Panel == panel.Id).OrderByDescending(d => d.By))
        {
            var circuit = circuits.FirstOrDefault(c => c.Number == decision.Circuit);
            var feeder = decision.Feeds is { } fed ? feeders.GetValueOrDefault(fed) : null;
            if (circuit is null && feeder is null)
                continue;
            var poles = circuit?.Poles ?? supply.Names.Length;
            var spaces = supply.Taken(decision.Space, poles).ToList();
            if (spaces.Any(s => s > panel.Spaces))
                continue;
            var half = poles == 1 ? decision.Half : TandemHalf.Whole;
            var shared = half != TandemHalf.Whole;
            if (shared && rows[decision.Space] is [{ Free: true, Half: TandemHalf.Whole }])
                rows[decision.Space] = [Empty(decision.Space, TandemHalf.Upper), Empty(decision.Space, TandemHalf.Lower)];
            if (spaces.Any(s => !rows[s].Exists(r => r.Half == half && r.Free)))
                continue;
            foreach (var (s, i) in spaces.Select((s, i) => (s, i)))
            {
                var load = (circuit?.Load.Connected ?? feeder!.Connected) * (1.0 / poles);
                rows[s][rows[s].FindIndex(r => r.Half == half)] = new(
                    s,
                    circuit,
                    i > 0,
                    decision.By,
                    LineLoads.On(supply, supply.LineOf(s), load)
                )
                {
                    Feeder = feeder,
                    Half = half,
                    Family = decision.Family,
                };
            }
        }

        return [.. rows.Skip(1).SelectMany(r => r)];
    }

    /// <summary>What one panel needs for its circuits and the feeders that begin in it.</summary>
    internal static ImmutableArray<BreakerNeed> Breakers(JobAnalysis a, Panel panel) =>
        [
            .. a
                .Panels.Reverse()
                .Where(p => p.Feeder?.From == panel.Id)
                .Select(p => new BreakerNeed(
                    BreakerKey.Feeder(p.Panel.Id),
                    a.Edition.Supply.Names.Length,
                    p.Feeder!.Breaker,
                    (int)Math.Round(p.Feeder.Connected.Value)
                )),
            .. a.Circuits.Where(c => c.Boxes.Length > 0 && c.Panel == panel.Id).Select(c => Need(a.Job, c)),
        ];

    /// <summary>What a split board needs for its circuits and for the boards that it feeds.</summary>
    internal static ImmutableArray<WayNeed> Ways(JobAnalysis a, Panel panel) =>
        [
            .. a
                .Panels.Where(p => p.Feeder?.From == panel.Id)
                .Select(p => new WayNeed(
                    BreakerKey.Feeder(p.Panel.Id),
                    true,
                    (int)Math.Round(p.Feeder!.Connected.Value),
                    a.Edition.Board!.Residual.Values.Max()
                )),
            .. a.Circuits.Where(c => c.Boxes.Length > 0 && c.Panel == panel.Id && c.Board is not null).Select(Way),
        ];

    private static WayNeed Way(CircuitAnalysis c)
    {
        var sockets = c.Board!.Use == BoardUse.Sockets;
        return new(
            c.Number,
            c.Board.ThreeLines,
            (int)Math.Round(c.Load.Connected.Value),
            c.Board.Milliamps,
            c.Board.Ring ? 1 : 0,
            sockets && !c.Board.Ring ? c.Boxes.Count(b => b.Kind == BoxKind.Receptacle) : 0,
            sockets ? [.. c.Boxes.Where(b => b.Kind == BoxKind.Receptacle).Select(b => b.Room).Distinct()] : []
        );
    }

    /// <summary>What a circuit needs of its panel.</summary>
    internal static BreakerNeed Need(Job job, CircuitAnalysis c)
    {
        var (connected, expected) = ((int)Math.Round(c.Load.Connected.Value), (int)Math.Round(c.Expected.Load.Value));
        var byExpected = job.Preferences.LegBalance == LegBalanceBy.Expected;
        return new(
            c.Number,
            c.Poles,
            c.Breaker,
            byExpected ? expected : connected,
            c.Boxes.Length == 0 ? 0 : job.Rooms.IndexOf(job.RoomById(c.Boxes[0].Room)!),
            c.Protection.Devices.Any(d => d.Box is null),
            c.Pair is { Kind: PairKind.SharedNeutral } pair ? pair.MateOf(c.Number) : null,
            byExpected ? connected : expected
        );
    }
}
