using Circuitum.Core.Analysis;
using Circuitum.Core.Commands;
using Circuitum.Core.Planning;

namespace Circuitum.Core.Review;

/// <summary>What a way of working would make of a house that is planned, its locked and hand-made decisions kept.</summary>
/// <param name="Breakers">Breakers now and then.</param>
/// <param name="Feet">Feet of cable now and then.</param>
/// <param name="Musts">Findings that must be mended, now and then.</param>
/// <param name="Shoulds">Findings that should be looked at, now and then.</param>
public sealed record WayPreview(
    (int Now, int Then) Breakers,
    (double Now, double Then) Feet,
    (int Now, int Then) Musts,
    (int Now, int Then) Shoulds
)
{
    /// <summary>Plans the house that way; none when there is no such way or nothing is planned yet. Nothing is changed.</summary>
    /// <param name="a">The house as it is.</param>
    /// <param name="way">The way's id.</param>
    public static WayPreview? Of(JobAnalysis a, string way)
    {
        if (a.Circuits.Length == 0 || new TakeWay(way).Apply(a.Job).Job is not { } taken)
            return null;
        var then = Analyzer.Analyze(Planner.PlanAfresh(taken));
        return new(
            (a.Circuits.Length, then.Circuits.Length),
            (a.CableFeet, then.CableFeet),
            (Count(a, Severity.Must), Count(then, Severity.Must)),
            (Count(a, Severity.Should), Count(then, Severity.Should))
        );
    }

    private static int Count(JobAnalysis a, Severity severity) => a.Findings.Count(f => f.Severity == severity);
}
