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
                new("lamps", "Lamp points", "0") { Example = "14" },
                new("led", "LED points", "0") { Example = "11" },
                new("watts", "Strips, floods and the like by their watts", "") { Many = true, Example = "60" },
            ],
            i =>
            {
                var t = CodeLibrary.Families.SplitBoard.Lamps;
                var (lamps, led, others) = (i.Whole("lamps", 0, 1000), i.Whole("led", 0, 1000), i.Numbers("watts", 0, 20_000));
                var watts = (lamps * t.PointWatts) + (led * t.LedWatts) + others.Sum();
                if (watts <= 0)
                    throw new BenchException("lamps", "say at least one lamp.");
                var step = t.Steps.FirstOrDefault(s => watts <= s.UpToWatts);
                var circuits = (int)Math.Ceiling((watts / t.Steps[^1].UpToWatts) - 1e-9);
                var steps = new List<Derivation>();
                if (lamps > 0)
                    steps.Add(new("Lamp points", $"{lamps * t.PointWatts:#,0} W") { Formula = $"{lamps} x {t.PointWatts:0} W" });
                if (led > 0)
                    steps.Add(new("LED points", $"{led * t.LedWatts:#,0} W") { Formula = $"{led} x {t.LedWatts:0} W" });
                if (others.Length > 0)
                    steps.Add(
                        new("By their watts", $"{others.Sum():#,0} W") { Formula = string.Join(" + ", others.Select(w => $"{w:0.#}")) }
                    );
                return new(
                    [("watts", Math.Round(watts)), ("breaker", step?.Breaker), ("mm2", step?.Mm2), ("circuits", circuits)],
                    new(
                        "Lamps on one circuit, split board, basic",
                        step is null ? $"{watts:#,0} W: {circuits} circuits" : $"{watts:#,0} W, {step.Breaker} A, {step.Mm2} mm2"
                    )
                    {
                        Citation = "utility default",
                        Because = step is null
                            ? $"More than {t.Steps[^1].UpToWatts:#,0} W is divided."
                            : $"Up to {step.UpToWatts:#,0} W hang on {step.Breaker} A.",
                        Steps = [.. steps],
                    }
                );
            }
        );
}
