using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Takeoff;

/// <summary>The work in a house, by the minutes that the job assumes.</summary>
/// <param name="Pieces">The work, piece by piece.</param>
/// <param name="Figures">Minutes of single tasks that are others than the figures to begin with.</param>
/// <param name="Units">In what lengths are told.</param>
public sealed record LabourPlan(ImmutableArray<LabourPiece> Pieces, ImmutableSortedDictionary<string, double> Figures, LengthUnits Units)
{
    /// <summary>The work in a house.</summary>
    /// <param name="job">The job.</param>
    /// <param name="material">Its material.</param>
    public static LabourPlan Of(Job job, HouseMaterial material) => new(material.Labour, (job.Work ?? WorkFigures.None).Minutes, job.Units);

    /// <summary>Minutes that a task takes once, or over a foot or a metre.</summary>
    public double MinutesOf(LabourTask task) =>
        Figures.TryGetValue(task.Id, out var kept) ? CodeLibrary.Takeoff.Task(task.Id).Told(kept, Units) : task.Minutes;

    /// <summary>Hours of one person in all.</summary>
    public double Hours => HoursOf(Pieces);

    /// <summary>Hours of one person for some of the work.</summary>
    public double HoursOf(IEnumerable<LabourPiece> pieces) => pieces.Sum(p => p.Times * MinutesOf(p.Task)) / 60;

    /// <summary>Hours by task, in the order of the work.</summary>
    public ImmutableArray<(LabourTask Task, double Times, double Hours)> ByTask =>
        [
            .. CodeLibrary
                .Takeoff.Labour.Select(t => (Task: t.In(Units), Times: Pieces.Where(p => p.Task.Id == t.Id).Sum(p => p.Times)))
                .Where(t => t.Times > 0)
                .Select(t => (t.Task, t.Times, t.Times * MinutesOf(t.Task) / 60)),
        ];

    /// <summary>Hours by stage.</summary>
    public ImmutableArray<(BuyStage Stage, double Hours)> ByStage =>
        [.. Pieces.GroupBy(p => p.Task.Stage).OrderBy(g => g.Key).Select(g => (g.Key, HoursOf(g)))];

    /// <summary>Hours by room, most first; what belongs to no room has none.</summary>
    public ImmutableArray<(string? Room, double Hours)> ByRoom =>
        [.. Pieces.GroupBy(p => p.Place.Room).Select(g => (g.Key, HoursOf(g))).OrderByDescending(g => g.Item2)];

    /// <summary>
    /// What was planned for a stage against what it took: by how much every figure of the stage would have been right; none while nobody
    /// wrote down what it took.
    /// </summary>
    public double? Learnt(WorkFigures work, BuyStage stage)
    {
        var planned = HoursOf(Pieces.Where(p => p.Task.Stage == stage));
        return planned > 0 && work.TookOf(stage) is > 0 and var took ? took / planned : null;
    }
}
