using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Circuits;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Planning;

namespace Circuitum.Core.Review;

/// <summary>Makes whole plans for each of the aims and scores them.</summary>
public static class PlanChoices
{
    /// <summary>The plan that stands and one for each aim.</summary>
    /// <param name="job">The job.</param>
    /// <param name="watch">Who looks on and may end it; none for nobody.</param>
    /// <exception cref="OperationCanceledException">It was ended.</exception>
    public static ImmutableArray<PlanChoice> Of(Job job, PlanWatch? watch = null)
    {
        var done = 0;
        var stands = Score("as it stands", job, job);
        watch?.Say($"Plans for {PlanAims.All.Length} aims are being made.");
        try
        {
            return [stands, .. SideBySide.Make(PlanAims.All, Made, watch?.Ended ?? default)];
        }
        catch (AggregateException e) when (watch is { Stopped: true })
        {
            throw new OperationCanceledException("The plans were not waited for.", e, watch.Ended);
        }

        PlanChoice Made((string Name, PlanWeights? Weights) aim)
        {
            var plan = PlanAims.Plan(job, aim.Weights, watch);
            watch?.GoOn();
            var choice = Score(aim.Name, plan, job);
            watch?.Say($"{Interlocked.Increment(ref done)} of {PlanAims.All.Length} plans are made.");
            return choice;
        }
    }

    /// <summary>What planning afresh would save, by the job's own weights, and what it would move.</summary>
    /// <param name="now">The house as it stands.</param>
    /// <param name="watch">Who looks on and may end it; none for nobody.</param>
    /// <exception cref="OperationCanceledException">It was ended.</exception>
    public static Explain.Derivation Saving(JobAnalysis now, PlanWatch? watch = null)
    {
        var plan = PlanAims.Plan(now.Job, null, watch);
        watch?.GoOn();
        var after = Score("afresh", plan, now.Job);
        var (before, then) = (PlanExplain.CostOf(now.House), PlanExplain.CostOf(after.Analysis.House));
        var saving = before - then;
        return new("Planning afresh", saving.Cents > 0 ? $"{saving} less" : "saves nothing")
        {
            Because =
                $"It would move {after.Moved.Count} boxes to another circuit; what a person put somewhere or locked stays."
                + $"{(saving.Cents <= 0 ? " The plan that stands is as good." : "")}",
            Citation = "practice",
            Steps =
            [
                new("Cost of the plan that stands", $"{before}"),
                new("Cost planned afresh", $"{then}"),
                new("Circuits", $"{now.Circuits.Count(c => c.Boxes.Length > 0)} to {after.Breakers}"),
                new(
                    "Cable",
                    $"{LengthText.FarNumber(now.CableFeet, now.Units, "#,0")} to {LengthText.Far(after.CableFeet, now.Units, "#,0")}"
                ),
                .. Moves(now, after),
            ],
        };
    }

    // Which boxes leave which circuit, and with what they are together then.
    private static IEnumerable<Explain.Derivation> Moves(JobAnalysis now, PlanChoice after) =>
        after
            .Moved.GroupBy(box => (From: now.CircuitOf(box)?.Number ?? 0, To: after.Analysis.CircuitOf(box)?.Number ?? 0))
            .OrderBy(g => g.Key)
            .Select(g => new Explain.Derivation(
                now.CircuitByNumber(g.Key.From) is { } from ? $"From {from.Number}, {from.Label}" : "On no circuit yet",
                after.Analysis.CircuitByNumber(g.Key.To) is { } to ? $"to {to.Label}" : "to none"
            )
            {
                Because =
                    $"{string.Join(", ", g.Order(StringComparer.Ordinal).Take(MostNamed))}"
                    + $"{(g.Count() > MostNamed ? $" and {g.Count() - MostNamed} more" : "")}.",
            });

    // More names than these nobody reads.
    private const int MostNamed = 12;

    private static PlanChoice Score(string name, Job job, Job now)
    {
        var a = Analyzer.Analyze(job);
        var general = a.Circuits.Where(c => c.Circuit.Purpose is CircuitPurpose.Receptacles or CircuitPurpose.Mixed).ToList();
        return new(
            name,
            a,
            a.Circuits.Count(c => c.Boxes.Length > 0),
            a.SpacesUsed,
            a.CableFeet,
            general.Sum(c => Math.Max(0, c.Boxes.Select(b => b.Room).Distinct().Count() - 1)),
            a.Circuits.Select(c => Outage.Of(a, $"circuit:{c.Number}")!.NoLight.Length).DefaultIfEmpty(0).Max(),
            PlanExplain.CostOf(a.House),
            Moved(now, job)
        );
    }

    // Numbers alone say nothing: a circuit is the same one when it shares most with the old one.
    private static ImmutableHashSet<string> Moved(Job before, Job after)
    {
        var old = before.Decisions.Circuits.SelectMany(c => c.Boxes.Select(b => (b.Box, c.Number))).ToDictionary(x => x.Box, x => x.Number);
        var taken = new HashSet<int>();
        var moved = ImmutableHashSet.CreateBuilder<string>();
        foreach (var circuit in after.Decisions.Circuits.OrderByDescending(c => c.Boxes.Length).ThenBy(c => c.Number))
        {
            var most = circuit
                .Boxes.Where(b => old.ContainsKey(b.Box))
                .GroupBy(b => old[b.Box])
                .Where(g => !taken.Contains(g.Key))
                .OrderByDescending(g => g.Count())
                .ThenBy(g => g.Key)
                .FirstOrDefault();
            if (most is not null)
                taken.Add(most.Key);
            foreach (var box in circuit.Boxes.Where(b => most is null || !old.TryGetValue(b.Box, out var n) || n != most.Key))
                moved.Add(box.Box);
        }

        return moved.ToImmutable();
    }
}
