using Circuitum.Core.Analysis;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Review;

/// <summary>A plan in six numbers, to hold beside another.</summary>
/// <param name="Breakers">Branch circuits.</param>
/// <param name="Spaces">Spaces that they take.</param>
/// <param name="Feet">Feet of cable to buy.</param>
/// <param name="Musts">Findings that must be mended.</param>
/// <param name="Shoulds">Findings that should be looked at.</param>
/// <param name="Weighed">Cable, breakers and labour as the planner weighs them; an estimate, not a price.</param>
public readonly record struct PlanTotals(int Breakers, int Spaces, double Feet, int Musts, int Shoulds, Money Weighed)
{
    /// <summary>Of a house.</summary>
    public static PlanTotals Of(JobAnalysis a) =>
        new(a.Circuits.Length, a.SpacesUsed, a.CableFeet, Count(a, Severity.Must), Count(a, Severity.Should), Consequences.Weighed(a));

    private static int Count(JobAnalysis a, Severity severity) => a.Findings.Count(f => f.Severity == severity);
}
