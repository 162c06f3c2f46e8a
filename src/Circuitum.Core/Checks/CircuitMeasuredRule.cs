using Circuitum.Core.Analysis;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Checks;

/// <summary>Home runs that took much more or less cable than planned.</summary>
internal sealed class CircuitMeasuredRule : CheckedRule
{
    internal override string Id => "circuit.measured";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        foreach (var run in a.Job.Decisions.Pulled)
        {
            if (
                run.Measured is { } took
                && a.CircuitByNumber(run.Circuit) is { } c
                && c.Pulled == run
                && $"{c.Cable}" == run.Cable
                && c.Run.First == run.To
                && c.Run.Segments[0].Cut is var planned
                && Odd(took, planned)
            )
                yield return Breach(
                    a,
                    $"The home run of circuit {c.Number} took {LengthText.Far(took, a.Units)} off the reel where the plan has "
                        + $"{LengthText.FarNumber(planned, a.Units)}: another way, another box, or a misread reel?",
                    Subject.Circuit(c.Number),
                    Subject.Box(run.To)
                );
        }
    }

    // A fifth, and more than a hand misjudges.
    private static bool Odd(Length took, Length planned) => (took - planned).Abs() > Length.Max(Length.Feet(6), planned / 5);
}
