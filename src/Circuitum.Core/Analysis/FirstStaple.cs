using Circuitum.Core.Measure;

namespace Circuitum.Core.Analysis;

/// <summary>How far from a box of a house the first staple may be.</summary>
/// <param name="Most">The most.</param>
/// <param name="Plain">Whether that is because the house has boxes without clamps.</param>
internal readonly record struct FirstStaple(Length Most, bool Plain)
{
    internal static FirstStaple Of(JobAnalysis a)
    {
        var plain = a.Specs.Values.Any(s => s.Entry is { Clamps: false, Metal: false });
        return new(a.Edition.Number(plain ? "stapleFromPlainBoxIn" : "stapleFromBoxIn").Length, plain);
    }
}
