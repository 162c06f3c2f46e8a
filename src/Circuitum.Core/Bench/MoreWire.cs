using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Explain;

namespace Circuitum.Core.Bench;

/// <summary>Wire and breaker by the Canadian and the split-board family.</summary>
internal static class MoreWire
{
    /// <summary>The load is divided by the factors once and the table is read once, in the column of the terminals.</summary>
    internal static BenchAnswer InCanada(BenchInput i)
    {
        var tables = CodeLibrary.Families.Canada;
        var (load, steady, volts) = (i.Number("amps", 0, 400), i.Number("continuous", 0, 400), i.Whole("volts", 12, 1000));
        if (load + steady <= 0)
            throw new BenchException("amps", "say a load of more than none.");
        var (column, copper) = (
            int.Parse(i.Choice("terminations"), System.Globalization.CultureInfo.InvariantCulture),
            i.Choice("material") == "cu"
        );
        var count = tables.Count.First(r => i.Whole("current-carrying", 1, 200) <= r.UpTo).Factor;
        var hot = i.Whole("ambient-c", -40, 85);
        var insulation = int.Parse(i.Choice("insulation"), System.Globalization.CultureInfo.InvariantCulture);
        var ambient = CodeLibrary.Conductors.Ambient.FirstOrDefault(r => hot <= r.UpToC) is { } a
            ? insulation switch
            {
                60 => a.F60,
                75 => a.F75,
                _ => a.F90,
            }
            : 0;
        if (ambient * count <= 0)
            return WireBench.None("At that temperature no insulation carries anything.");

        // A breaker marked for 80 percent carries that much of a continuous load (8-104).
        var need = load + steady;
        var atBreaker = load + (steady / 0.8);
        var breaker = i.Has("breaker") ? i.Whole("breaker", 1, 400) : tables.Breakers.FirstOrDefault(b => b >= atBreaker - 1e-6);
        if (i.Has("breaker") && !tables.Breakers.Contains(breaker))
            throw new BenchException("breaker", $"choose one of {string.Join(", ", tables.Breakers)}.");
        if (breaker == 0 || breaker < atBreaker - 1e-6)
            return WireBench.None("No standard breaker carries that load.");

        // The circuit's rating is the lesser of its breaker's and its wire's, so the wire carries continuous load by 80 percent too.
        var inflated = atBreaker / (ambient * count);
        var rows = copper ? CodeLibrary.Conductors.Copper : CodeLibrary.Conductors.Aluminum;
        var limits = CodeLibrary.Newest.SmallWireLimits[copper ? "copper" : "aluminum"];
        bool Does(ConductorRow r) =>
            r.At(column) >= inflated - 1e-6
            && (!limits.TryGetValue(r.Size, out var most) || breaker <= most)
            && Protected(r.At(column) * ambient * count, breaker, tables.Breakers);
        var row = rows.FirstOrDefault(Does);
        if (row is null)
            return WireBench.None("No wire of the table carries that load.");
        var least = row;
        var feet = i.Maybe("feet", 0, 10_000);
        double Drop(ConductorRow r) => 2 * (feet ?? 0) * need * r.OhmPerKft / 1000 / volts * 100;
        var limit = i.Number("max-drop", 0.1, 20);
        if (feet is not null)
        {
            row = rows.SkipWhile(r => r != least).FirstOrDefault(r => Drop(r) <= limit + 1e-9);
            if (row is null)
                return WireBench.None($"No wire of the table keeps the drop within {limit:0.#} percent.");
        }

        return new(
            [
                ("size", row.Size),
                ("breaker", breaker),
                ("ampacity", Math.Round(row.At(column) * ambient * count, 2)),
                ("sizeForLoad", least.Size),
                ("dropPercent", feet is null ? null : Math.Round(Drop(row), 2)),
            ],
            new("Wire and breaker, Canada, basic", $"{row.Size} AWG on {breaker} A")
            {
                Because =
                    "The load divided by the factors, the table read once. The circuit's rating is the lesser of its breaker's "
                    + "and its wire's.",
                Citation = CodeLibrary.Families.Canada.Cites["wire"],
                Steps =
                [
                    new("For the table", $"{inflated:0.##} A")
                    {
                        Formula = $"{atBreaker:0.##} / ({ambient:0.##} x {count:0.##})",
                        Citation = CodeLibrary.Families.Canada.Cites["factors"],
                    },
                    new("Read at the terminals' column", $"{least.At(column)} A")
                    {
                        Formula = $"{least.Size} AWG, {column} C column",
                        Citation = CodeLibrary.Families.Canada.Cites["ampacity"],
                    },
                    new("Breaker", $"{breaker} A")
                    {
                        Formula = steady > 0 ? $"{load:0.##} + {steady:0.##} / 0.80 = {atBreaker:0.##} A" : $"{atBreaker:0.##} A",
                        Citation = CodeLibrary.Families.Canada.Cites["breaker"],
                    },
                    .. feet is null
                        ? []
                        : new[]
                        {
                            new Derivation("Voltage drop", $"{Drop(row):0.00} percent")
                            {
                                Formula = $"2 x {feet:0.#} ft x {need:0.##} A x {row.OhmPerKft} / 1000 / {volts} V",
                                Citation = CodeLibrary.Families.Canada.Cites["drop"],
                                Because = $"Here a requirement: {limit:0.#} percent at most.",
                            },
                        },
                ],
            }
        );
    }

    private static bool Protected(double ampacity, int breaker, ImmutableArray<int> breakers) =>
        breaker <= ampacity + 1e-6 || breaker == breakers.FirstOrDefault(b => b >= ampacity - 1e-6);

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
        double Rating(MetricCable c) => (three ? c.Three : c.Single) * factor;
        if (t.Cables.FirstOrDefault(c => Rating(c) >= breaker - 1e-6) is not { } least)
            return WireBench.None("No cable of the table carries that breaker.");
        var cable = least;
        var metres = i.Maybe("feet", 0, 10_000) * 0.3048;
        var limit = i.Number("max-drop", 0.1, 20);
        double Drop(MetricCable c) => (three ? c.ThreeMv : c.SingleMv) * design * (metres ?? 0) / 1000 / volts * 100;
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
                        Formula = $"{(three ? least.Three : least.Single):0.#} x {ambient.Factor:0.00} x {grouped.Factor:0.00}",
                        Because = $"{least.Mm2} mm2 in conduit, {hot} C, {circuits} circuit{(circuits == 1 ? "" : "s")} together.",
                    },
                    .. metres is null
                        ? []
                        : new[]
                        {
                            new Derivation("Voltage drop", $"{Drop(cable):0.00} percent")
                            {
                                Formula =
                                    $"{(three ? cable.ThreeMv : cable.SingleMv):0.##} mV x {design:0.##} A x {metres:0.#} m / "
                                    + $"1000 / {volts} V",
                            },
                        },
                ],
            }
        );
    }
}
