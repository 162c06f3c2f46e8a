using Circuitum.Core.Codes;
using Circuitum.Core.Explain;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Sizing;

/// <summary>Wire by dividing the load by the factors and reading the table once, in the column of the terminals.</summary>
internal static class DividedOnce
{
    /// <summary>The wire for a load, or none when the table ends before it.</summary>
    /// <param name="c">The case.</param>
    /// <param name="edition">The edition.</param>
    /// <param name="need">What the terminals have to carry.</param>
    /// <param name="breaker">The breaker that was chosen for it.</param>
    /// <param name="least">The breaker that the load asks for.</param>
    internal static ConductorChoice? Choose(SizingCase c, CodeEdition edition, Amperes need, int breaker, int least)
    {
        var tables = CodeLibrary.Conductors;
        var byNameplate = c.MinimumCircuitAmpacity is not null;
        var (count, ambient) = (edition.CountFactor(c.CurrentCarrying), Conductor.AmbientFactor(c.AmbientC, c.InsulationC));
        if (count * ambient <= 0)
            return null;
        var inflated = need.Value / (count * ambient);
        var limits = edition.SmallWireLimits[c.Copper ? "copper" : "aluminum"];
        var rows = c.Copper ? tables.Copper : tables.Aluminum;
        var row = rows.SkipWhile(r => c.SmallestSize is { } smallest && r.Size != smallest)
            .FirstOrDefault(r =>
                (c.Method != WiringMethod.Cable || tables.Sheathed.Contains(r.Size))
                && r.At(c.TerminationC) >= inflated - 1e-6
                && (byNameplate || ((!limits.TryGetValue(r.Size, out var most) || breaker <= most) && Protects(r)))
            );
        if (row is null)
            return null;
        var ground = c.Copper ? EquipmentGround.For(breaker, row.Size, row.Size, edition) : edition.GroundFor(breaker);
        return new(row.Size, new(Left(row)), breaker, ground, row, Explain()) { MostBreaker = c.MostBreaker };

        double Left(ConductorRow r) => r.At(c.TerminationC) * count * ambient;

        bool Protects(ConductorRow r) =>
            new Amperes(breaker) <= new Amperes(Left(r))
            || (!c.SeveralReceptacles && edition.BreakerFor(Left(r)) is { } next && breaker <= next);

        Derivation Explain() =>
            new("Wire and breaker", $"{row.Size.Told} on {breaker} A")
            {
                Citation = byNameplate ? edition.Cite("wire.hvac") : edition.Cite("wire.size"),
                Because =
                    byNameplate
                        ? $"Motor and air-conditioning equipment goes by its plate: wire for {need}, breaker up to "
                            + $"{c.MaximumBreaker ?? breaker} A."
                    : breaker < least ? $"{breaker} A is a person's; the load asks for {least} A."
                    : breaker > least ? $"{least} A would carry the load; {breaker} A was asked for by practice, rule or a person."
                    : "The load divided by the factors, the table read once.",
                Steps =
                [
                    new("Needed at the terminals", $"{need}")
                    {
                        Formula = byNameplate
                            ? "minimum circuit ampacity by nameplate"
                            : $"{c.NonContinuous.Value:0.0#} + {c.Continuous.Value:0.0#} / {1 / edition.Number("continuousFactor"):0.##} A",
                        Citation = edition.Cite("circuit.overload"),
                    },
                    new("For the table", $"{inflated:0.##} A")
                    {
                        Formula = $"{need.Value:0.##} / ({ambient:0.##} x {count:0.##})",
                        Citation = $"{edition.Cite("wire.ambient")}, {edition.Cite("wire.count")}",
                    },
                    new("Read at the terminals' column", $"{row.At(c.TerminationC)} A")
                    {
                        Formula = $"{row.Size.Told}, {c.TerminationC} C column",
                        Citation = $"{edition.Cite("wire.ampacity")}, {edition.Cite("wire.termination")}",
                    },
                    new("Ampacity", $"{Left(row):0.##} A") { Formula = $"{row.At(c.TerminationC)} x {ambient:0.##} x {count:0.##}" },
                    .. limits.TryGetValue(row.Size, out var most)
                        ? new[] { new Derivation("Largest breaker of this size", $"{most} A") { Citation = edition.Cite("wire.small") } }
                        : [],
                ],
            };
    }
}
