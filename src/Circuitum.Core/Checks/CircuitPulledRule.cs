using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>Home runs that are pulled and not what the plan asks for any more.</summary>
internal sealed class CircuitPulledRule : CheckedRule
{
    internal override string Id => "circuit.pulled";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        foreach (var run in a.Job.Decisions.Pulled)
        {
            if (a.CircuitByNumber(run.Circuit) is { } c && Wrong(c, run) is { } words)
                yield return Breach(a, words, Subject.Circuit(c.Number), Subject.Box(run.To));
        }
    }

    private static string? Wrong(CircuitAnalysis c, PulledRun run) =>
        c.Pulled is null ? $"The home run of circuit {c.Number} is pulled to {run.To}, which is not on it any more."
        : c.Pulled != run
            ? $"A second home run of circuit {c.Number} is pulled, to {run.To}: one feeds it, the other stays for something else or comes "
                + "out."
        : $"{c.Cable}" != run.Cable ? $"The home run of circuit {c.Number} is pulled as {run.Cable}; it needs {c.Cable} now."
        : null;
}
