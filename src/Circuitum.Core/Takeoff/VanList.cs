using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Takeoff;

/// <summary>What goes into the van for a stage of the work, or for some rooms of it on one day.</summary>
/// <param name="Material">Material, with how much of it.</param>
/// <param name="Reels">Reels with what is cut off them.</param>
/// <param name="Tools">Tools by the tasks of the stage, each once.</param>
/// <param name="Hours">Hours of one person.</param>
public sealed record VanList(
    ImmutableArray<MaterialLine> Material,
    ImmutableArray<(string Cable, ReelCuts Reel)> Reels,
    ImmutableArray<string> Tools,
    double Hours
)
{
    /// <summary>The list of a house.</summary>
    /// <param name="a">The analysis.</param>
    /// <param name="stage">The stage.</param>
    /// <param name="rooms">The rooms that are worked in; none for the whole house.</param>
    public static VanList Of(JobAnalysis a, BuyStage stage, IReadOnlySet<string>? rooms = null)
    {
        var all = HouseMaterial.Of(a);
        bool Here(PieceOrigin place) => rooms is null || (place.Room is { } room && rooms.Contains(room));
        var work = all.Labour.Where(l => l.Task.Stage == stage && Here(l.Place)).ToList();
        var reels = CutPlan
            .Of(a)
            .SelectMany(p =>
                p.Reels.Select(r => (p.Cable, Reel: r with { Cuts = [.. r.Cuts.Where(c => Here(Of(a, c)) && stage == BuyStage.RoughIn)] }))
            )
            .Where(r => r.Reel.Cuts.Length > 0);
        return new(
            HouseMaterial.Grouped(all.Pieces.Where(p => p.Stage == stage && Here(p.Place))),
            [.. reels],
            [.. CodeLibrary.Takeoff.Labour.Where(t => work.Exists(w => w.Task.Id == t.Id)).SelectMany(t => t.Tools).Distinct()],
            LabourPlan.Of(a.Job, all).HoursOf(work)
        );
    }

    private static PieceOrigin Of(JobAnalysis a, Cut cut) => new(a.Boxes[cut.To].Room, cut.Circuit, null, "");
}
