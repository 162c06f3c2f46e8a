using System.Collections.Immutable;
using System.Globalization;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Analysis;

/// <summary>
/// The order in which a panel is made up: supply, grounds with the largest first, neutrals one to a terminal, breakers of
/// two poles and then of one, each from the largest down, so that the tails of fault breakers tuck away.
/// </summary>
/// <param name="At">The panel.</param>
/// <param name="Grounds">Equipment grounds, largest first.</param>
/// <param name="Neutrals">Neutrals that go to the bar, largest first.</param>
/// <param name="Breakers">Breakers in their turn.</param>
public sealed record MakeUp(
    PanelAnalysis At,
    ImmutableArray<BarWires> Grounds,
    ImmutableArray<BarWires> Neutrals,
    ImmutableArray<BreakerLanding> Breakers
)
{
    /// <summary>Terminals that the neutral bar needs: one for each neutral and each tail (408.41).</summary>
    public int NeutralTerminals => Neutrals.Sum(n => n.Count) + Tails;

    /// <summary>Tails of fault breakers.</summary>
    public int Tails => Breakers.Count(b => b.Tail);

    /// <summary>Grounds to land.</summary>
    public int GroundWires => Grounds.Sum(g => g.Count);

    /// <summary>Whether neutral and ground are joined in it: only where the service comes in (250.24, 250.142).</summary>
    public bool Bonded => At.Feeder is null;

    /// <summary>The make-up of a panel.</summary>
    /// <param name="a">The analysis.</param>
    /// <param name="at">The panel.</param>
    public static MakeUp Of(JobAnalysis a, PanelAnalysis at)
    {
        var (grounds, neutrals, breakers) = (
            new List<(WireSize Size, string From)>(),
            new List<(WireSize Size, string From)>(),
            new List<BreakerLanding>()
        );
        if (at.Feeder is { Wire: { } supply } incoming)
        {
            grounds.Add((incoming.Ground, "its feeder"));
            neutrals.Add((supply.Size, "its feeder"));
        }

        foreach (var row in at.Schedule.Where(r => !r.Free && !r.SecondPole))
        {
            if (row.Feeder is { } feeder)
            {
                var to = a.PanelById(feeder.To)!.Panel.Name;
                grounds.Add((feeder.Ground, to));
                neutrals.Add((feeder.Wire?.Size ?? feeder.Ground, to));
                breakers.Add(
                    new(
                        0,
                        row,
                        feeder.Breaker,
                        2,
                        $"Feeder to {to}",
                        feeder.Made,
                        feeder.Wire?.Size ?? feeder.Ground,
                        false,
                        false,
                        false,
                        ""
                    )
                );
                continue;
            }

            var c = row.Circuit!;

            // Of two circuits in one cable the second has neither a ground of its own nor, with a shared neutral, a neutral.
            var cable = c.Carried ? a.CircuitByNumber(c.Pair!.First)?.Cable ?? c.Cable : c.Cable;
            var (size, number) = (cable.Size, c.Number.ToString(CultureInfo.InvariantCulture));
            if (!c.Carried)
                grounds.Add((CodeLibrary.Conductors.Cable(size)?.Ground ?? c.Ground?.Needed ?? size, number));
            var neutral = c.Poles == 1 ? !(c.Carried && c.Pair!.Kind == PairKind.SharedNeutral) : cable.Conductors == 3;
            var tail = c.Protection.Devices.Any(d => d.Box is null);
            if (neutral && !tail)
                neutrals.Add((size, number));
            breakers.Add(
                new(
                    0,
                    row,
                    c.Breaker,
                    c.Poles,
                    c.Label,
                    $"{cable}",
                    size,
                    c.Poles == 2 && !neutral,
                    neutral && tail,
                    tail,
                    c.Protection.BreakerMark
                )
            );
        }

        var order = breakers
            .OrderByDescending(b => b.Poles)
            .ThenByDescending(b => b.Amperes)
            .ThenBy(b => b.Row.Space)
            .ThenBy(b => b.Row.Half)
            .Select((b, i) => b with { Order = i + 1 });
        return new(at, Grouped(grounds), Grouped(neutrals), [.. order]);
    }

    private static ImmutableArray<BarWires> Grouped(List<(WireSize Size, string From)> wires) =>
        [
            .. wires
                .GroupBy(w => w.Size)
                .OrderByDescending(g => Cmil(g.Key))
                .Select(g => new BarWires(g.Key, g.Count(), [.. g.Select(w => w.From)])),
        ];

    /// <summary>Cross-section of a wire in circular mils; 0 for a size that is not in the table.</summary>
    /// <param name="size">AWG.</param>
    public static int Cmil(WireSize size) => CodeLibrary.Conductors.Copper.FirstOrDefault(r => r.Size == size)?.Cmil ?? 0;
}
