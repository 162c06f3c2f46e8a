using Circuitum.Core.Analysis;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Checks;

/// <summary>No box in a door or a window.</summary>
internal sealed class BoxDoorRule : CheckedRule
{
    internal override string Id => "box.door";

    // Where the frame of a door ends, and there is wall again.
    private static readonly Length Casing = Length.Inches(2);

    private static readonly Length Beside = Length.Inches(6);

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        foreach (var box in a.Job.Decisions.Boxes)
        {
            var room = a.House[box.Room];
            if (
                box.Wall is not { } wall
                || room.Openings.FirstOrDefault(o => o.Wall == wall && box.Along > o.From && box.Along < o.To && InTheWay(o.Opening, box))
                    is not { } o
            )
                continue;
            var aside = box.Along - o.From < o.To - box.Along ? o.From - Beside : o.To + Beside;
            if (aside < Length.Zero || aside > room.Walls[wall].Length)
                aside = aside < Length.Zero ? o.To + Beside : o.From - Beside;
            yield return Breach(
                a,
                $"{room.Room.Name}: {box.Id} stands in {(o.Opening.Kind == OpeningKind.Window ? "a window" : "a doorway")}.",
                Subject.Box(box.Id)
            ) with
            {
                Fix =
                    aside >= Length.Zero && aside <= room.Walls[wall].Length
                        ? new("Move it beside", new MoveBox(box.Id, wall, aside, null))
                        : null,
            };
        }
    }

    private static bool InTheWay(Opening opening, Box box) =>
        box.Height < opening.Top + Casing && (opening.Kind != OpeningKind.Window || box.Height > opening.Foot);
}
