using Circuitum.Core.Analysis;
using Circuitum.Formats;

namespace Circuitum.Web.Stages;

/// <summary>All that was found wrong or worth a look.</summary>
public sealed class FindingsStage : Stage
{
    /// <inheritdoc/>
    public override string Id => "findings";

    /// <inheritdoc/>
    public override string List => "Findings/_Findings";

    /// <inheritdoc/>
    public override PlanStage? Plan => PlanStage.Circuits;

    /// <inheritdoc/>
    public override bool Wide => true;

    /// <inheritdoc/>
    protected override string Done(JobAnalysis a) => $"{a.Findings.Length} findings";
}
