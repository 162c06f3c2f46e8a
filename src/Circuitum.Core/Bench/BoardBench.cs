using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Panels;
using Circuitum.Core.Sizing;

namespace Circuitum.Core.Bench;

/// <summary>Circuits of a split board by the rules of the jobs, and how their loads are divided over three lines.</summary>
internal static class BoardBench
{
    private const string Ring = "ring",
        Radial = "radial";

    private static readonly ImmutableSortedDictionary<string, BoardUse> Uses = new Dictionary<string, BoardUse>
    {
        ["lights"] = BoardUse.Lighting,
        [Radial] = BoardUse.Sockets,
        [Ring] = BoardUse.Sockets,
        ["cooker"] = BoardUse.Cooking,
        ["water-heater"] = BoardUse.WaterHeating,
        ["air-conditioner"] = BoardUse.Cooling,
        ["fixed"] = BoardUse.Fixed,
    }.ToImmutableSortedDictionary();

    internal static BenchQuestion Circuit { get; } =
        new(
            "board-circuit",
            "A circuit of a split board",
            [
                new("rules", "Rules", BenchDesk.Boards[0], BenchDesk.Boards),
                new("use", "What it is for", "lights", [.. Uses.Keys]),
                new("watts", "Connected load, W", "") { Needed = true, Example = "2400" },
                new("three-lines", "On three lines", "no", BenchDesk.YesNo),
                new("ambient-c", "Around the cable, degrees C; the rules' least where that is more", "30"),
                new("together", "Circuits in its conduit", "1"),
                new("breaker", "A breaker that is wanted, A", ""),
                new("metres", "One-way length, or the whole loop of a ring, m", "") { Example = "28" },
            ],
            Size
        );

    internal static BenchQuestion Lines { get; } =
        new(
            "lines",
            "Loads on three lines",
            [
                new("watts", "A circuit's load, W", "")
                {
                    Many = true,
                    Needed = true,
                    Example = "2400",
                },
            ],
            i =>
            {
                int[] watts = [.. i.Numbers("watts", 0, 100_000).Select(w => (int)Math.Round(w))];
                if (watts.Length is 0 or > 60)
                    throw new BenchException("watts", "say one to sixty circuits.");
                var line = LineBalance.Divide(watts);
                long[] sums = [.. Enumerable.Range(0, 3).Select(l => watts.Where((_, n) => line[n] == l).Sum(w => (long)w))];
                var mean = sums.Sum() / 3.0;
                var apart = mean <= 0 ? 0 : LineBalance.Apart(sums) / 3.0 / mean * 100;
                return new(
                    [
                        ("lines", string.Join(", ", sums)),
                        ("division", string.Join(", ", line.Select(l => l + 1))),
                        ("percent", Math.Round(apart, 1)),
                        ("bound", Math.Round(mean <= 0 ? 0 : LineBalance.Bound(watts) / mean * 100, 1)),
                    ],
                    new("Lines in balance", $"{apart:0.0} percent from the mean")
                    {
                        Formula = $"{string.Join(", ", sums.Select(s => $"{s:#,0}"))} W; mean {mean:#,0} W",
                        Because =
                            watts.Length <= LineBalance.MostByAll
                                ? "Every division was looked at."
                                : "The heaviest were placed first, then moved and exchanged while that helped.",
                    }
                );
            }
        );

    private static BenchAnswer Size(BenchInput i)
    {
        var edition = CodeLibrary.Edition(i.Choice("rules"));
        var (use, three) = (i.Choice("use"), i.Choice("three-lines") == "yes");
        var c = new BoardSizingCase
        {
            Use = Uses[use],
            Ring = use == Ring,
            ThreeLines = three,
            Watts = i.Number("watts", 1, 100_000),
            Volts = three ? edition.Supply.Between : edition.Supply.ToNeutral,
            Held = i.Has("breaker") ? i.Whole("breaker", 1, 400) : null,
            AmbientC = Math.Max(i.Whole("ambient-c", -40, 85), edition.Number("ambientLeastC").Whole),
            Together = i.Whole("together", 1, 20),
        };
        if (c.Held is { } held && !edition.Breakers.Contains(held))
            throw new BenchException("breaker", $"choose one of {string.Join(", ", edition.Breakers)}.");
        if (BoardSizing.Choose(c, edition) is not { } choice)
            return WireBench.None("No breaker or no cable of the tables carries it.");
        var metres = i.Maybe("metres", 0, 3000);
        var percent = metres is { } m ? BoardSizing.DropPercent(c, choice, m) : (double?)null;
        return new(
            [
                ("breaker", choice.Breaker),
                ("size", choice.Size.Number),
                ("earth", choice.Ground.Number),
                ("rating", Math.Round(choice.Ampacity.Value, 2)),
                ("dropPercent", percent is { } p ? Math.Round(p, 2) : null),
            ],
            choice.Derivation
        );
    }
}
