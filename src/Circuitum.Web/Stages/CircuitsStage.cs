using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Formats;
using Circuitum.Web.Work;

namespace Circuitum.Web.Stages;

/// <summary>Boxes divided into branch circuits.</summary>
public sealed class CircuitsStage : Stage
{
    /// <inheritdoc/>
    public override string Id => "circuits";

    /// <inheritdoc/>
    public override int? Tab => 4;

    /// <inheritdoc/>
    public override string List => "Circuits/_CircuitList";

    /// <inheritdoc/>
    public override PlanStage? Plan => PlanStage.Circuits;

    /// <inheritdoc/>
    public override ImmutableArray<Tool> Tools => [Tool.Pick, new("lasso", "Lasso")];

    /// <inheritdoc/>
    protected override ImmutableArray<string> Rules => ["circuit.", "wire.", "protect."];

    /// <inheritdoc/>
    protected override bool Begun(JobAnalysis a) => a.Circuits.Length > 0;

    /// <inheritdoc/>
    protected override string Done(JobAnalysis a) => $"{a.Circuits.Length} circuits";
}
