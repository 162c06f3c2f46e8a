using Circuitum.Core.Codes;
using Circuitum.Core.Explain;
using Circuitum.Core.Sizing;

namespace Circuitum.Core.Bench;

/// <summary>Wire and breaker by the split-board family.</summary>
internal static class MoreWire
{
    /// <summary>Design current, breaker, rating after factors, in that order; copper singles in conduit.</summary>
    internal static BenchAnswer OnSplitBoard(BenchInput i)
    {
        var t = CodeLibrary.Families.SplitBoard;
        if (i.Choice("material") != "cu")
            throw new BenchException("material", "this family's table is for copper.");
        var (design, volts) = (i.Number("amps", 0, 400) + i.Number("continuous", 0, 400), i.Whole("volts", 12, 1000));
        if (design <= 0)
            throw new BenchException("amps", "say a load of more than none.");
        var three = volts >= 380;
        var circuits = Math.Max(1, (i.Whole("current-carrying", 1, 18) + 1) / (three ? 3 : 2));
        var hot = i.Whole("ambient-c", -40, 85);
        if (t.Ambient.FirstOrDefault(r => hot <= r.Key) is not { } ambient)
            return WireBench.None($"The table ends at {t.Ambient[^1].Key} C.");
        if (t.Grouped.FirstOrDefault(r => circuits <= r.Key) is not { } grouped)
            return WireBench.None($"The table ends at {t.Grouped[^1].Key} circuits in one conduit.");
        var breaker = i.Has("breaker") ? i.Whole("breaker", 1, 400) : t.Breakers.FirstOrDefault(b => b >= design - 1e-6);
        if (i.Has("breaker") && !t.Breakers.Contains(breaker))
            throw new BenchException("breaker", $"choose one of {string.Join(", ", t.Breakers)}.");
        if (breaker == 0 || breaker < design - 1e-6)
            return WireBench.None("No breaker of this family carries that load.");
        var factor = ambient.Factor * grouped.Factor;
        double Rating(MetricCable c) => c.Rating(three) * factor;
        if (BoardSizing.Cable(breaker, three, factor) is not { } least)
            return WireBench.None("No cable of the table carries that breaker.");
        var cable = least;
        var metres = i.Maybe("feet", 0, 10_000) * 0.3048;
        var limit = i.Number("max-drop", 0.1, 20);
        double Drop(MetricCable c) => c.Mv(three) * design * (metres ?? 0) / 1000 / volts * 100;
        if (metres is not null)
        {
            if (t.Cables.SkipWhile(c => c != least).FirstOrDefault(c => Drop(c) <= limit + 1e-9) is not { } larger)
                return WireBench.None($"No cable of the table keeps the drop within {limit:0.#} percent.");
            cable = larger;
        }

        return new(
            [
                ("size", cable.Mm2),
                ("unit", "mm2"),
                ("breaker", breaker),
                ("ampacity", Math.Round(Rating(cable), 2)),
                ("sizeForLoad", least.Mm2),
                ("dropPercent", metres is null ? null : Math.Round(Drop(cable), 2)),
            ],
            new("Cable and breaker, split board, basic", $"{cable.Mm2} mm2 on {breaker} A")
            {
                Because = "Design current, then breaker, then the cable's rating after factors, none less than the one before.",
                Citation = CodeLibrary.Families.SplitBoard.Cites["wire"],
                Steps =
                [
                    new("Breaker", $"{breaker} A") { Formula = $"{design:0.##} A design current" },
                    new("Rating after factors", $"{Rating(least):0.##} A")
                    {
                        Formula = $"{least.Rating(three):0.#} x {ambient.Factor:0.00} x {grouped.Factor:0.00}",
                        Because = $"{least.Mm2} mm2 in conduit, {hot} C, {circuits} circuit{(circuits == 1 ? "" : "s")} together.",
                    },
                    .. metres is null
                        ? []
                        : new[]
                        {
                            new Derivation("Voltage drop", $"{Drop(cable):0.00} percent")
                            {
                                Formula = $"{cable.Mv(three):0.##} mV x {design:0.##} A x {metres:0.#} m / " + $"1000 / {volts} V",
                            },
                        },
                ],
            }
        );
    }
}
