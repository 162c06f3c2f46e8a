using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Formats;
using Circuitum.Web.Work;

namespace Circuitum.Web.Stages;

/// <summary>The house room by room with its owner: what will stand where, what is wished, what waits for whom.</summary>
public sealed class WalkStage : Stage
{
    /// <inheritdoc/>
    public override string Id => "walk";

    /// <inheritdoc/>
    public override string List => "Walk/_WalkList";

    /// <inheritdoc/>
    public override PlanStage? Plan => PlanStage.Rooms;

    /// <inheritdoc/>
    public override ImmutableArray<Tool> Tools => [];

    /// <inheritdoc/>
    protected override string Done(JobAnalysis a) => $"{a.Job.Wishes.Length} wishes";
}
