using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Sizing;

namespace Circuitum.Core.Checks;

/// <summary>A branch circuit's run or a feeder outside the house; both are held to the same.</summary>
/// <param name="Words">What it is, at the beginning of a sentence.</param>
/// <param name="To">The box or the panel where it ends.</param>
/// <param name="Method">Of what it is made.</param>
/// <param name="Outside">How much of it is outside.</param>
/// <param name="Buried">Whether it lies in the ground.</param>
/// <param name="Depth">How deep.</param>
/// <param name="DepthWanted">How deep it has to.</param>
/// <param name="Bends">Its bends, in conduit.</param>
/// <param name="Subjects">What a finding is about.</param>
internal sealed record OutsideRun(
    string Words,
    string To,
    OutsideMethod? Method,
    Length Outside,
    bool Buried,
    Length Depth,
    Length DepthWanted,
    ConduitBends? Bends,
    Subject[] Subjects
)
{
    /// <summary>All of a job.</summary>
    internal static IEnumerable<OutsideRun> Of(JobAnalysis a) =>
        a
            .Outside.Select(o => new OutsideRun(
                $"The run of circuit {o.Circuit} to {o.CableSegment.To}",
                o.CableSegment.To,
                o.Method,
                o.Length,
                o.Buried,
                o.Depth,
                o.DepthWanted,
                o.Bends,
                [Subject.Circuit(o.Circuit), Subject.Box(o.CableSegment.To)]
            ))
            .Concat(
                a.Panels.Where(p => p.Feeder is not null)
                    .Select(at => new OutsideRun(
                        $"The feeder of {at.Panel.Name}",
                        at.Panel.Id,
                        at.Feeder!.Run.Outside,
                        at.Feeder.Run.OutsideLength,
                        at.Feeder.Run.Buried,
                        at.Feeder.Run.Depth,
                        at.Feeder.Run.DepthWanted,
                        at.Feeder.Run.Bends,
                        [Subject.Panel(at.Panel.Id)]
                    ))
            );
}
