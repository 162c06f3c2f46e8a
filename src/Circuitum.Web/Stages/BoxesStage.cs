using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;
using Circuitum.Formats;
using Circuitum.Web.Work;

namespace Circuitum.Web.Stages;

/// <summary>Boxes in their rooms.</summary>
public sealed class BoxesStage : Stage
{
    /// <inheritdoc/>
    public override string Id => "boxes";

    /// <inheritdoc/>
    public override int? Tab => 3;

    /// <inheritdoc/>
    public override string List => "Boxes/_BoxList";

    /// <inheritdoc/>
    public override PlanStage? Plan => PlanStage.Boxes;

    /// <inheritdoc/>
    public override ImmutableArray<Tool> Tools =>
        [
            Tool.Pick,
            new("box:Receptacle", "Receptacle"),
            new("box:Switch", "Switch"),
            new("box:Light", "Light"),
            new("box:SmokeAlarm", "Alarm"),
            new("box:Disconnect", "Disconnect"),
        ];

    /// <inheritdoc/>
    protected override ImmutableArray<string> Rules => ["box."];

    /// <inheritdoc/>
    protected override bool Begun(JobAnalysis a) => a.Job.Decisions.Boxes.Length > 0;

    /// <inheritdoc/>
    protected override string Done(JobAnalysis a) => a.Job.Decisions.Boxes.All(b => b.By == Origin.Person) ? "decided" : "proposed";
}
