using Circuitum.Core.Codes;
using Circuitum.Core.Explain;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Sizing;

/// <summary>The door to wire and breaker sizing.</summary>
public static class Conductor
{
    /// <summary>
    /// The smallest conductor that carries a load and is protected by its breaker, or none when no size of the method does.
    /// </summary>
    public static ConductorChoice? Choose(SizingCase c, CodeEdition edition)
    {
        var tables = CodeLibrary.Conductors;
        var byNameplate = c.MinimumCircuitAmpacity is not null;
        var actual = c.NonContinuous + c.Continuous;
        var factor = edition.Number("continuousFactor");
        var need = new Amperes(c.MinimumCircuitAmpacity ?? (c.NonContinuous.Value + (c.Continuous.Value * factor)));

        // What may not have a larger breaker is not given larger wire for a load that it may not carry: a check says so.
        if (c is { MostBreaker: { } most, Held: false } && need.Value > most)
            (need, actual) = (new(most), new(Math.Min(actual.Value, most)));
        var least = edition.BreakerFor(need.Value);
        if (least is null)
            return null;
        var breaker =
            byNameplate ? Math.Max(edition.SmallestBreaker, c.Breaker ?? LargestUpTo(edition, c.MaximumBreaker) ?? least.Value)
            : c is { Held: true, Breaker: { } held } ? held
            : Math.Max(least.Value, Math.Min(c.Breaker ?? 0, c.MostBreaker ?? int.MaxValue));
        if (edition.Ways.Sizing == SizingWay.DividedOnce)
            return DividedOnce.Choose(c, edition, need, breaker, least.Value);
        var column = c.Method == WiringMethod.Cable ? 60 : c.TerminationC;
        var (count, ambient) = (edition.CountFactor(c.CurrentCarrying), AmbientFactor(c.AmbientC, c.InsulationC));
        var limits = edition.SmallWireLimits[c.Copper ? "copper" : "aluminum"];
        var passed = c.SmallestSize is null;
        var tried = new List<Derivation>();
        foreach (var row in c.Copper ? tables.Copper : tables.Aluminum)
        {
            passed |= row.Size == c.SmallestSize;
            if (!passed || (c.Method == WiringMethod.Cable && !tables.Sheathed.Contains(row.Size)))
                continue;
            var terminal = row.At(column);
            var adjusted = row.At(c.InsulationC) * ambient * count;
            var final = new Amperes(Math.Min(terminal, adjusted));
            var refusal = Refusal();
            if (refusal is not null)
            {
                tried.Add(Derivation.Fact($"{row.Size.Told}", "too small", refusal));
                continue;
            }

            var ground = c.Copper ? EquipmentGround.For(breaker, row.Size, row.Size, edition) : edition.GroundFor(breaker);
            return new(row.Size, final, breaker, ground, row, Explain(row, terminal, adjusted, final)) { MostBreaker = c.MostBreaker };

            string? Refusal()
            {
                if (new Amperes(terminal) < need && !(new Amperes(terminal) >= need))
                    return $"{terminal} A at {column} C is less than {need} for the terminals.";
                if (byNameplate)
                    return final >= need ? null : $"{final} after factors is less than the minimum circuit ampacity of {need}.";
                if (!(final >= actual))
                    return $"{final} after factors is less than the load of {actual}.";
                if (limits.TryGetValue(row.Size, out var limit) && breaker > limit)
                    return $"a breaker of {breaker} A is over the {limit} A limit of this size ({edition.Cite("wire.small")}).";
                if (new Amperes(breaker) <= final)
                    return null;
                return c.SeveralReceptacles || edition.BreakerFor(final.Value) is not { } next || breaker > next
                    ? $"{final} is not protected by {breaker} A."
                    : null;
            }
        }

        return null;

        Derivation Explain(ConductorRow row, int terminal, double adjusted, Amperes final) =>
            new("Wire and breaker", $"{row.Size.Told} on {breaker} A")
            {
                Citation = byNameplate ? edition.Cite("wire.hvac") : edition.Cite("wire.size"),
                Because =
                    byNameplate
                        ? $"Motor and air-conditioning equipment goes by its plate: wire for {need}, breaker up to "
                            + $"{c.MaximumBreaker ?? breaker} A."
                    : breaker < least ? $"{breaker} A is a person's; the load asks for {least} A."
                    : breaker > least ? $"{least} A would carry the load; {breaker} A was asked for by practice, rule or a person."
                    : "The smallest size that carries the load and is protected.",
                Steps =
                [
                    new("Needed at the terminals", $"{need}")
                    {
                        Formula = byNameplate
                            ? "minimum circuit ampacity by nameplate"
                            : $"{c.NonContinuous.Value:0.0#} + {factor:0.##} x {c.Continuous.Value:0.0#} A",
                        Citation = edition.Cite("circuit.overload"),
                    },
                    new("Ampacity at the terminals", $"{terminal} A")
                    {
                        Formula = $"{row.Size.Told}, {column} C column",
                        Citation = c.Method == WiringMethod.Cable ? edition.Cite("wire.sheathed") : edition.Cite("wire.termination"),
                    },
                    new("Ampacity after factors", $"{adjusted:0.##} A")
                    {
                        Formula = $"{row.At(c.InsulationC)} x {ambient:0.##} x {count:0.##}",
                        Citation = $"{edition.Cite("wire.ambient")}, {edition.Cite("wire.count")}",
                    },
                    new("Ampacity", $"{final}") { Formula = "the smaller of the two" },
                    .. tried,
                ],
            };
    }

    /// <summary>Voltage drop of a single-phase run in volts: twice the one-way length times current times resistance.</summary>
    /// <param name="oneWay">One-way length.</param>
    /// <param name="current">Current.</param>
    /// <param name="row">The conductor.</param>
    public static double DropVolts(Length oneWay, Amperes current, ConductorRow row) =>
        2 * oneWay.InFeet * current.Value * row.OhmPerKft / 1000;

    /// <summary>The same as it is told: by ohm for 1000 ft, or for a kilometre.</summary>
    /// <param name="oneWay">One-way length.</param>
    /// <param name="amps">The current, with its digits.</param>
    /// <param name="row">The conductor.</param>
    /// <param name="units">The units of the job.</param>
    public static string DropFormula(Length oneWay, string amps, ConductorRow row, LengthUnits units)
    {
        var ohms = units == LengthUnits.FeetInches ? $"{row.OhmPerKft}" : $"{row.OhmPerKft / LengthText.MetresInFoot:0.0##}";
        return $"2 x {LengthText.Far(oneWay, units, "0.#")} x {amps} A x {ohms} / 1000";
    }

    /// <summary>The row of a copper size.</summary>
    /// <exception cref="InvalidOperationException">No such size.</exception>
    public static ConductorRow Copper(WireSize size) =>
        size.IsSection
            ? CodeLibrary.Families.SplitBoard.Cable(size).Row(threeLines: false)
            : CodeLibrary.Conductors.Copper.First(r => r.Size == size);

    /// <summary>The next larger size of sheathed cable, or none.</summary>
    public static WireSize? NextCable(WireSize size)
    {
        var sizes = CodeLibrary.Conductors.Sheathed;
        var at = sizes.IndexOf(size);
        return at >= 0 && at + 1 < sizes.Length ? sizes[at + 1] : null;
    }

    private static int? LargestUpTo(CodeEdition edition, int? most) =>
        most is { } m ? edition.Breakers.Where(b => b <= m).Cast<int?>().LastOrDefault() : null;

    /// <summary>The factor for a temperature and a column of the insulation; 0 where it carries nothing any more.</summary>
    internal static double AmbientFactor(int celsius, int column)
    {
        var row = CodeLibrary.Conductors.Ambient.FirstOrDefault(r => celsius <= r.UpToC);
        return row is null
            ? 0
            : column switch
            {
                60 => row.F60,
                75 => row.F75,
                _ => row.F90,
            };
    }
}
