using System.Collections.Immutable;
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
internal sealed partial class CircuitDeriver(HouseShape house, CodeEdition edition, CableRouter runs, IReadOnlyDictionary<string, Box> all)
{
    private readonly Job job = house.Job;

    // A home run may end in the disconnect of an outlet: then that outlet is first.
    private string? EndsIn(string to, Box[] boxes) =>
        boxes.FirstOrDefault(b => b.Id == to || (b.Appliance is { } fed && all.GetValueOrDefault(to)?.Serves == fed))?.Id;

    /// <summary>Works a circuit out.</summary>
    /// <param name="circuit">The circuit.</param>
    /// <param name="label">Its label.</param>
    /// <param name="pair">The pair that it is in, or none.</param>
    /// <param name="carrier">For the second of a pair, the first one, whose home run carries both.</param>
    /// <param name="carrying">Current-carrying wires that lie together where its cable does, or none to go by the preferences
    /// alone.</param>
    internal CircuitAnalysis Derive(
        Circuit circuit,
        string label,
        HomeRunPair? pair = null,
        CircuitAnalysis? carrier = null,
        int? carrying = null
    )
    {
        if (edition.Board is { } board)
            return OnBoard(circuit, label, board);
        Box[] boxes = [.. circuit.Boxes.Select(m => all[m.Box])];
        var appliances = boxes
            .Select(b => job.ApplianceById(b.Appliance))
            .OfType<Appliance>()
            .Select(x => ApplianceFacts.Of(job, x))
            .ToList();
        var load = CircuitLoad.Of(job, edition, circuit.Purpose, boxes);
        var preferences = PreferenceFields.Of(job, circuit);
        var wire = Conductor.Choose(Together(Case(circuit, preferences, boxes, appliances, load, pair), carrying), edition);
        var needs = boxes.ToImmutableDictionary(
            b => b.Id,
            b => ProtectionNeeds.Of(house, edition, b, load.Split ? edition.Supply.ToNeutral : load.Volts, wire?.Breaker ?? 0, boxes)
        );
        string[] ids = [.. boxes.Select(b => b.Id)];
        var panel = carrier?.Panel ?? PanelChoice.Of(house, circuit, ids, load, runs);

        // What is pulled ends where it ends; else where a person wants it.
        var pulled = job.Decisions.Pulled.FirstOrDefault(p => p.Circuit == circuit.Number && EndsIn(p.To, boxes) is not null);
        var forced = (pulled is null ? null : EndsIn(pulled.To, boxes))
            ?? (circuit.First is { } wanted && ids.Contains(wanted) ? wanted : null);
        CableRun Plan(string? first) =>
            carrier?.Run.First is { } via
                ? runs.PlanVia(ids, via, forced ?? first, preferences.SwitchLoops, circuit.Run, panel)
                : runs.Plan(ids, forced ?? first, preferences.SwitchLoops, circuit.Run, panel);
        var (protection, run) = ProtectionPlan.Of(
            new()
            {
                Needs = needs,
                Boxes = boxes,
                Connection = load.Connection,
                Preferences = preferences,
                Units = job.Units,
                Chosen = circuit.Protection,
                LineSide = LineSide(circuit, boxes, needs),
                Run = Plan(null),
                RunFrom = Plan,
                FirstOutletCite = edition.Cite("protect.firstOutlet"),
            }
        );
        run = Cutoffs.Into(run, job, runs);
        var (size, home, drop, dropWhy, dropAt) = Sizes(circuit, preferences, wire, Measured(run, pulled), load);
        var conductors = load.Split || (load.Connection == Connection.TwoLines && appliances.Any(a => a.Neutral)) ? 3 : 2;
        return new()
        {
            Circuit = circuit,
            Label = label,
            Boxes = [.. run.Segments.Select(h => all[h.To]).Where(b => b.Serves is null)],
            Load = load,
            Expected = ExpectedLoad.Of(job, circuit.Purpose, load, boxes),
            Wire = wire,
            HomeRunSize = home,
            Ground = wire is null ? null : EquipmentGround.InCable(wire.Breaker, wire.Size, home, edition),
            Pair = pair,
            Pulled = pulled,
            Panel = panel,
            Cable =
                carrier is not null ? new(size, conductors)
                : pair is null ? new(home, conductors)
                : new CableType(home, pair.Kind == PairKind.SharedNeutral ? 3 : 4),
            BranchCable = new(size, conductors),
            Run = run,
            DropPercent = drop,
            DropAt = dropAt,
            Protection = protection,
            Needs = needs,
            WireDerivation = wire?.Derivation ?? new("Wire and breaker", "none") { Because = "No sheathed cable carries this load." },
            DropDerivation = dropWhy,
            RunWhy = () =>
                new("Cable of the circuit", LengthText.Far(run.Cut, job.Units))
                {
                    Formula = $"home run and {Math.Max(0, run.Cables.Count() - 1)} further pieces",
                    Because = "Through the frame of the plan; each further box hangs on the nearest one that has room.",
                    Steps = [.. run.Cables.Select(runs.Explain)],
                },
            ProtectionDerivation = new("Protection", protection.Mark.Length == 0 ? "none" : protection.Mark)
            {
                Because = protection.Reason,
                Steps =
                [
                    .. needs
                        .OrderBy(n => n.Key, StringComparer.Ordinal)
                        .SelectMany(n => n.Value.Select(x => (n.Key, x)))
                        .GroupBy(n => (n.x.Kind, n.x.Citation, n.x.Reason))
                        .Select(g => new Derivation(
                            g.Key.Kind == ProtectionKind.ArcFault ? "Arc-fault" : "Ground-fault",
                            string.Join(", ", g.Select(x => x.Key).Take(6)) + (g.Count() > 6 ? " and more" : "")
                        )
                        {
                            Because = g.Key.Reason,
                            Citation = g.Key.Citation,
                        }),
                ],
            },
        };
    }

    // A freezer or an alarm that needs no ground-fault protection itself is fed from the line side of a device that others have.
    private ImmutableHashSet<string> LineSide(
        Circuit circuit,
        Box[] boxes,
        IReadOnlyDictionary<string, ImmutableArray<ProtectionNeed>> needs
    ) =>
        [
            .. circuit.Boxes.Where(m => m.LineSide).Select(m => m.Box),
            .. boxes
                .Where(b => ProtectionPlan.KeptClear(job, b) && needs[b.Id].All(n => n.Kind != ProtectionKind.GroundFault))
                .Select(b => b.Id),
        ];

    // What was measured off the reel is known better than what was planned.
    private CableRun Measured(CableRun run, PulledRun? pulled) =>
        pulled is not { Measured: { } took } || run.First != pulled.To || run.Segments[0].Via is not null
            ? run
            : run with
            {
                Segments = run.Segments.SetItem(
                    0,
                    run.Segments[0] with
                    {
                        Way = Length.Max(Length.Zero, took - job.Preferences.PanelMakeUp - job.Preferences.BoxMakeUp),
                    }
                ),
            };

    // Devices take 10 AWG at most, and a box has only so much room: a home run is two sizes larger than the rest at most.
    private const int MostSteps = 2;

    // Thicker wire does not go under the screws of ordinary devices, so past it only a home run grows.
    private static readonly WireSize LargestToDevices = WireSize.Awg(10);

    private static readonly WireSize Twelve = WireSize.Awg(12);

    // Each piece of cable carries what is planned beyond it; the worst box counts.
    private (double Percent, Derivation Why, ImmutableDictionary<string, double> At) Drop(
        CableRun run,
        CircuitLoad load,
        WireSize size,
        WireSize homeSize
    )
    {
        if (run.Segments.Length == 0)
            return (0, new("Voltage drop", "0 percent"), ImmutableDictionary<string, double>.Empty);
        var own = run.Segments.ToDictionary(h => h.To, h => BoxLoad.Of(job, all[h.To]).Load.Value);
        var sum = own.Values.Sum();
        var scale = sum > 0 ? load.Actual.Value * load.Volts / sum : 0;
        var beyond = own.ToDictionary(o => o.Key, o => o.Value * scale);
        foreach (var segment in run.Segments.Reverse())
        {
            if (segment.From is { } from)
                beyond[from] += beyond[segment.To];
        }

        var at = new Dictionary<string, double>();
        var path = new Dictionary<string, ImmutableList<Derivation>>();
        foreach (var segment in run.Segments)
        {
            var row = Conductor.Copper(segment.From is null ? homeSize : size);
            var amps = beyond[segment.To] / load.Volts;

            // What is left in the panel and in the boxes carries current too.
            var length =
                segment.Way
                + (segment.From is null ? job.Preferences.PanelMakeUp + job.Preferences.BoxMakeUp : job.Preferences.BoxMakeUp * 2);
            var volts = Conductor.DropVolts(length, new(amps), row);
            at[segment.To] = volts + (segment.From is { } f ? at[f] : 0);
            var step = new Derivation(segment.From is null ? "Home run" : $"{segment.From} to {segment.To}", $"{volts:0.00} V")
            {
                Formula = Conductor.DropFormula(length, $"{amps:0.0#}", row, job.Units),
                Because = $"{row.Size.Told}",
            };
            path[segment.To] = (segment.From is { } g ? path[g] : []).Add(step);
        }

        var worst = at.MaxBy(a => a.Value);
        var percent = worst.Value / load.Volts * 100;
        return (
            percent,
            new("Voltage drop at the farthest load", $"{percent:0.0} percent")
            {
                Formula = $"{worst.Value:0.00} / {load.Volts} V",
                Citation = edition.Cite("wire.drop"),
                Because =
                    $"Worst at {worst.Key}, make-up counted; {edition.Number("dropPercentBranch"):0.#} percent on a branch "
                    + $"circuit is {Standing(edition.Rule("wire.drop"))}.",
                Steps = [.. path[worst.Key]],
            },
            at.ToImmutableDictionary(x => x.Key, x => x.Value / load.Volts * 100)
        );
    }

    private static string Standing(Rule rule) =>
        rule.Severity != "must" ? "a recommendation"
        : rule.Amended is null ? "a rule"
        : "a local rule";
}
