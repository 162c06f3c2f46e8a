using System.Collections.Concurrent;
using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;

namespace Circuitum.Formats.Drawings;

/// <summary>The symbols of what can be put on a plan, small, for the hand that chooses.</summary>
public static class ToolSymbols
{
    private const double Side = 28;
    private const double Middle = Side / 2;
    private const double LetterSize = 11;

    private static readonly ConcurrentDictionary<string, string> Drawn = new();

    /// <summary>The symbol of a tool as SVG.</summary>
    /// <param name="word">Its word, such as <c>opening:window</c>.</param>
    public static string Svg(string word) => Drawn.GetOrAdd(word, w => SvgWriter.Text(Of(w)));

    /// <summary>The symbol of a tool.</summary>
    /// <param name="word">Its word.</param>
    public static Drawing Of(string word)
    {
        var (kind, name) = word.Split(':', 2) is [var k, var n] ? (k, n) : (word, "");
        ImmutableArray<Shape> shapes = kind switch
        {
            "" => [Line([.. Step.Ring([(9, 5), (20, 15), (14, 16), (11, 22)])])],
            "room" => [Line([.. Step.Rectangle(new(5, 7, 23, 21))], 2.4)],
            "opening" => Opening(name),
            "fixture" => Fixture(name),
            "counter" => [Line([.. Step.Rectangle(new(3, 10, 25, 19))])],
            "island" => [Line([.. Step.Rectangle(new(5, 9, 23, 20))]), Line([Step.From(5, 9), Step.To(23, 20)], 0.8)],
            "panel" or "sub-panel" => [new PathShape(Role.Solid, [.. Step.Rectangle(new(11, 5, 17, 23))])],
            "box" => Box(name),
            "lasso" => [Line([.. Step.Circle(14, 13, 9)]) with { Dashes = "3 2.5" }],
            "corners" => [Line([Step.From(9, 7), Step.To(20, 9), Step.To(24, 21), Step.To(4, 19), Step.To(9, 7)])],
            "scale" => [Line([Step.From(4, 14), Step.To(24, 14), Step.From(4, 10), Step.To(4, 18), Step.From(24, 10), Step.To(24, 18)])],
            "under" => [Line([.. Step.Rectangle(new(5, 6, 23, 22))]), Line([Step.From(5, 19), Step.To(12, 12), Step.To(23, 22)])],
            "appliance" => Appliance(name),
            _ => Lettered(Initials(name), Role.Wish),
        };
        return new("", new(0, 0, Side, Side), 1, [new("", shapes)]) { Name = "drawn tool", Data = [("aria-hidden", "true")] };
    }

    private static PathShape Line(ImmutableArray<Step> steps, double breadth = 1.4) => new(Role.Ink, steps) { Breadth = breadth };

    // A wall with what is in it.
    private static ImmutableArray<Shape> Opening(string kind)
    {
        var wall = Line([Step.From(2, 19), Step.To(6, 19), Step.From(22, 19), Step.To(26, 19)], 4);
        return kind switch
        {
            "window" => [wall, Line([Step.From(6, 17), Step.To(22, 17), Step.From(6, 21), Step.To(22, 21)])],
            "hinged" => [wall, Line([Step.From(6, 19), Step.To(6, 4), new(StepKind.Arc, 21, 19, 15, 1)])],
            "pocket" => [wall, Line([Step.From(6, 19), Step.To(15, 19)], 2)],
            "sliding" => [wall, Line([Step.From(6, 17), Step.To(15, 17), Step.From(13, 21), Step.To(22, 21)], 2)],
            "garage-door" =>
            [
                wall,
                Line([Step.From(6, 19), Step.To(22, 19)]) with
                {
                    Dashes = "3 2",
                },
                Line([.. Step.Rectangle(new(6, 5, 22, 15))]),
            ],
            _ => [wall],
        };
    }

    private static ImmutableArray<Shape> Fixture(string kind) =>
        kind switch
        {
            "sink" =>
            [
                Line([.. Step.Rectangle(new(4, 8, 24, 21))]),
                Line([.. Step.Rectangle(new(7, 11, 13, 19))]),
                Line([.. Step.Rectangle(new(15, 11, 21, 19))]),
            ],
            "basin" => [Line([.. Step.Rectangle(new(5, 7, 23, 21))]), Line([.. Step.Circle(14, 14, 5)])],
            "tub" => [Line([.. Step.Rectangle(new(3, 8, 25, 20))]), Line([.. Step.Rectangle(new(6, 11, 22, 17))])],
            "shower" =>
            [
                Line([.. Step.Rectangle(new(5, 5, 23, 23))]),
                Line([Step.From(5, 5), Step.To(23, 23), Step.From(23, 5), Step.To(5, 23)], 0.8),
            ],
            "toilet" => [Line([.. Step.Rectangle(new(8, 4, 20, 9))]), Line([.. Step.Circle(14, 16, 6)])],
            "fireplace" => [Line([.. Step.Ring([(4, 20), (4, 9), (24, 9), (24, 20), (19, 20), (17, 14), (11, 14), (9, 20)])])],
            "meter" => [Line([.. Step.Circle(14, 14, 9)]), .. Lettered("M", Role.Ink)[1..]],
            "post" => [new PathShape(Role.Solid, [.. Step.Rectangle(new(10, 10, 18, 18))])],
            "beam" => [Line([Step.From(2, 11), Step.To(26, 11), Step.From(2, 17), Step.To(26, 17)]) with { Dashes = "5 2" }],
            "duct" => [Line([.. Step.Rectangle(new(6, 8, 22, 20))]) with { Dashes = "5 2" }, Line([Step.From(6, 8), Step.To(22, 20)], 0.8)],
            _ => [Line([.. Step.Rectangle(new(4, 9, 24, 19))]), Line([Step.From(14, 9), Step.To(14, 19)])],
        };

    private static ImmutableArray<Shape> Box(string kind) =>
        [new AnchorShape(Role.Ink, Middle, Middle, Symbols.Of(Enum.Parse<BoxKind>(kind)))];

    // A square with its letters, as appliances are lettered on plans; an outlet beside it tells that it is wired.
    private static ImmutableArray<Shape> Appliance(string id) => Lettered(Initials(CodeLibrary.Appliances[id].Name), Role.Ink);

    private static ImmutableArray<Shape> Lettered(string letters, Role role) =>
        [
            new PathShape(role, [.. Step.Rectangle(new(3, 5, 25, 23))]) { Breadth = 1.2, Dashes = role == Role.Wish ? "3 2" : "" },
            new TextShape(Role.Words, Middle, Middle + TextWidths.Line(LetterSize), letters, LetterSize)
            {
                Side = TextSide.Middle,
                Bold = true,
            },
        ];

    private static string Initials(string name)
    {
        var words = name.Split([' ', '-'], StringSplitOptions.RemoveEmptyEntries).Where(w => w.Length > 2).Take(3).ToList();
        return words.Count > 1
            ? string.Concat(words.Select(w => char.ToUpperInvariant(w[0])))
            : name[..Math.Min(2, name.Length)].ToUpperInvariant();
    }
}
