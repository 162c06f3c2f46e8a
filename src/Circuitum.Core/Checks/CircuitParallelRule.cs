using Circuitum.Core.Analysis;

namespace Circuitum.Core.Checks;

/// <summary>The cables of a circuit form a tree: current comes back the way it went.</summary>
internal sealed class CircuitParallelRule : CheckedRule
{
    internal override string Id => "circuit.parallel";

    internal override IEnumerable<Finding> InCircuit(JobAnalysis a, CircuitAnalysis c)
    {
        var laid = c.Run.Segments.Where(h => h.From is not null).Select(h => Pair(h.From!, h.To)).ToHashSet();
        foreach (var ring in c.Run.Beside.Where(h => !laid.Contains(Pair(h.From!, h.To))))
            yield return Breach(
                a,
                $"The cable from {ring.From} to {ring.To} closes a ring in circuit {c.Number}: current would come back by two ways.",
                Subject.Circuit(c.Number),
                Subject.Box(ring.From!),
                Subject.Box(ring.To)
            );
    }

    private static (string, string) Pair(string a, string b) => string.CompareOrdinal(a, b) < 0 ? (a, b) : (b, a);
}
