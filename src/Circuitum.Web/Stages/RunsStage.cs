using Circuitum.Core.Analysis;
using Circuitum.Formats;

namespace Circuitum.Web.Stages;

/// <summary>Cables led through the frame, and pulled.</summary>
public sealed class RunsStage : Stage
{
    /// <inheritdoc/>
    public override string Id => "runs";

    /// <inheritdoc/>
    public override int? Tab => 5;

    /// <inheritdoc/>
    public override string List => "Runs/_RunList";

    /// <inheritdoc/>
    public override PlanStage? Plan => PlanStage.Runs;

    /// <inheritdoc/>
    protected override bool Begun(JobAnalysis a) => a.Circuits.Length > 0;

    /// <inheritdoc/>
    protected override string Done(JobAnalysis a) =>
        $"{a.Job.Decisions.Pulled.Length} of {a.Circuits.Count(c => c.Run.First is not null && !c.Carried)} pulled";
}
