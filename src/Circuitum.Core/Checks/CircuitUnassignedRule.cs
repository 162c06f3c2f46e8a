using Circuitum.Core.Analysis;

namespace Circuitum.Core.Checks;

/// <summary>Each box on a circuit.</summary>
internal sealed class CircuitUnassignedRule : CheckedRule
{
    internal override string Id => "circuit.unassigned";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        var loose = a.Job.Decisions.Boxes.Where(b => b.Serves is null && a.CircuitOf(b.Id) is null).ToList();
        if (loose.Count > 0)
            yield return Breach(
                a,
                $"{loose.Count} {(loose.Count == 1 ? $"{a.Edition.Word("box")} is" : $"{a.Edition.Word("boxes")} are")} on no circuit: "
                    + $"{string.Join(", ", loose.Take(5).Select(b => b.Id))}{(loose.Count > 5 ? " and more" : "")}.",
                [.. loose.Take(50).Select(b => Subject.Box(b.Id))]
            );
    }
}
