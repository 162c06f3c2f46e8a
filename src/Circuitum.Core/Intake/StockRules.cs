using System.Text.RegularExpressions;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Intake;

/// <summary>What reels and a shelf may be.</summary>
public static partial class StockRules
{
    /// <summary>Most reels of a job.</summary>
    public const int MostReels = 200;

    /// <summary>Most items on its shelf.</summary>
    public const int MostItems = 500;

    /// <summary>Most of one item.</summary>
    public const int MostOfOne = 100_000;

    /// <summary>Most cable on a reel.</summary>
    public static readonly Length LongestReel = Length.Feet(5000);

    /// <summary>Most minutes that a task takes once.</summary>
    public const double MostMinutes = 1000;

    /// <summary>Most hours that a stage takes.</summary>
    public const double MostHours = 10_000;

    internal static bool IsMinutes(double minutes) => minutes is >= 0 and <= MostMinutes;

    internal static bool IsHours(double hours) => hours is > 0 and <= MostHours;

    private static void Check(WorkFigures work, List<Problem> problems)
    {
        if (work.Minutes.Count > 100)
            problems.Add(new("work.minutes", "100 tasks at most."));
        foreach (var (task, minutes) in work.Minutes.Take(100))
        {
            JobRules.Text("work.minutes", task, 60, problems);
            if (!IsMinutes(minutes))
                problems.Add(new($"work.minutes.{JobRules.Short(task)}", $"{minutes} is outside 0 to {MostMinutes}."));
        }

        var stages = Enum.GetValues<BuyStage>().Select(WorkFigures.KeyOf).ToList();
        foreach (var (stage, hours) in work.Took.Where(t => !IsHours(t.Value) || !stages.Contains(t.Key)).Take(10))
            problems.Add(
                new(
                    $"work.took.{JobRules.Short(stage)}",
                    $"{hours} is outside 0 to {MostHours}, or the stage is none of {string.Join(", ", stages)}."
                )
            );
    }

    internal static void Check(Job job, List<Problem> problems)
    {
        if (job.Work is { } work)
            Check(work, problems);
        if (job.Stock is not { } stock)
            return;
        if (stock.Reels.Length > MostReels)
            problems.Add(new("stock.reels", $"{MostReels} reels at most."));
        var seen = new HashSet<string>();
        for (var i = 0; i < Math.Min(MostReels, stock.Reels.Length); i++)
        {
            var (reel, field) = (stock.Reels[i], $"stock.reels[{i}]");
            JobRules.Text($"{field}.id", reel.Id, 40, problems);
            JobRules.Text($"{field}.place", reel.Place, 60, problems);
            if (reel.Id.Length == 0 || !seen.Add(reel.Id))
                problems.Add(new($"{field}.id", $"Reel '{JobRules.Short(reel.Id)}' is there twice, or has no name."));
            if (!Cable().IsMatch(reel.Cable))
                problems.Add(new($"{field}.cable", $"'{JobRules.Short(reel.Cable)}' is no cable. Write it like 12-2."));
            JobRules.Range($"{field}.held", reel.Held, Length.Zero, LongestReel, problems);
        }

        if (stock.Shelf.Length > MostItems)
            problems.Add(new("stock.shelf", $"{MostItems} items at most."));
        seen.Clear();
        for (var i = 0; i < Math.Min(MostItems, stock.Shelf.Length); i++)
        {
            var (item, field) = (stock.Shelf[i], $"stock.shelf[{i}]");
            JobRules.Text($"{field}.key", item.Key, JobRules.LongestName, problems);
            if (item.Key.Length == 0 || !seen.Add(item.Key))
                problems.Add(new($"{field}.key", $"'{JobRules.Short(item.Key)}' is on the shelf twice, or has no name."));
            if (item.Quantity is < 1 or > MostOfOne)
                problems.Add(new($"{field}.quantity", $"Quantity: {item.Quantity} is outside 1 to {MostOfOne}."));
        }
    }

    [GeneratedRegex(@"^(14|12|10|8|6|4|3|2|1)-(2|3|2-2)$")]
    internal static partial Regex Cable();
}
