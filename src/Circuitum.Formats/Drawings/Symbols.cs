using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;

namespace Circuitum.Formats.Drawings;

/// <summary>The plan symbols of boxes, each defined once for all drawings.</summary>
internal static class Symbols
{
    /// <summary>Height of letters that are a symbol, in pixels.</summary>
    internal const double Letter = 11.5;

    private const double R = 5.6;

    /// <summary>A symbol around its middle.</summary>
    /// <param name="Shapes">What it is made of, in pixels.</param>
    /// <param name="Wide">How wide it is.</param>
    /// <param name="Tall">How tall.</param>
    internal sealed record Symbol(ImmutableArray<Shape> Shapes, double Wide, double Tall);

    /// <summary>The symbol of a kind of box, before anything is known of the box.</summary>
    internal static ImmutableArray<Shape> Of(BoxKind kind) =>
        kind switch
        {
            BoxKind.Switch => Letters("S").Shapes,
            BoxKind.Receptacle => Receptacle(null).Shapes,
            BoxKind.SmokeAlarm => Alarm.Shapes,
            _ => Lamp.Shapes,
        };

    private static Symbol Lamp => Made(18, Circle(R), Line([Step.From(-9, 0), Step.To(9, 0), Step.From(0, -9), Step.To(0, 9)]));

    private static Symbol Alarm => Made(2 * R, Circle(R), Circle(3.6), Solid(Step.Circle(0, 0, 1.2)));

    /// <summary>The symbol of a box.</summary>
    internal static Symbol Of(JobAnalysis a, Box box) =>
        box.Kind switch
        {
            BoxKind.Switch => Switch(a, box),
            BoxKind.Receptacle => Receptacle(box.Style),
            BoxKind.Light when box.Fixture == LightStyle.Recessed => Made(2 * R, Circle(R), Circle(2.4)),
            BoxKind.Light when box.Fixture == LightStyle.Fan => Made(
                2 * R,
                Circle(R),
                Line(Enumerable.Range(0, 3).SelectMany(i => Spoke(90 + (120 * i), 0, R)))
            ),
            BoxKind.Light => Lamp,
            BoxKind.SmokeAlarm when box.CarbonMonoxide => Made(2 * R, Circle(R), Solid(Step.Circle(0, 0, 3))),
            BoxKind.SmokeAlarm => Alarm,
            BoxKind.Disconnect => Made(12, Square(5.5), Line([Step.From(-5.5, 5.5), Step.To(5.5, -5.5)])),
            BoxKind.Provision => Made(12, Square(5.5) with { Dashes = "2.5 2" }),
            _ => Made(2 * R, Circle(R), Triangle(Poles(a, box) == Connection.TwoLines)),
        };

    private static Connection Poles(JobAnalysis a, Box box) =>
        a.Job.ApplianceById(box.Appliance) is { } appliance
            ? a.Edition.Supply.At(ApplianceFacts.Of(a.Job, appliance).Volts)
            : Connection.OneLine;

    // One letter for each switch of the box as long as they are few, with the ways of each: S, S3, SS3.
    private static Symbol Switch(JobAnalysis a, Box box)
    {
        var ways = a.Specs[box.Id].Ways.Select((n, i) => (n == 1 ? "S" : $"S{n}") + Control(box.Gangs[i].Control)).ToList();
        var text = ways.Count switch
        {
            0 => "S",
            1 or 2 => string.Concat(ways),
            _ => $"{ways.Count}S",
        };
        return Letters(text);
    }

    private static string Control(SwitchControl control) =>
        control switch
        {
            SwitchControl.Toggle => "",
            SwitchControl.Dimmer => "D",
            SwitchControl.FanSpeed => "F",
            SwitchControl.Timer => "T",
            SwitchControl.Humidity => "H",
            SwitchControl.Cord => "C",
            _ => "M",
        };

    private static Symbol Letters(string text)
    {
        var wide = TextWidths.Of(text, Letter, bold: true);
        return new(
            [new TextShape(Role.MarkText, 0, TextWidths.Line(Letter), text, Letter) { Bold = true }],
            wide + 1,
            Letter * (TextWidths.Above + TextWidths.Below)
        );
    }

    // A bar for each receptacle of it, as the trade draws them.
    private static Symbol Receptacle(ReceptacleStyle? style)
    {
        double[] bars = style switch
        {
            ReceptacleStyle.Single => [0],
            ReceptacleStyle.Quad => [-3.3, -1.1, 1.1, 3.3],
            _ => [-1.8, 1.8],
        };
        return new([Circle(R), Line(bars.SelectMany(b => new[] { Step.From(b, -8), Step.To(b, 8) }))], 2 * R, 16);
    }

    private static Symbol Made(double size, params Shape[] shapes) => new([.. shapes], size, size);

    private static PathShape Circle(double r) => new(Role.Symbol, [.. Step.Circle(0, 0, r)]) { State = "box" };

    private static PathShape Square(double half) =>
        new(Role.Symbol, [.. Step.Rectangle(Area.Around(0, 0, 2 * half, 2 * half))]) { State = "box" };

    private static PathShape Line(IEnumerable<Step> steps) => new(Role.Symbol, [.. steps]) { State = "line" };

    private static PathShape Solid(IEnumerable<Step> steps) => new(Role.Symbol, [.. steps]) { State = "solid" };

    private static PathShape Triangle(bool solid) =>
        new(Role.Symbol, [.. Step.Ring([(0, -3.8), (3.4, 2.2), (-3.4, 2.2)])]) { State = solid ? "solid" : "box" };

    private static Step[] Spoke(double degrees, double from, double to)
    {
        var (sin, cos) = Math.SinCos(degrees * Math.PI / 180);
        return [Step.From(from * cos, -from * sin), Step.To(to * cos, -to * sin)];
    }
}
