using Circuitum.Core.Analysis;
using Circuitum.Core.Measure;

namespace Circuitum.Formats;

/// <summary>The order of make-up in sentences.</summary>
public static class MakeUpWords
{
    private const int MostNames = 12;

    /// <summary>What is done, in its order, up to the breakers.</summary>
    /// <param name="a">The analysis.</param>
    /// <param name="m">The panel's make-up.</param>
    public static IReadOnlyList<string> Of(JobAnalysis a, MakeUp m) =>
        [
            m.Bonded
                ? "Prove it dead. The wires from the meter stay live until the utility has pulled the meter: keep them covered."
                : $"Switch the feeder's breaker off in {a.PanelById(m.At.Feeder!.From)!.Panel.Name}, lock it and prove the panel dead.",
            $"Bring the cables in straight, each with its label, jackets {a.Units.Either("1/4 in", "6 mm")} and more inside the clamp; "
                + "keep knockouts and screws in reach.",
            m.Bonded
                ? $"Bonding jumper in: neutral and ground are joined here, and nowhere after it ({a.Edition.Cite("panel.bonded")})."
                : "Bonding jumper out: four wires in the feeder, neutral bar apart from the cabinet, ground bar on it "
                    + $"({a.Edition.Cite("panel.apart")}).",
            m.Grounds.IsEmpty ? "No grounds yet." : $"Grounds, largest first: {string.Join("; ", m.Grounds.Select(Say))}.",
            m.NeutralTerminals == 0
                ? "No neutrals yet."
                : $"Neutrals, one to a terminal ({a.Edition.Cite("panel.neutrals")}): {string.Join("; ", m.Neutrals.Select(Say))}"
                    + $"{(m.Tails > 0 ? $"; tails of {m.Tails} fault breaker{(m.Tails == 1 ? "" : "s")} as these go in" : "")}.",
            $"Breakers by their turn: {m.Breakers.Count(b => b.Poles == 2)} two-pole, then "
                + $"{m.Breakers.Count(b => b.Poles == 1)} one-pole, each from the largest down.",
            m.Breakers.Count(b => b.Remark) is > 0 and var n
                ? $"White wires that are hot, in {n} two-pole circuit{(n == 1 ? "" : "s")}, are marked again at both ends "
                    + $"({a.Edition.Cite("panel.white")})."
                : "No white wire is used hot.",
            $"Every screw to the torque on its label ({a.Edition.Cite("panel.torque")}). "
                + "Fill the unused openings; put the directory in the door.",
        ];

    /// <summary>What to mind at a breaker.</summary>
    /// <param name="b">The breaker.</param>
    public static string Mind(BreakerLanding b) =>
        string.Join(
            "; ",
            new[]
            {
                b.Remark ? "white marked as hot" : "",
                b.NeutralOnBreaker ? "neutral to the breaker" : "",
                b.Tail ? "tail to the bar" : "",
            }.Where(t => t.Length > 0)
        );

    private static string Say(BarWires w) =>
        $"{w.Count} x {w.Size.Told} ({string.Join(", ", w.From.Take(MostNames))}"
        + $"{(w.From.Length > MostNames ? $" and {w.From.Length - MostNames} more" : "")})";
}
