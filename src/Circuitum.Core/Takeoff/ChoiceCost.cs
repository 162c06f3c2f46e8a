using Circuitum.Core.Analysis;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Takeoff;

/// <summary>What a choice costs the owner, before it is taken: one estimate against the other.</summary>
/// <param name="Total">The whole difference, less than zero for what is saved.</param>
/// <param name="Hours">Hours of one person of it.</param>
/// <param name="Complete">Whether every item has a price in both.</param>
public sealed record ChoiceCost(Money Total, double Hours, bool Complete)
{
    /// <summary>What it costs to have one house in place of another.</summary>
    public static ChoiceCost Of(JobAnalysis now, JobAnalysis then, PriceBook book)
    {
        var (before, after) = (Estimate.Of(now, book), Estimate.Of(then, book));
        return new(after.Total - before.Total, after.Hours - before.Hours, before.Unpriced.Length == 0 && after.Unpriced.Length == 0);
    }

    /// <summary>In words, such as <c>+$84.20 and +0.6 h</c>.</summary>
    public string InWords =>
        FormattableString.Invariant($"{Total.ExactSigned} and {Hours:+0.0;-0.0;0.0} h") + (Complete ? "" : ", not everything has a price");
}
