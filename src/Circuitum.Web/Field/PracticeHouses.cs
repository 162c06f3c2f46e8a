using BitFaster.Caching.Lru;
using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;
using Circuitum.Core.Planning;
using Circuitum.Core.Review;
using Circuitum.Web.Work;

namespace Circuitum.Web.Field;

/// <summary>Houses to practise in that belong to nobody: a starter house, wired by the ways that a number says, and by it again.</summary>
public sealed class PracticeHouses(JobDesk desk)
{
    /// <summary>Numbers from 1 up to this are different houses.</summary>
    public const int Most = 24;

    private const int MostKept = 6;

    private readonly ConcurrentLru<int, JobAnalysis> kept = new(MostKept);

    /// <summary>The house of a number.</summary>
    public async Task<JobAnalysis> OfAsync(int number, CancellationToken cancel)
    {
        if (kept.TryGet(number, out var there))
            return there;
        var starter = desk.Starters[number % desk.Starters.Count].File;
        var reading = await desk.StarterAsync(starter, cancel);
        var way = number / desk.Starters.Count;
        var job = reading.Job! with
        {
            Name = $"House number {number}",
            Preferences = reading.Job.Preferences with
            {
                Connections = (way & 1) == 0 ? Connections.Pigtail : Connections.FeedThrough,
                RoughTesting = (way & 2) == 0 ? RoughTesting.Dead : RoughTesting.Live,
                GroundFault = (way & 4) == 0 ? ProtectionPlace.FirstReceptacle : ProtectionPlace.Breaker,
            },
        };
        var house = await Task.Run(() => Analyzer.Analyze(Planner.PlanAll(job)), cancel);
        kept.AddOrUpdate(number, house);
        return house;
    }
}
