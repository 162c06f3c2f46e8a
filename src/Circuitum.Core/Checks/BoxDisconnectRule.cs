using Circuitum.Core.Analysis;

namespace Circuitum.Core.Checks;

/// <summary>A disconnect within sight of equipment.</summary>
internal sealed class BoxDisconnectRule : CheckedRule
{
    internal override string Id => "box.disconnect";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a) =>
        EquipmentCutoffs.Wrong(a, control: false).Select(w => Breach(a, w.Words, w.Subject) with { Fix = w.Fix });
}
