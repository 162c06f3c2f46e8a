using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Formats;
using Circuitum.Web.Work;

namespace Circuitum.Web.Stages;

/// <summary>Rooms, openings and what stands in them.</summary>
public sealed class RoomsStage : Stage
{
    /// <inheritdoc/>
    public override string Id => "rooms";

    /// <inheritdoc/>
    public override int? Tab => 2;

    /// <inheritdoc/>
    public override string List => "Rooms/_RoomList";

    /// <inheritdoc/>
    public override PlanStage? Plan => PlanStage.Rooms;

    /// <inheritdoc/>
    public override ImmutableArray<Tool> Tools => [Tool.Pick, Palette.Room, Palette.Door, Palette.Window];

    /// <inheritdoc/>
    public override bool HasPalette => true;

    /// <inheritdoc/>
    protected override ImmutableArray<string> Rules => ["plan."];

    /// <inheritdoc/>
    protected override bool Begun(JobAnalysis a) => a.Job.Rooms.Length > 0;

    /// <inheritdoc/>
    protected override string Done(JobAnalysis a) => $"{a.Job.Rooms.Length} rooms";
}
