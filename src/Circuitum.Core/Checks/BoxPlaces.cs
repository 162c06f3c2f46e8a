using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Checks;

/// <summary>Boxes in doorways and windows, boxes that wait, ratings and volumes.</summary>
internal sealed class BoxPlaces : ICheck
{
    public ImmutableArray<string> Rules => ["box.door", "box.held", "box.rating", "box.volume"];

    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        foreach (var box in a.Job.Decisions.Boxes)
        {
            var room = a.House[box.Room];
            if (
                box.Wall is { } wall
                && room.Openings.FirstOrDefault(o => o.Wall == wall && box.Along > o.From && box.Along < o.To && InTheWay(o.Opening, box))
                    is { } o
            )
            {
                var aside = box.Along - o.From < o.To - box.Along ? o.From - Length.Inches(6) : o.To + Length.Inches(6);
                if (aside < Length.Zero || aside > room.Walls[wall].Length)
                    aside = aside < Length.Zero ? o.To + Length.Inches(6) : o.From - Length.Inches(6);
                yield return CheckList.Make(
                    a,
                    "box.door",
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

            if (box.Held is { } held)
                yield return CheckList.Make(
                    a,
                    "box.held",
                    $"{room.Room.Name}: {box.Id} waits for {held.WaitsFor}{(held.Ask.Length > 0 ? $"; ask {held.Ask}" : "")}. "
                        + $"Leave {LengthText.Show(held.Slack)} of slack.",
                    Subject.Box(box.Id)
                );
            if (a.Specs.GetValueOrDefault(box.Id) is not { } spec)
                continue;
            if (spec.Fill is { } fill && spec.Entry is { } entry && fill.Inches3 > entry.Volume + 1e-9)
                yield return CheckList.Make(
                    a,
                    "box.volume",
                    $"{room.Room.Name}: {box.Id} needs {fill.Inches3:0.00} in3; a {entry.Name} holds {entry.Volume:0.0}.",
                    Subject.Box(box.Id)
                ) with
                {
                    Fix = box.Size is not null ? BoxFixes.Change("Take the smallest that serves", box.Id, new() { Size = "" }) : null,
                };
            if (spec.RatingFault is { } fault)
                yield return CheckList.Make(a, "box.rating", $"{room.Room.Name}: {box.Id} {fault}.", Subject.Box(box.Id)) with
                {
                    Fix = BoxFixes.Change("Take the rating that fits", box.Id, new() { Rating = 0 }),
                };
        }
    }

    // Over a window or a door there is wall again.
    private static bool InTheWay(Opening opening, Box box)
    {
        if (opening.Kind != OpeningKind.Window)
            return box.Height < Length.Inches(82);
        var sill = opening.Sill ?? Length.Feet(3);
        return box.Height > sill && box.Height < Length.Inches(82);
    }
}
