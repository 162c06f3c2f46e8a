using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Explain;
using Circuitum.Core.Jobs;
using Circuitum.Core.Loads;
using Circuitum.Core.Measure;
using Circuitum.Core.Routing;
using Circuitum.Core.Sizing;

namespace Circuitum.Core.Analysis;

// Circuits of split boards.
internal sealed partial class CircuitDeriver
{
    private CircuitAnalysis OnBoard(Circuit circuit, string label, BoardTables board)
    {
        Box[] boxes = [.. circuit.Boxes.Select(m => all[m.Box])];
        var load = CircuitLoad.Of(job, edition, circuit.Purpose, boxes);
        var preferences = PreferenceFields.Of(job, circuit);
        var (use, three) = (BoardUses.OfCircuit(job, boxes), load.Connection == Connection.ThreeLines);
        var ring = circuit.Ring && use == BoardUse.Sockets;
        var c = new BoardSizingCase
        {
            Use = use,
            Ring = ring,
            LargeSocket = boxes.Any(b => b.Rating is > LargestThirteen),
            ThreeLines = three,
            Watts = load.Connected.Value,
            Volts = load.Volts,
            Held = circuit.Breaker,
            AmbientC = Math.Max(preferences.AmbientC, edition.Number("ambientLeastC").Whole),
            Together = preferences.CablesTogether,
        };
        string[] ids = [.. boxes.Select(b => b.Id)];
        var panel = PanelChoice.Of(house, circuit, ids, load, runs);
        var run = ring
            ? RingTour.Of(runs, ids, panel, preferences)
            : runs.Plan(ids, circuit.First, preferences.SwitchLoops, circuit.Run, panel);
        run = Cutoffs.Into(run, job, runs);
        var wire = BoardSizing.Choose(c, edition);
        var (limit, drop) = (DropLimit(use), Dropped(c, run, load, wire));
        for (
            var steps = 0;
            drop.Percent > limit && steps < MostSteps && wire is not null && BoardSizing.Larger(wire.Size) is { } more;
            steps++
        )
        {
            wire = BoardSizing.Choose(c with { Larger = more }, edition);
            drop = Dropped(c, run, load, wire);
        }

        var size = wire?.Size ?? CodeLibrary.Families.SplitBoard.Cables[^1].Size;
        var bath = board.BathroomsApart && boxes.Any(b => house[b.Room].Room.Kind == RoomKind.Bathroom);
        var milliamps = bath ? board.Residual.Values.Min() : board.Residual[use];
        var curve = board.Curves.GetValueOrDefault(use, "B");
        var because = $"{BoardCircuit.NameOf(use)} {(bath ? "of a bathroom belong" : "belong")} behind {milliamps} mA.";
        return new()
        {
            Circuit = circuit,
            Label = label,
            Boxes = [.. run.Segments.Select(h => all[h.To]).Where(b => b.Serves is null)],
            Load = load,
            Expected = ExpectedLoad.Of(job, circuit.Purpose, load, boxes),
            Wire = wire,
            HomeRunSize = size,
            Panel = panel,
            Cable = new(size, three ? 4 : 2),
            BranchCable = new(size, three ? 4 : 2),
            Run = run,
            DropPercent = drop.Percent,
            DropAt = drop.At,
            Protection = new(false, false, [], because),
            Needs = boxes.ToImmutableDictionary(b => b.Id, _ => ImmutableArray<Protection.ProtectionNeed>.Empty),
            WireDerivation = wire?.Derivation ?? new("Breaker and cable", "none") { Because = "No cable of the table carries this." },
            DropDerivation = drop.Why,
            RunWhy = () =>
                new(ring ? "Loop of the ring" : "Cable of the circuit", LengthText.Far(run.Cut, job.Units))
                {
                    Formula = $"{run.Cables.Count()} pieces",
                    Because = ring
                        ? "From the board through each point and back, as short as changes of two legs make it."
                        : $"In conduit {BoardConduit.Words(job.Preferences)}; each further point hangs on the nearest one that has room.",
                    Steps = [.. run.Cables.Select(runs.Explain)],
                },
            ProtectionDerivation = new("Residual-current section", $"{milliamps} mA")
            {
                Because = because,
                Citation = edition.Cite("board.residual"),
            },
            Board = new(
                use,
                curve,
                milliamps,
                three,
                wire?.Ground,
                BoardSizing.Need(c, wire?.Breaker ?? 0, edition),
                boxes.Sum(b => BoardUses.Points(edition, b))
            )
            {
                Ring = ring,
                Closing = ring ? run.Beside.LastOrDefault() : null,
                Longest = drop.Longest,
                MostLoopOhm = wire is null ? 0 : board.LoopOhmAmperes[curve] / wire.Breaker,
                DropLimit = limit,
            },
        };
    }

    // A plug of 13 A is the ordinary one.
    private const int LargestThirteen = 13;

    private double DropLimit(BoardUse use) =>
        edition.Number(use is BoardUse.Lighting or BoardUse.GardenLighting ? "dropPercentLights" : "dropPercentOther");

    // A ring drops by a quarter of its loop, a radial of sockets by the breaker's current to its end, all else by what hangs beyond.
    private (double Percent, Length Longest, ImmutableDictionary<string, double> At, Derivation Why) Dropped(
        BoardSizingCase c,
        CableRun run,
        CircuitLoad load,
        ConductorChoice? wire
    )
    {
        if (run.Segments.Length == 0 || wire is null)
            return (0, Length.Zero, ImmutableDictionary<string, double>.Empty, new("Voltage drop", "0 percent"));
        var mv = CodeLibrary.Families.SplitBoard.Cable(wire.Size).Mv(c.ThreeLines);
        double Volts(double amps, Length way) => mv * amps * way.InFeet * LengthText.MetresInFoot / 1000;
        var at = new Dictionary<string, double>();
        var length = new Dictionary<string, Length>();
        if (c.Ring)
        {
            var loop = run.Cables.Aggregate(Length.Zero, (sum, s) => sum + s.Way);
            var volts = BoardSizing.DropPercent(c, wire, loop.InFeet * LengthText.MetresInFoot) * load.Volts / 100;
            foreach (var segment in run.Segments)
                at[segment.To] = volts / load.Volts * 100;
            return Told(
                volts,
                loop,
                $"{mv:0.##} mV x {wire.Breaker} A x {Metres(loop)} m / 4 / 1000 = {volts:0.00} V, a quarter of the loop"
            );
        }

        var beyond = run.Segments.ToDictionary(h => h.To, h => BoxLoad.Of(job, all[h.To]).Load.Value);
        foreach (var segment in run.Segments.Reverse())
        {
            if (segment.From is { } from)
                beyond[from] += beyond[segment.To];
        }

        var per = c.ThreeLines ? Math.Sqrt(3) * load.Volts : load.Volts;
        foreach (var segment in run.Segments)
        {
            var amps = c.Use == BoardUse.Sockets ? wire.Breaker : beyond[segment.To] / per;
            at[segment.To] = Volts(amps, segment.Way) + (segment.From is { } f ? at[f] : 0);
            length[segment.To] = segment.Way + (segment.From is { } g ? length[g] : Length.Zero);
        }

        var worst = at.MaxBy(a => a.Value);
        foreach (var box in at.Keys.ToList())
            at[box] = at[box] / load.Volts * 100;
        var most = c.Use == BoardUse.Sockets ? $"{wire.Breaker} A, the breaker's" : $"{beyond[run.First!] / per:0.0#} A at the board";
        return Told(
            worst.Value,
            length[worst.Key],
            $"{mv:0.##} mV for an ampere and a metre, {Metres(length[worst.Key])} m to {worst.Key}, {most}: {worst.Value:0.00} V"
        );

        (double, Length, ImmutableDictionary<string, double>, Derivation) Told(double volts, Length longest, string formula) =>
            (
                volts / load.Volts * 100,
                longest,
                at.ToImmutableDictionary(),
                new("Voltage drop at the farthest point", $"{volts / load.Volts * 100:0.0} percent")
                {
                    Formula = formula,
                    Citation = edition.Cite("wire.drop"),
                    Because = $"{DropLimit(c.Use):0.#} percent at most, of {load.Volts} V.",
                }
            );
    }

    private static string Metres(Length way) => LengthText.FarNumber(way, LengthUnits.Metric);
}
