using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Checks;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Review;

/// <summary>What a move of boxes would make of the circuits that it touches. Nothing is changed.</summary>
/// <param name="Now">The touched circuits as they are.</param>
/// <param name="Then">As they would be; one that is gone is left out, a new one is there.</param>
/// <param name="CableFeet">Cable more, or less when negative.</param>
public sealed record CircuitPreview(ImmutableArray<CircuitState> Now, ImmutableArray<CircuitState> Then, double CableFeet)
{
    /// <summary>Holds a job with boxes moved against the analysis of what stands.</summary>
    /// <param name="now">The analysis.</param>
    /// <param name="moved">The job with the boxes moved.</param>
    public static CircuitPreview Of(JobAnalysis now, Job moved)
    {
        var then = Analyzer.Analyze(moved);
        bool Same(int number)
        {
            var (a, b) = (
                now.Job.Decisions.Circuits.FirstOrDefault(c => c.Number == number),
                moved.Decisions.Circuits.FirstOrDefault(c => c.Number == number)
            );
            return a is not null && b is not null && a.Boxes.Select(x => x.Box).SequenceEqual(b.Boxes.Select(x => x.Box));
        }

        var touched = now.Circuits.Concat(then.Circuits).Select(c => c.Number).Distinct().Where(n => !Same(n)).Order().ToList();
        ImmutableArray<CircuitState> States(JobAnalysis a) =>
            [
                .. touched
                    .Select(a.CircuitByNumber)
                    .OfType<CircuitAnalysis>()
                    .Where(c => c.Boxes.Length > 0)
                    .Select(c => State(c, a.Findings)),
            ];
        return new(States(now), States(then), then.CableFeet - now.CableFeet);
    }

    /// <summary>
    /// What each circuit would be with boxes added to it: what a person sees while dragging, before the hand has chosen.
    /// The circuit that they come from is shown without them. Quick, because only the one circuit is worked out each time.
    /// </summary>
    /// <param name="now">The analysis.</param>
    /// <param name="boxes">The boxes that are dragged.</param>
    public static ImmutableArray<CircuitState> Everywhere(JobAnalysis now, IReadOnlySet<string> boxes)
    {
        var members = now
            .Job.Decisions.Boxes.Where(b => boxes.Contains(b.Id))
            .Select(b => new CircuitBox { Box = b.Id, By = Origin.Person })
            .ToList();
        var derive = HouseDeriver.OneByOne(now);
        return
        [
            .. now.Circuits.Select(c =>
            {
                var without = c.Circuit.Boxes.Where(b => !boxes.Contains(b.Box)).ToList();
                var changed = derive(
                    c.Circuit with
                    {
                        Boxes = without.Count < c.Circuit.Boxes.Length ? [.. without] : [.. without, .. members],
                    },
                    c.Label
                );
                return State(changed, CheckList.OfCircuit(now, changed));
            }),
        ];
    }

    private static CircuitState State(CircuitAnalysis c, IEnumerable<Finding> findings) =>
        new(
            c.Number,
            c.Label,
            c.Boxes.Length,
            c.Boxes.Count(b => b.Kind == BoxKind.Receptacle),
            c.Load.Connected.Value,
            c.Breaker,
            $"{c.Cable}",
            c.Run.Cut.InFeet,
            [
                .. findings
                    .Where(f => f.Severity != Severity.Note && f.Subjects.Contains(Subject.Circuit(c.Number)))
                    .Select(f => f.Sentence)
                    .Distinct(),
            ]
        );
}
