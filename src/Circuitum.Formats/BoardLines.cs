using System.Collections.Immutable;
using System.Globalization;
using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Formats;

/// <summary>The schedule of a split board line by line, the same in print, as CSV and on the screen.</summary>
public static class BoardLines
{
    /// <summary>What stands over its columns.</summary>
    /// <param name="sheet">The board.</param>
    /// <param name="units">In what its lengths are told.</param>
    public static ImmutableArray<string> Heads(BoardSheet sheet, LengthUnits units) =>
        [
            "Way",
            "Circuit",
            "Serves",
            "Points",
            "Breaker",
            "Live + neutral + earth",
            .. sheet.At.Supply.Names.Select(n => $"{n} W"),
            $"Length {LengthText.FarWord(units)}",
            "Drop %",
        ];

    /// <summary>How many cells stand before those of the lines.</summary>
    public const int BeforeLines = 6;

    /// <summary>What stands over the schedule: ways, main switch, what feeds it, and its sections with their devices.</summary>
    /// <param name="a">The analysis.</param>
    /// <param name="sheet">The board.</param>
    public static ImmutableArray<string> Over(JobAnalysis a, BoardSheet sheet)
    {
        var panel = sheet.At.Panel;
        var fed = sheet.At.Feeder is { } f
            ? $"fed from {a.PanelById(f.From)!.Panel.Name} by {f.Breaker} A, {f.Made}, {LengthText.Far(f.Cut, a.Units)}"
            : "fed from the intake";
        return
        [
            $"{sheet.Ways} ways of {sheet.At.Supply.Names.Length} lines, main switch {panel.MainBreaker} A 4-pole, {fed}.",
            .. sheet.Sections.Select((_, i) => $"Section {BoardSheet.Letter(i)}: {Behind(sheet, i)}"),
            .. Loop(a, sheet),
            $"Wires: {string.Join(", ", sheet.At.Supply.Names.Zip(a.Edition.Colours.Lines, (n, c) => $"{n} {c}"))}, neutral "
                + $"{a.Edition.Colours.Neutral}, protective {a.Edition.Colours.Protective}; conduit "
                + $"{BoardConduit.Words(a.Job.Preferences)}.",
        ];
    }

    /// <summary>How many ways a section has, and behind what device.</summary>
    /// <param name="sheet">The board.</param>
    /// <param name="index">The section, from 0.</param>
    public static string Behind(BoardSheet sheet, int index)
    {
        var section = sheet.Sections[index];
        return $"{section.Ways} way{(section.Ways == 1 ? "" : "s")} behind a residual-current device of "
            + $"{Device(sheet.At.Panel.MainBreaker)} A, {section.Milliamps} mA, 4-pole{(Feeds(sheet, index) ? ", time-delayed" : "")}.";
    }

    /// <summary>The lines of the schedule, free places among them.</summary>
    /// <param name="a">The analysis.</param>
    /// <param name="sheet">The board.</param>
    public static IEnumerable<(BoardPlace Place, ImmutableArray<string> Cells)> Of(JobAnalysis a, BoardSheet sheet) =>
        sheet.Places.Where(p => !p.GoesOn).Select(p => (p, Cells(a, sheet, p)));

    /// <summary>What stands under the schedule: watts and amperes by line, how even they are, and the demand.</summary>
    /// <param name="sheet">The board.</param>
    public static ImmutableArray<string> Under(BoardSheet sheet) =>
        [
            $"Connected: {string.Join(", ", sheet.Lines.Each.Select((w, i) => Line(sheet, i, w)))}.",
            $"The line farthest from the mean is {sheet.ApartPercent:0.0} percent away from it; no division comes under "
                + $"{sheet.LeastPercent:0.0}.",
            $"Demand after diversity {Kilowatts(sheet.Demand.Total)}; the most loaded line then carries {sheet.MainAmperes.Value:0.0} A.",
        ];

    /// <summary>A sum of loads as the intake is asked for: <c>19.48 kW</c>.</summary>
    /// <param name="load">The load.</param>
    public static string Kilowatts(VoltAmperes load) => string.Create(CultureInfo.InvariantCulture, $"{load.Value / 1000:0.00} kW");

    private static string Line(BoardSheet sheet, int line, VoltAmperes watts) =>
        $"{sheet.At.Supply.Names[line]} {watts.Value:#,0} W, {sheet.LineAmperes[line].Value:0.0} A";

    /// <summary>What the conductors of a circuit are: <c>4 + 4 + 4</c> in mm2.</summary>
    /// <param name="c">The circuit.</param>
    public static string Conductors(CircuitAnalysis c) =>
        c.Wire is null ? "none" : $"{c.Wire.Size.Number} + {c.Wire.Size.Number} + {c.Board!.Earth?.Number}";

    /// <summary>Its breaker with curve and poles: <c>32 A B, 1-pole</c>.</summary>
    /// <param name="c">The circuit.</param>
    public static string Breaker(CircuitAnalysis c) => $"{c.Breaker} A {c.Board!.Curve}, {c.Board.BreakerPoles}-pole";

    /// <summary>What it is called beside its label: ring, radial, or nothing.</summary>
    /// <param name="c">The circuit.</param>
    public static string Form(CircuitAnalysis c) =>
        c.Board is not { Use: Core.Codes.BoardUse.Sockets } board ? ""
        : board.Ring ? "ring"
        : "radial";

    /// <summary>The key of the derivation under a cell of the schedule; empty where there is none.</summary>
    /// <param name="sheet">The board.</param>
    /// <param name="place">The line.</param>
    /// <param name="column">The column, from 0.</param>
    public static string Why(BoardSheet sheet, BoardPlace place, int column)
    {
        var after = column - BeforeLines - sheet.At.Supply.Names.Length;
        var what =
            column is 4 or 5 ? "wire"
            : column < BeforeLines ? ""
            : after < 0 ? "load"
            : after == 0 ? "run"
            : "drop";
        return place.Row.Feeder is { } f && column >= BeforeLines - 2 ? $"feeder.{f.To}"
            : place.Circuit is { } c && what.Length > 0 ? $"circuit.{c.Number}.{what}"
            : "";
    }

    private static string[] Loop(JobAnalysis a, BoardSheet sheet) =>
        BoardLoop.At(a, sheet.At) is { } ohm
            ?
            [
                $"Earth fault loop at it {ohm:0.00} ohm, "
                    + $"{(sheet.At.Panel.LoopOhm is null ? "worked out over the sub-main" : "as told or measured")}.",
            ]
            : [];

    private static ImmutableArray<string> Cells(JobAnalysis a, BoardSheet sheet, BoardPlace place)
    {
        var lines = Enumerable.Range(0, sheet.At.Supply.Names.Length).Select(i => Watts(sheet, place, i));
        if (place.Row.Feeder is { } feeder)
            return
            [
                place.Name,
                "",
                $"Sub-main to {a.PanelById(feeder.To)!.Panel.Name}",
                "",
                $"{feeder.Breaker} A C, 4-pole",
                feeder.Made,
                .. lines,
                LengthText.FarNumber(feeder.Cut, a.Units, "0.0"),
                Percent(feeder.DropPercent),
            ];
        return place.Circuit is not { } c
            ? [place.Name, "", "Spare", "", "", "", .. lines, "", ""]
            :
            [
                place.Name,
                $"{c.Number}",
                Form(c) is { Length: > 0 } form ? $"{c.Label} ({form})" : c.Label,
                $"{(c.Board!.Points > 0 ? c.Board.Points : c.Boxes.Count(b => b.Kind == BoxKind.Light))}",
                Breaker(c),
                Conductors(c),
                .. lines,
                LengthText.FarNumber(c.Run.Cut, a.Units, "0.0"),
                Percent(c.DropPercent),
            ];
    }

    // A breaker on three lines carries its part on each of them.
    private static string Watts(BoardSheet sheet, BoardPlace place, int line)
    {
        var watts = sheet
            .Places.Where(p => p.Way == place.Way && p.Section == place.Section && Same(p, place))
            .Sum(p => p.Row.Load.Each[line].Value);
        return watts > 0 ? watts.ToString("#,0", CultureInfo.InvariantCulture) : "";
    }

    private static bool Same(BoardPlace one, BoardPlace other) =>
        other.Row.Free ? one == other
        : other.Circuit is { } c ? one.Circuit == c
        : one.Row.Feeder == other.Row.Feeder && one.Circuit is null;

    private static bool Feeds(BoardSheet sheet, int section) => sheet.Places.Any(p => p.Section == section && p.Row.Feeder is not null);

    private static readonly int[] Devices = [25, 40, 63, 80, 100, 125];

    // A device carries what the main switch lets through.
    private static int Device(int main) => Devices.FirstOrDefault(d => d >= main, Devices[^1]);

    private static string Percent(double drop) => drop.ToString("0.0", CultureInfo.InvariantCulture);
}
