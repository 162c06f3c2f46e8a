using Circuitum.Core.Analysis;
using Circuitum.Core.Explain;

namespace Circuitum.Core.Takeoff;

/// <summary>The derivations behind the numbers of the takeoff.</summary>
public static class MaterialWhy
{
    /// <summary>The derivation of a key, or none.</summary>
    /// <param name="a">The analysis.</param>
    /// <param name="key">Such as <c>material.RoughIn.staple</c> or <c>coils.12-2</c>.</param>
    public static Derivation? Of(JobAnalysis a, string key) =>
        key.Split('.', 3) switch
        {
            ["coils", var cable] => CutPlan.Of(a).FirstOrDefault(c => c.Cable == cable)?.Derivation,
            ["material", var stage, var item] => HouseMaterial
                .Of(a)
                .Lines.FirstOrDefault(l => $"{l.Stage}" == stage && l.Item.Key == item)
                ?.Derivation(a),
            _ => null,
        };
}
