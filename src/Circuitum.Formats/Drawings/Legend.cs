using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;

namespace Circuitum.Formats.Drawings;

/// <summary>What the symbols of a plan mean: those that stand on it, no others.</summary>
public static class Legend
{
    private const double Size = 11;
    private const double Row = 20;
    private const double SymbolRoom = 30;
    private const double Apart = 18;

    /// <summary>The legend of boxes as a drawing whose unit is a pixel.</summary>
    /// <param name="a">The analysis.</param>
    /// <param name="boxes">The boxes that stand on the plan.</param>
    /// <param name="wide">How wide it may be, in pixels.</param>
    public static Drawing Of(JobAnalysis a, IEnumerable<Box> boxes, double wide)
    {
        var shapes = ImmutableArray.CreateBuilder<Shape>();
        var (x, y) = (0.0, Row / 2);
        var entries = boxes
            .GroupBy(b => Word(a, b))
            .OrderBy(g => g.Min(b => b.Kind))
            .ThenBy(g => g.Key, StringComparer.Ordinal)
            .Select(g => (Text: g.Key, Symbols.Of(a, g.MinBy(b => a.Specs[b.Id].Ways.Length)!).Shapes))
            .ToList();
        foreach (var (text, symbol) in entries)
        {
            var room = SymbolRoom + TextWidths.Of(text, Size) + Apart;
            if (x > 0 && x + room > wide)
                (x, y) = (0, y + Row);
            shapes.Add(new AnchorShape(Role.Mark, x + (SymbolRoom / 2), y, symbol));
            shapes.Add(
                new AnchorShape(
                    Role.RoomName,
                    x + SymbolRoom + 2,
                    y,
                    [new TextShape(Role.PanelName, 0, TextWidths.Line(Size), text, Size) { Side = TextSide.Start }]
                )
            );
            x += room;
        }

        return new("What the symbols mean", new(0, 0, wide, y + (Row / 2)), 1, [new("legend", shapes.ToImmutable())]) { Name = "legend" };
    }

    private static string Word(JobAnalysis a, Box box) =>
        a.Edition.Word(Kind(a, box)) + (box.Kind == BoxKind.Appliance ? $", {Volts(a, box)} V" : "");

    private static string Kind(JobAnalysis a, Box box) =>
        box.Kind switch
        {
            BoxKind.Switch when box.Gangs.FirstOrDefault(g => g.Control != SwitchControl.Toggle) is { } gang => "switch with "
                + ControlWord(gang.Control),
            BoxKind.Switch when a.Specs[box.Id].Ways.Any(w => w == 4) => "4-way switch",
            BoxKind.Switch when a.Specs[box.Id].Ways.Any(w => w == 3) => "3-way switch",
            BoxKind.Switch => "switch",
            BoxKind.Receptacle when box.Style == ReceptacleStyle.Single => "single receptacle",
            BoxKind.Receptacle when box.Style == ReceptacleStyle.Quad => "quad receptacle",
            BoxKind.Receptacle => "duplex receptacle",
            BoxKind.Light when box.Fixture == LightStyle.Recessed => "recessed light",
            BoxKind.Light when box.Fixture == LightStyle.Fan => "fan",
            BoxKind.Light => "light",
            BoxKind.SmokeAlarm when box.CarbonMonoxide => "smoke and CO alarm",
            BoxKind.SmokeAlarm => "smoke alarm",
            BoxKind.Disconnect => "disconnect or switch of equipment",
            BoxKind.Provision => "provision",
            _ => "outlet of an appliance",
        };

    private static string ControlWord(SwitchControl control) =>
        control switch
        {
            SwitchControl.Dimmer => "dimmer (D)",
            SwitchControl.FanSpeed => "fan control (F)",
            SwitchControl.Timer => "timer (T)",
            SwitchControl.Humidity => "humidity control (H)",
            SwitchControl.Cord => "cord from the ceiling (C)",
            _ => "motion switch (M)",
        };

    private static int Volts(JobAnalysis a, Box box) =>
        a.Job.ApplianceById(box.Appliance) is { } x && ApplianceFacts.Of(a.Job, x).Connection != Connection.OneLine
            ? a.Edition.Supply.Between
            : a.Edition.Supply.ToNeutral;
}
