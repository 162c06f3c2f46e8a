using Circuitum.Core.Codes;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Sizing;

/// <summary>
/// Breaker and cable of a circuit of a split board: the breaker by what the circuit is for and by its design current, then the smallest
/// cable whose rating after its factors is no less (433.1). A ring's legs share the current.
/// </summary>
public static class BoardSizing
{
    /// <summary>The breaker and the cable, or none when no breaker or no cable of the tables does.</summary>
    /// <param name="c">The case.</param>
    /// <param name="edition">An edition of split boards.</param>
    public static ConductorChoice? Choose(BoardSizingCase c, CodeEdition edition)
    {
        var tables = CodeLibrary.Families.SplitBoard;
        var breaker = c.Held ?? Breaker(c, edition);
        var (ambient, group) = (tables.AmbientFactor(c.AmbientC), tables.GroupFactor(c.Together));
        if (breaker is not { } rating || ambient * group <= 0)
            return null;
        var need = Need(c, rating, edition);
        var least = WireSize.Section(LeastWire(c.Use, edition));
        if (c.Larger is { } larger && larger > least)
            least = larger;
        if (Cable(need, c.ThreeLines, ambient * group, least) is not { } cable)
            return null;
        var after = cable.Rating(c.ThreeLines) * ambient * group;
        var design = DesignCurrent(c, rating, edition);
        return new(
            cable.Size,
            new(after),
            rating,
            Protective(cable.Size, edition),
            cable.Row(c.ThreeLines),
            new("Breaker and cable", $"{cable.Size} on {rating} A")
            {
                Citation = edition.Cite("wire.size"),
                Because =
                    c.Held is not null ? $"{rating} A is a person's."
                    : c.Ring
                        ? $"Both legs of a ring carry its current: each {need:0.0#} A, "
                            + (need > edition.Number("ringLegLeastA") ? "its share of the breaker." : "the least of a leg.")
                    : "Design current, breaker, rating after factors: none less than the one before.",
                Steps =
                [
                    new("Design current", $"{design:0.0#} A") { Formula = DesignFormula(c, rating, edition) },
                    new("Breaker", $"{rating} A") { Because = Why(c.Use) },
                    new(c.Ring ? "Rating of a leg after factors" : "Rating after factors", $"{after:0.0#} A")
                    {
                        Formula = $"{cable.Rating(c.ThreeLines):0.#} x {ambient:0.00} x {group:0.00}, {need:0.0#} A needed",
                        Citation = $"{edition.Cite("wire.ambient")}, {edition.Cite("wire.count")}",
                        Because = $"{cable.Size} in conduit at {c.AmbientC} C, {c.Together} circuit{(c.Together == 1 ? "" : "s")} in it.",
                    },
                    new("Protective conductor", $"{Protective(cable.Size, edition)}") { Citation = edition.Cite("wire.ground") },
                ],
            }
        );
    }

    /// <summary>The smallest cable that carries so much after its factors, or none.</summary>
    /// <param name="amperes">What it must carry.</param>
    /// <param name="threeLines">On three lines.</param>
    /// <param name="factor">All factors on its rating.</param>
    /// <param name="least">The smallest that is allowed; none takes any.</param>
    public static MetricCable? Cable(double amperes, bool threeLines, double factor, WireSize? least = null) =>
        CodeLibrary.Families.SplitBoard.Cables.FirstOrDefault(x => !(x.Size < least) && x.Rating(threeLines) * factor >= amperes - 1e-6);

    /// <summary>
    /// The drop in percent at the end of a run that carries its current all the way: a ring by a quarter of its loop, sockets by the
    /// breaker's current, all else by the load's.
    /// </summary>
    /// <param name="c">The case.</param>
    /// <param name="choice">Its breaker and cable.</param>
    /// <param name="metres">One way, or the whole loop of a ring.</param>
    public static double DropPercent(BoardSizingCase c, ConductorChoice choice, double metres) =>
        CodeLibrary.Families.SplitBoard.Cable(choice.Size).Mv(c.ThreeLines)
        * (c.Use == BoardUse.Sockets ? choice.Breaker : c.Amperes)
        * (c.Ring ? metres / 4 : metres)
        / 1000
        / c.Volts
        * 100;

    /// <summary>The protective conductor of a line's section (543.1).</summary>
    public static WireSize Protective(WireSize line, CodeEdition edition) =>
        edition.Board!.Protective.TryGetValue(line.Number, out var smaller) ? WireSize.Parse($"{smaller} mm2") : line;

    /// <summary>The next larger section of the table, or none.</summary>
    public static WireSize? Larger(WireSize size)
    {
        var sizes = CodeLibrary.Families.SplitBoard.Cables.Select(c => c.Size).ToList();
        var at = sizes.IndexOf(size);
        return at >= 0 && at + 1 < sizes.Count ? sizes[at + 1] : null;
    }

    /// <summary>What each conductor must carry after its factors, in amperes: the breaker's rating, or a leg's share of a ring.</summary>
    public static double Need(BoardSizingCase c, int breaker, CodeEdition edition) =>
        c.Ring ? Math.Max(edition.Number("ringLegLeastA"), edition.Number("ringLegShare") * breaker) : breaker;

    /// <summary>The current that a circuit is designed for, in amperes.</summary>
    /// <param name="c">The case.</param>
    /// <param name="breaker">Its breaker, for which a circuit of sockets is designed.</param>
    /// <param name="edition">The edition.</param>
    public static double DesignCurrent(BoardSizingCase c, int breaker, CodeEdition edition)
    {
        if (c.Use == BoardUse.Sockets)
            return breaker;
        if (c.Use != BoardUse.Cooking)
            return c.Amperes;
        var first = edition.Number("cookerFirstA");
        return c.Amperes <= first ? c.Amperes : first + (edition.Number("cookerRestShare") * (c.Amperes - first));
    }

    private static string DesignFormula(BoardSizingCase c, int breaker, CodeEdition edition) =>
        c.Use == BoardUse.Sockets ? $"the breaker's {breaker} A, for what may be plugged in"
        : c.Use == BoardUse.Cooking && c.Amperes > edition.Number("cookerFirstA")
            ? $"{edition.Number("cookerFirstA")} + {edition.Number("cookerRestShare"):0.##} x ({c.Amperes:0.0#} A - "
                + $"{edition.Number("cookerFirstA")})"
        : $"{c.Watts:#,0} W / {(c.ThreeLines ? "(1.732 x " : "")}{c.Volts} V{(c.ThreeLines ? ")" : "")}";

    // By use, and never less than the design current asks for.
    private static int? Breaker(BoardSizingCase c, CodeEdition edition)
    {
        var usual = c.Use switch
        {
            BoardUse.Lighting or BoardUse.GardenLighting => edition.Number(
                c.Watts <= edition.Number("lampFirstW") ? "lampFirstA" : "lampMostA"
            ),
            BoardUse.Sockets => edition.Number(
                c.Ring ? "ringBreakerA"
                : c.LargeSocket ? "largeSocketA"
                : "radialBreakerA"
            ),
            BoardUse.Cooking => edition.Number("cookerLeastA"),
            BoardUse.WaterHeating => edition.Number("heaterLeastA"),
            _ => edition.Number("coolingLeastA"),
        };
        return c.Use == BoardUse.Sockets ? usual.Whole : edition.BreakerFor(Math.Max(usual, DesignCurrent(c, usual.Whole, edition)));
    }

    private static double LeastWire(BoardUse use, CodeEdition edition) =>
        edition.Number(
            use switch
            {
                BoardUse.Sockets => "socketWireSection",
                BoardUse.Cooking => "cookerWireSection",
                BoardUse.WaterHeating => "heaterWireSection",
                BoardUse.Cooling or BoardUse.Fixed => "fixedWireSection",
                _ => "lampWireSection",
            }
        );

    private static string Why(BoardUse use) =>
        use switch
        {
            BoardUse.Lighting or BoardUse.GardenLighting => "By the watts of its lights.",
            BoardUse.Sockets => "As a ring or a radial has it.",
            BoardUse.Cooking => "A cooker's least, or the next that its design current asks for.",
            BoardUse.WaterHeating => "A water heater's least, or the next that its rating asks for.",
            _ => "By the rating of what it feeds.",
        };
}
