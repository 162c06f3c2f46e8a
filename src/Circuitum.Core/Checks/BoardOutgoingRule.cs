using Circuitum.Core.Analysis;

namespace Circuitum.Core.Checks;

/// <summary>Outgoing circuits of a board.</summary>
internal sealed class BoardOutgoingRule : CheckedRule
{
    internal override string Id => "board.outgoing";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        var most = a.Edition.Number("outgoingMost").Whole;
        foreach (var at in a.Panels)
        {
            var circuits = a.Circuits.Count(c => c.Panel == at.Panel.Id && c.Boxes.Length > 0);
            if (circuits > most)
                yield return Breach(
                    a,
                    $"{at.Panel.Name} has {circuits} outgoing circuits; {most} at most. A sub-main board feeds the rest.",
                    Subject.Panel(at.Panel.Id)
                );
        }
    }
}
