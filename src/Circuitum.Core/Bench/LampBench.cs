using Circuitum.Core.Codes;
using Circuitum.Core.Explain;

namespace Circuitum.Core.Bench;

/// <summary>Lamp points of a split board: what they count, and the breaker and cable of their circuits.</summary>
internal static class LampBench
{
    internal static BenchQuestion Lamps { get; } =
        new(
            "lamps",
            "Lamps on one circuit, split board",
            [
                new("rules", "Rules", BenchDesk.Boards[0], BenchDesk.Boards),
                new("lamps", "Lamp points", "0") { Example = "14" },
                new("led", "LED points", "0") { Example = "11" },
                new("watts", "Strips, floods and the like by their watts", "") { Many = true, Example = "60" },
            ],
            i =>
            {
                var edition = CodeLibrary.Edition(i.Choice("rules"));
                var (point, ledPoint) = (edition.Number("lampPointW"), edition.Number("ledPointW"));
                var (first, most) = (edition.Number("lampFirstW"), edition.Number("lampMostW"));
                var (lamps, led, others) = (i.Whole("lamps", 0, 1000), i.Whole("led", 0, 1000), i.Numbers("watts", 0, 20_000));
                var watts = (lamps * point) + (led * ledPoint) + others.Sum();
                if (watts <= 0)
                    throw new BenchException("lamps", "say at least one lamp.");
                int? breaker = watts > most ? null : edition.Number(watts <= first ? "lampFirstA" : "lampMostA").Whole;
                var circuits = (int)Math.Ceiling((watts / most) - 1e-9);
                var section = $"{edition.Number("lampWireSection")}";
                var steps = new List<Derivation>();
                if (lamps > 0)
                    steps.Add(new("Lamp points", $"{lamps * point:#,0} W") { Formula = $"{lamps} x {point:0} W" });
                if (led > 0)
                    steps.Add(new("LED points", $"{led * ledPoint:#,0} W") { Formula = $"{led} x {ledPoint:0} W" });
                if (others.Length > 0)
                    steps.Add(
                        new("By their watts", $"{others.Sum():#,0} W") { Formula = string.Join(" + ", others.Select(w => $"{w:0.#}")) }
                    );
                return new(
                    [("watts", Math.Round(watts)), ("breaker", breaker), ("mm2", breaker is null ? null : section), ("circuits", circuits)],
                    new(
                        "Lamps on one circuit, split board, basic",
                        breaker is null ? $"{watts:#,0} W: {circuits} circuits" : $"{watts:#,0} W, {breaker} A, {section} mm2"
                    )
                    {
                        Citation = edition.Cite("board.lamps"),
                        Because = breaker is null
                            ? $"More than {most} W is divided."
                            : $"Up to {(watts <= first ? first : most)} W hang on {breaker} A.",
                        Steps = [.. steps],
                    }
                );
            }
        );
}
