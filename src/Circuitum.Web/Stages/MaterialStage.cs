using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;

namespace Circuitum.Web.Stages;

/// <summary>What is needed, bought and paid.</summary>
public sealed class MaterialStage : Stage
{
    /// <inheritdoc/>
    public override string Id => "material";

    /// <inheritdoc/>
    public override int? Tab => 7;

    /// <inheritdoc/>
    public override string List => "Material/_Beside";

    /// <inheritdoc/>
    public override string? Sheet => "Material/_Material";

    /// <inheritdoc/>
    protected override bool Begun(JobAnalysis a) => a.Job.Decisions.Boxes.Length > 0;

    /// <inheritdoc/>
    public override bool AppliesTo(CodeEdition edition) => edition.Board is null;

    // Told on every page after every edit, so nothing is counted for it.
    /// <inheritdoc/>
    protected override string Done(JobAnalysis a) => "counted";
}
