using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Tests;

/// <summary>Cables that lie together in sealed holes and long bundles: holes of their own, another way, or larger wire.</summary>
public class SharedHoleTests
{
    private static readonly Job Planned = CheckTests.PlannedWhole;

    private static JobAnalysis With(int perHole, int holeCents, int ambient = 30) =>
        Analyzer.Analyze(
            Planned with
            {
                Preferences = Planned.Preferences with
                {
                    CablesPerHole = perHole,
                    AmbientC = ambient,
                    Weights = Planned.Preferences.Weights with { Hole = holeCents },
                },
            }
        );

    [Fact]
    public void Three_cables_in_a_hole_change_nothing()
    {
        var a = With(3, 150);
        a.SharedHoles.ShouldBeEmpty();
        a.Circuits.Select(c => c.Wire!.Size)
            .ShouldBe(
                Analyzer
                    .Analyze(Planned with { Preferences = Planned.Preferences with { CablesPerHole = 1 } })
                    .Circuits.Select(c => c.Wire!.Size)
            );
    }

    [Fact]
    public void Where_holes_cost_little_a_cable_gets_holes_of_its_own()
    {
        var (a, alone) = (With(6, 1), With(1, 1));
        var own = a.SharedHoles.Where(s => s.Remedy == HoleRemedy.OwnHole).ToList();
        own.ShouldNotBeEmpty();

        // The wire stays what it would be alone, and says why.
        foreach (var s in own)
        {
            a.CircuitByNumber(s.Circuit)!.Wire!.Size.ShouldBe(alone.CircuitByNumber(s.Circuit)!.Wire!.Size);
            var step = a.CircuitByNumber(s.Circuit)!.WireDerivation.Steps.Single(x => x.What == "Cables together");
            step.Result.ShouldBe("holes of its own");
            step.Because.ShouldContain($"need {s.Larger} AWG");
            s.Cents[HoleRemedy.OwnHole].ShouldBe(s.Places * 1);
        }

        Left(a).ShouldBeEmpty();
    }

    [Fact]
    public void Where_holes_cost_much_the_wire_is_larger_or_goes_another_way()
    {
        var (a, alone) = (With(6, 1_000_000), With(1, 1));
        a.SharedHoles.ShouldNotBeEmpty();
        a.SharedHoles.ShouldAllBe(s => s.Remedy != HoleRemedy.OwnHole && s.Cents[s.Remedy] == s.Cents.Values.Min());
        foreach (var s in a.SharedHoles.Where(s => s.Remedy == HoleRemedy.LargerWire))
        {
            a.CircuitByNumber(s.Circuit)!.Wire!.Row.Cmil.ShouldBeGreaterThan(alone.CircuitByNumber(s.Circuit)!.Wire!.Row.Cmil);
            a.CircuitByNumber(s.Circuit)!
                .WireDerivation.Steps.ShouldContain(x => x.What == "Cables together" && x.Result == $"{s.Larger} AWG");
        }

        Left(a).ShouldBeEmpty();
    }

    [Fact]
    public void In_a_hot_attic_even_three_are_too_many()
    {
        var a = With(3, 1, ambient: 50);
        a.SharedHoles.ShouldNotBeEmpty();
        Left(a).ShouldBeEmpty();
        DrillList.Of(a).Holes.ShouldBeGreaterThan(DrillList.Of(a with { Apart = [] }).Holes);
    }

    // Told anew: in each sealed hole with three cables or more, whose wire is no longer good for its breaker.
    private static List<string> Left(JobAnalysis a)
    {
        var left = new List<string>();
        foreach (var ((member, at), cables) in DrilledWays.Through(a, []).Where(h => h.Key.Member.Kind == MemberKind.Plates))
        {
            foreach (var hole in DrilledWays.Bored(a, member, cables).Where(h => h.Length > 2))
            {
                var factor = hole.Sum(h => h.Carrying) switch
                {
                    <= 3 => 1.0,
                    <= 6 => 0.8,
                    <= 9 => 0.7,
                    <= 20 => 0.5,
                    _ => 0.45,
                };
                var ambient = a.Job.Preferences.AmbientC <= 30 ? 1 : 0.76;
                foreach (
                    var c in hole.Select(h => a.CircuitByNumber(h.Circuit)!)
                        .Where(c => c.Circuit.Purpose is CircuitPurpose.Receptacles or CircuitPurpose.SmallAppliance && !c.Carried)
                )
                {
                    if (c.Wire!.Row.C90 * factor * ambient < c.Breaker - 1e-9)
                        left.Add($"{c.Number} at {member.Where} {at}");
                }
            }
        }

        return left;
    }
}
