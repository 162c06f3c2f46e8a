using System.Collections.Immutable;
using Circuitum.Core.Analysis;

namespace Circuitum.Web.Stages;

/// <summary>The panels, their spaces and loads.</summary>
public sealed class PanelStage : Stage
{
    /// <inheritdoc/>
    public override string Id => "panel";

    /// <inheritdoc/>
    public override int? Tab => 6;

    /// <inheritdoc/>
    public override string List => "Panels/_LoadSheet";

    /// <inheritdoc/>
    public override string? Sheet => "Panels/_Panel";

    /// <inheritdoc/>
    protected override ImmutableArray<string> Rules => ["panel.", "service.", "feeder.", "board."];

    /// <inheritdoc/>
    protected override bool Begun(JobAnalysis a) => a.SpacesUsed > 0;

    /// <inheritdoc/>
    protected override string Done(JobAnalysis a) => "laid out";
}
