using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>Says by which method a cable that leaves the house is run; what else was said of it stays.</summary>
/// <param name="To">The box or panel in which it ends.</param>
/// <param name="Method">How; none takes the job's preference.</param>
public sealed record SetOutsideMethod(string To, OutsideMethod? Method) : JobCommand("say how a run outside is made")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job) =>
        new SetOutsideRun((Routing.Burial.Said(job, To) ?? new OutsideRun { To = To }) with { Method = Method }).Apply(job);
}
