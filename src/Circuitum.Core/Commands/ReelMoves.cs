using System.Globalization;
using Circuitum.Core.Edits;
using Circuitum.Core.Intake;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Takeoff;

namespace Circuitum.Core.Commands;

/// <summary>Brings the reels of another job with what is left on them.</summary>
/// <param name="From">The other job; it gives them up by <see cref="GiveReels"/>.</param>
public sealed record BringReels(Job From) : JobCommand("bring reels of another job")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        var stock = job.Stock ?? Stock.None;
        foreach (var reel in GiveReels.Left(From))
        {
            var id = Enumerable
                .Range(1, StockRules.MostReels + 1)
                .Select(n => string.Create(CultureInfo.InvariantCulture, $"{reel.Cable}.{n}"))
                .First(n => stock.Reels.All(r => r.Id != n));
            stock = stock with { Reels = stock.Reels.Add(reel with { Id = id, Held = CutPlan.LeftOn(From, reel) }) };
        }

        return stock == job.Stock || stock.Reels.Length == 0
            ? CommandResult.Refuse("Job: nothing is left on its reels.")
            : CommandResult.Checked(job with { Stock = stock });
    }
}

/// <summary>Gives the reels up to another job: nothing is left on them here, and what was pulled from them stays told.</summary>
/// <param name="To">What the other job is called.</param>
public sealed record GiveReels(string To) : JobCommand("give reels to another job")
{
    // As long as the place of a reel may be.
    private const int LongestPlace = 60;

    /// <summary>The reels on which something is left.</summary>
    /// <param name="job">Whose.</param>
    public static IEnumerable<Reel> Left(Job job) => (job.Stock ?? Stock.None).Reels.Where(r => CutPlan.LeftOn(job, r) > Length.Zero);

    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.Stock is not { } stock || !Left(job).Any())
            return CommandResult.Refuse("Nothing is left on the reels.");
        var place = $"gone to {To}";
        place = place[..Math.Min(place.Length, LongestPlace)];
        var given = Left(job).ToHashSet();
        return CommandResult.Checked(
            job with
            {
                Stock = stock with
                {
                    Reels =
                    [
                        .. stock.Reels.Select(r =>
                            given.Contains(r) ? r with { Held = r.Held - CutPlan.LeftOn(job, r), Place = place } : r
                        ),
                    ],
                },
            }
        );
    }
}
