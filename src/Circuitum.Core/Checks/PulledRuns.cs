using System.Collections.Immutable;
using Circuitum.Core.Analysis;

namespace Circuitum.Core.Checks;

/// <summary>Home runs that are pulled and no longer what the plan asks for.</summary>
internal sealed class PulledRuns : ICheck
{
    public ImmutableArray<string> Rules => ["circuit.measured", "circuit.pulled"];

    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        foreach (var run in a.Job.Decisions.Pulled)
        {
            if (a.CircuitByNumber(run.Circuit) is not { } c)
                continue;
            Subject[] subjects = [Subject.Circuit(c.Number), Subject.Box(run.To)];
            if (c.Pulled is not null && c.Pulled != run)
                yield return CheckList.Make(
                    a,
                    "circuit.pulled",
                    $"A second home run of circuit {c.Number} is pulled, to {run.To}: one feeds it, the other stays for "
                        + "something else or comes out.",
                    subjects
                );
            else if (c.Pulled is null)
                yield return CheckList.Make(
                    a,
                    "circuit.pulled",
                    $"The home run of circuit {c.Number} is pulled to {run.To}, which is not on it any more.",
                    subjects
                );
            else if (c.Cable != run.Cable)
                yield return CheckList.Make(
                    a,
                    "circuit.pulled",
                    $"The home run of circuit {c.Number} is pulled as {run.Cable}; it needs {c.Cable} now.",
                    subjects
                );
            else if (run.Measured is { } took && c.Run.First == run.To && Odd(took, c.Run.Segments[0].Cut))
                yield return CheckList.Make(
                    a,
                    "circuit.measured",
                    $"The home run of circuit {c.Number} took {took.InFeet:0} ft off the reel where the plan has "
                        + $"{c.Run.Segments[0].Cut.InFeet:0}: another way, another box, or a misread reel?",
                    subjects
                );
        }
    }

    // A fifth, and more than a hand misjudges.
    private static bool Odd(Measure.Length took, Measure.Length planned) =>
        (took - planned).Abs() > Measure.Length.Max(Measure.Length.Feet(6), planned / 5);
}
