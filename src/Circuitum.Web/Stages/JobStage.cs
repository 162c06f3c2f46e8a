using Circuitum.Core.Analysis;

namespace Circuitum.Web.Stages;

/// <summary>The job's head, frame and preferences.</summary>
public sealed class JobStage : Stage
{
    /// <inheritdoc/>
    public override string Id => "job";

    /// <inheritdoc/>
    public override int? Tab => 1;

    /// <inheritdoc/>
    public override string List => "Head/_JobForm";

    /// <inheritdoc/>
    public override bool Wide => true;

    /// <inheritdoc/>
    protected override string Done(JobAnalysis a) => a.Edition.Id;
}
