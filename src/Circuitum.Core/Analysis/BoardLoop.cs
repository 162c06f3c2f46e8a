using Circuitum.Core.Codes;
using Circuitum.Core.Explain;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Analysis;

/// <summary>
/// The earth fault loop of a circuit of a split board, from what is told or measured of the supply on: what a tester should read, and what
/// the breaker needs to open in time (411.4).
/// </summary>
/// <param name="Ohm">The loop at the farthest point, conductors as warm as they run.</param>
/// <param name="MostOhm">The greatest at which the breaker opens in time.</param>
/// <param name="Derivation">How it came about.</param>
public sealed record BoardLoop(double Ohm, double MostOhm, Derivation Derivation)
{
    /// <summary>Whether the breaker by itself opens in time.</summary>
    public bool Opens => Ohm <= MostOhm + 1e-9;

    /// <summary>The loop at a board: as it was told, else that of the board which feeds it and the sub-main; none where neither is
    /// known.</summary>
    /// <param name="a">The analysis.</param>
    /// <param name="at">The board.</param>
    public static double? At(JobAnalysis a, PanelAnalysis at) =>
        at.Panel.LoopOhm
        ?? (
            at.Feeder is { Wire: { } wire } feeder && a.PanelById(feeder.From) is { } from && At(a, from) is { } before
                ? before + Ohms(wire.Size, feeder.Ground, feeder.Cut)
                : null
        );

    /// <summary>The loop of a circuit; none where the supply's is not known, or nothing could be sized.</summary>
    /// <param name="a">The analysis.</param>
    /// <param name="c">The circuit.</param>
    public static BoardLoop? Of(JobAnalysis a, CircuitAnalysis c)
    {
        if (
            c.Board is not { Earth: { } earth, MostLoopOhm: > 0 } board
            || c.Wire is not { } wire
            || c.Run.Segments.Length == 0
            || a.PanelById(c.Panel) is not { } panel
            || At(a, panel) is not { } before
        )
            return null;
        var (way, at) = Farthest(c, board.Ring);
        var shares = board.Ring ? 4 : 1;
        var own = Ohms(wire.Size, earth, way) / shares;
        var metres = way.InFeet * LengthText.MetresInFoot;
        return new(
            before + own,
            board.MostLoopOhm,
            new("Earth fault loop", $"{before + own:0.00} ohm")
            {
                Formula =
                    $"{before:0.00} ohm at {panel.Panel.Name} + ({MilliohmMetre(wire.Size):0.##} + {MilliohmMetre(earth):0.##}) mohm/m x "
                    + $"{metres:0.0} m{(board.Ring ? $" / {shares}" : "")} / 1000 = {before:0.00} + {own:0.00}",
                Because =
                    $"To {at}, {(board.Ring ? "a quarter of the loop" : "the farthest point")}, conductors as warm as they run; "
                    + $"{board.MostLoopOhm:0.00} ohm at most opens its breaker in time. A tester reads less on cold wire.",
                Citation = a.Edition.Cite("board.loop"),
            }
        );
    }

    // Half the drop of an ampere over there and back is that over one conductor.
    private static double MilliohmMetre(WireSize size) => CodeLibrary.Families.SplitBoard.Cable(size).Mv(threeLines: false) / 2;

    private static double Ohms(WireSize line, WireSize earth, Length way) =>
        (MilliohmMetre(line) + MilliohmMetre(earth)) * way.InFeet * LengthText.MetresInFoot / 1000;

    private static (Length Way, string At) Farthest(CircuitAnalysis c, bool ring)
    {
        if (ring)
            return (c.Run.Cables.Aggregate(Length.Zero, (sum, s) => sum + s.Way), "the middle of the ring");
        var length = new Dictionary<string, Length>();
        foreach (var s in c.Run.Segments)
            length[s.To] = s.Way + (s.From is { } from ? length[from] : Length.Zero);
        var (box, way) = length.MaxBy(l => l.Value);
        return (way, box);
    }
}
