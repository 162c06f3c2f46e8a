using Circuitum.Core.Analysis;

namespace Circuitum.Core.Checks;

/// <summary>No hole larger than its member allows.</summary>
internal sealed class WireHoleRule : CheckedRule
{
    internal override string Id => "wire.hole";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a) =>
        a.Circuits.Length == 0
            ? []
            : DrillList
                .Of(a)
                .Lines.Where(l => l.TooLarge)
                .Select(l =>
                    Breach(
                        a,
                        $"{l.Where}: a hole of {l.Bit} is larger than the member allows, and one cable needs it. Lead it another "
                            + "way, or fur the wall out."
                    )
                );
}
