using Circuitum.Core.Codes;
using Circuitum.Core.Edits;
using Circuitum.Core.Intake;
using Circuitum.Core.Jobs;
using Circuitum.Core.Takeoff;

namespace Circuitum.Core.Commands;

/// <summary>Says how long a task takes.</summary>
/// <param name="Task">The task's key.</param>
/// <param name="Minutes">Minutes of one person, of a length by the foot or the metre; none goes back to what it was at first.</param>
public sealed record SetMinutes(string Task, double? Minutes) : JobCommand("say how long a task takes")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (CodeLibrary.Takeoff.Labour.FirstOrDefault(t => t.Id == Task) is not { } task)
            return CommandResult.Refuse($"There is no task '{JobRules.Short(Task)}'.");
        if (Minutes is { } minutes && !StockRules.IsMinutes(minutes))
            return CommandResult.Refuse($"Minutes to {task.In(job.Units).Text}: type a number from 0 to {StockRules.MostMinutes}.");
        var work = job.Work ?? WorkFigures.None;
        var figures =
            Minutes is { } own && own != task.In(job.Units).Minutes
                ? work.Minutes.SetItem(Task, task.Kept(own, job.Units))
                : work.Minutes.Remove(Task);
        return CommandResult.Checked(job with { Work = work with { Minutes = figures } });
    }
}

/// <summary>Says what a stage took.</summary>
/// <param name="Phase">The stage.</param>
/// <param name="Hours">Hours of one person; none takes it back.</param>
public sealed record SetTook(BuyStage Phase, double? Hours) : JobCommand("say what a stage took")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (Hours is { } hours && !StockRules.IsHours(hours))
            return CommandResult.Refuse($"Hours: type a number over 0, {StockRules.MostHours} at most.");
        var work = job.Work ?? WorkFigures.None;
        var key = WorkFigures.KeyOf(Phase);
        var took = Hours is { } told ? work.Took.SetItem(key, told) : work.Took.Remove(key);
        return CommandResult.Checked(job with { Work = work with { Took = took } });
    }
}

/// <summary>Takes over for a stage what it took: all its figures by the same factor.</summary>
/// <param name="Phase">The stage.</param>
public sealed record LearnMinutes(BuyStage Phase) : JobCommand("learn from what a stage took")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        var work = job.Work ?? WorkFigures.None;
        var plan = LabourPlan.Of(job, HouseMaterial.Of(Analysis.HouseDeriver.Derive(job)));
        if (plan.Learnt(work, Phase) is not { } factor)
            return CommandResult.Refuse("Nobody has said yet what that stage took.");
        var figures = work.Minutes;
        foreach (var task in CodeLibrary.Takeoff.Labour.Where(t => t.Stage == Phase))
            figures = figures.SetItem(task.Id, Math.Round(task.Kept(plan.MinutesOf(task.In(job.Units)), job.Units) * factor, 2));
        return CommandResult.Checked(job with { Work = work with { Minutes = figures } });
    }
}
