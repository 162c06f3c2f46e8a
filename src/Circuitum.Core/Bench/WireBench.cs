using Circuitum.Core.Codes;
using Circuitum.Core.Explain;
using Circuitum.Core.Measure;
using Circuitum.Core.Sizing;

namespace Circuitum.Core.Bench;

/// <summary>Wire and breaker, voltage drop, and cables together.</summary>
internal static class WireBench
{
    internal const string Canada = "canada",
        SplitBoard = "split-board";

    internal static BenchQuestion Wire { get; } =
        new(
            "wire",
            "Wire and breaker for a load",
            [
                new("family", "Rules", CodeLibrary.EditionIds[0], [.. BenchDesk.Editions, SplitBoard]),
                new("amps", "Load that is not continuous, A", "") { Needed = true, Example = "31" },
                new("continuous", "Load of three hours or more, A", "0"),
                new("volts", "Volts", $"{CodeLibrary.Newest.Supply.Between}"),
                new("material", "Copper or aluminum", "cu", "cu", "al"),
                new("insulation", "Insulation, degrees C", "90", "60", "75", "90"),
                new("terminations", "Terminals, degrees C", "75", "60", "75"),
                new("method", "Sheathed cable, or wires in conduit", "cable", "cable", "conduit"),
                new("current-carrying", "Current-carrying wires together; for split-board, two to a circuit", "2"),
                new("ambient-c", "Around the wire, degrees C", "30"),
                new("receptacles", "Feeds several receptacles", "no", BenchDesk.YesNo),
                new("breaker", "A breaker that is wanted, A", ""),
                new("feet", "One-way length, ft", "") { Example = "74" },
                new("max-drop", "Most voltage drop, percent", "3"),
            ],
            i =>
                i.Choice("family") switch
                {
                    SplitBoard => MoreWire.OnSplitBoard(i),
                    var edition => ByEdition(i, CodeLibrary.Edition(edition)),
                }
        );

    internal static BenchQuestion Drop { get; } =
        new(
            "drop",
            "Voltage drop",
            [
                new("size", "Wire, AWG or kcmil", "") { Needed = true, Example = "12" },
                new("amps", "Current, A", "") { Needed = true, Example = "16" },
                new("feet", "One-way length, ft", "") { Needed = true, Example = "74" },
                new("volts", "Volts", $"{CodeLibrary.Newest.Supply.ToNeutral}"),
                new("material", "Copper or aluminum", "cu", "cu", "al"),
                new("max-drop", "Most voltage drop, percent", "3"),
            ],
            i =>
            {
                var copper = i.Choice("material") == "cu";
                var row = RowOf(i, "size", copper);
                var (amps, feet, volts, most) = (
                    i.Number("amps", 0.01, 5000),
                    i.Number("feet", 0, 10_000),
                    i.Whole("volts", 12, 1000),
                    i.Number("max-drop", 0.1, 20)
                );
                var drop = Conductor.DropVolts(Length.Feet(feet), new(amps), row);
                var percent = drop / volts * 100;
                var farthest = most / 100 * volts * 1000 / (2 * amps * row.OhmPerKft);
                return new(
                    [
                        ("volts", Math.Round(drop, 3)),
                        ("percent", Math.Round(percent, 2)),
                        ("passes", percent <= most + 1e-9),
                        ("mostFeet", Math.Floor(farthest)),
                    ],
                    new("Voltage drop", $"{drop:0.000} V, {percent:0.00} percent")
                    {
                        Formula =
                            $"2 x {feet:0.#} ft x {amps:0.0#} A x {row.OhmPerKft} / 1000 = {drop:0.000} V; {drop:0.000} / "
                            + $"{volts} = {percent:0.00} percent",
                        Citation = CodeLibrary.Newest.Cite("wire.drop"),
                        Because =
                            $"{row.Size} {(copper ? "copper" : "aluminum")} carries {amps:0.##} A for {Math.Floor(farthest):0} "
                            + $"ft within {most:0.#} percent. A recommendation, not a rule, in the US editions.",
                    }
                );
            }
        );

    internal static BenchQuestion Grouping { get; } =
        new(
            "grouping",
            "Cables in one hole or bundle",
            [
                new("size", "Two-wire cable of, AWG", "") { Needed = true, Example = "12" },
                new("cables", "Cables together", "") { Needed = true, Example = "5" },
                new("breaker", "Breaker, A", "") { Needed = true, Example = "20" },
                new("sealed", "Through one sealed hole; no means bundled over 24 in", "yes", BenchDesk.YesNo),
                new("ambient-c", "Around them, degrees C", "30"),
                new("receptacles", "Feeds several receptacles", "yes", BenchDesk.YesNo),
            ],
            Together
        );

    internal static ConductorRow RowOf(BenchInput i, string field, bool copper)
    {
        var rows = copper ? CodeLibrary.Conductors.Copper : CodeLibrary.Conductors.Aluminum;
        return rows.FirstOrDefault(r => r.Size.ToString() == i.Text(field))
            ?? throw new BenchException(field, $"choose one of {string.Join(", ", rows.Select(r => r.Size))}.");
    }

    private static BenchAnswer ByEdition(BenchInput i, CodeEdition edition)
    {
        var (load, volts) = (i.Number("amps", 0, 400), i.Whole("volts", 12, 1000));
        var c = new SizingCase
        {
            NonContinuous = new(load),
            Continuous = new(i.Number("continuous", 0, 400)),
            Copper = i.Choice("material") == "cu",
            InsulationC = int.Parse(i.Choice("insulation"), System.Globalization.CultureInfo.InvariantCulture),
            TerminationC = int.Parse(i.Choice("terminations"), System.Globalization.CultureInfo.InvariantCulture),
            Method = i.Choice("method") == "cable" ? WiringMethod.Cable : WiringMethod.Conduit,
            CurrentCarrying = i.Whole("current-carrying", 1, 200),
            AmbientC = i.Whole("ambient-c", -40, 85),
            SeveralReceptacles = i.Yes("receptacles"),
            Breaker = i.Has("breaker") ? i.Whole("breaker", 1, 400) : null,
        };
        if (c.NonContinuous.Value + c.Continuous.Value <= 0)
            throw new BenchException("amps", "say a load of more than none.");
        if (!c.Copper && c.Method == WiringMethod.Cable)
            throw new BenchException("material", "sheathed cable is taken as copper here. Use conduit for aluminum.");
        if (c.Breaker is { } b && !edition.Breakers.Contains(b))
            throw new BenchException("breaker", $"choose one of {string.Join(", ", edition.Breakers)}.");
        if (Conductor.Choose(c, edition) is not { } choice)
            return None("No wire of this method carries that load.");
        var least = choice;
        var actual = c.NonContinuous.Value + c.Continuous.Value;
        Derivation? drop = null;
        double? percent = null;
        if (i.Has("feet"))
        {
            var (feet, most) = (i.Number("feet", 0, 10_000), i.Number("max-drop", 0.1, 20));
            double Of(ConductorRow row) => Conductor.DropVolts(Length.Feet(feet), new(actual), row) / volts * 100;
            while (Of(choice.Row) > most + 1e-9)
            {
                // The breaker stays; only the wire grows.
                if (
                    Larger(choice.Row, c) is not { } larger
                    || Conductor.Choose(c with { SmallestSize = larger.Size, Breaker = least.Breaker }, edition) is not { } next
                )
                    return None($"No wire of this method keeps the drop within {most:0.#} percent.");
                choice = next;
            }

            percent = Math.Round(Of(choice.Row), 2);
            drop = new("Voltage drop", $"{percent:0.00} percent")
            {
                Formula = $"2 x {feet:0.#} ft x {actual:0.0#} A x {choice.Row.OhmPerKft} / 1000 / {volts} V",
                Citation = edition.Cite("wire.drop"),
                Because =
                    (edition.Rule("wire.drop").Severity == "must" ? "Here a requirement. " : "")
                    + (
                        choice.Size == least.Size
                            ? "Within the limit."
                            : $"{least.Size} AWG would do for the load; the drop asks for {choice.Size}."
                    ),
            };
        }

        var ground = c.Copper ? EquipmentGround.For(choice.Breaker, least.Size, choice.Size, edition) : choice.Ground;
        return new(
            [
                ("size", choice.Size),
                ("breaker", choice.Breaker),
                ("ampacity", Math.Round(choice.Ampacity.Value, 2)),
                ("ground", ground),
                ("sizeForLoad", least.Size),
                ("dropPercent", percent),
            ],
            choice.Derivation with
            {
                Steps =
                [
                    .. choice.Derivation.Steps,
                    new("Equipment ground", $"{ground} AWG copper")
                    {
                        Citation = edition.Cite("wire.ground"),
                        Because = "By the breaker, and in proportion where the wire is larger than the load asks for.",
                    },
                    .. drop is null ? [] : new[] { drop },
                ],
            }
        );
    }

    internal static BenchAnswer None(string why) =>
        new([("size", null), ("breaker", null)], new("Wire and breaker", "none") { Because = why });

    private static ConductorRow? Larger(ConductorRow row, SizingCase c)
    {
        var rows = c.Copper ? CodeLibrary.Conductors.Copper : CodeLibrary.Conductors.Aluminum;
        return rows.SkipWhile(r => r.Size != row.Size)
            .Skip(1)
            .FirstOrDefault(r => c.Method == WiringMethod.Conduit || CodeLibrary.Conductors.Sheathed.Contains(r.Size));
    }

    private static BenchAnswer Together(BenchInput i)
    {
        var edition = CodeLibrary.Newest;
        if (!WireSize.TryParse(i.Text("size"), out var size) || !CodeLibrary.Conductors.Sheathed.Contains(size))
            throw new BenchException("size", $"choose one of {string.Join(", ", CodeLibrary.Conductors.Sheathed)}.");
        var row = Conductor.Copper(size);
        var (cables, breaker, sealedHole) = (i.Whole("cables", 1, 100), i.Whole("breaker", 1, 400), i.Yes("sealed"));
        if (!edition.Breakers.Contains(breaker))
            throw new BenchException("breaker", $"choose one of {string.Join(", ", edition.Breakers)}.");

        // Through a sealed hole the rule begins with the third cable (334.80), in a bundle with the fourth wire.
        var carrying = sealedHole && cables <= 2 ? 2 : 2 * cables;
        var count = CodeLibrary.Conductors.Count.First(r => carrying <= r.UpTo).Factor;
        var hot = i.Whole("ambient-c", -40, 85);
        var ambient = CodeLibrary.Conductors.Ambient.FirstOrDefault(r => hot <= r.UpToC)?.F90 ?? 0;
        var (adjusted, terminal) = (row.C90 * count * ambient, row.C60);
        var ampacity = Math.Min(adjusted, terminal);
        var limit = edition.SmallWireLimits["copper"].TryGetValue(row.Size, out var small) ? small : int.MaxValue;
        var protects = breaker <= ampacity + 1e-9 || (!i.Yes("receptacles") && edition.BreakerFor(ampacity) is { } next && breaker <= next);
        return new(
            [("ampacity", Math.Round(ampacity, 2)), ("factor", count), ("passes", protects && breaker <= limit)],
            new("Cables together", $"{ampacity:0.##} A, {(protects && breaker <= limit ? "passes" : "fails")} on {breaker} A")
            {
                Formula = $"{row.C90} x {ambient:0.##} x {count:0.##} = {adjusted:0.##} A, {terminal} A at most",
                Citation = $"{edition.Cite("wire.sheathed")}, {edition.Cite("wire.count")}",
                Because =
                    $"{cables} two-wire cable{(cables == 1 ? "" : "s")}, {2 * cables} current-carrying wires"
                    + $"{(sealedHole && cables <= 2 ? "; through a sealed hole the rule begins with the third cable" : "")}. "
                    + "The 90 C column to begin with, never above the 60 C column.",
            }
        );
    }
}
