using Circuitum.Core.Analysis;

namespace Circuitum.Core.Checks;

/// <summary>A switch of their own for what asks for one.</summary>
internal sealed class BoxControlRule : CheckedRule
{
    internal override string Id => "box.control";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a) =>
        EquipmentCutoffs.Wrong(a, control: true).Select(w => Breach(a, w.Words, w.Subject) with { Fix = w.Fix });
}
