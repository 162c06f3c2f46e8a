using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Formats.Drawings;

/// <summary>
/// The reach of receptacles as a line along the floor: thin where a wall is served, broken and strong where it is not. The whole line of
/// the room that is being worked on, and of every other room the pieces that fail.
/// </summary>
public static class ReachLayer
{
    // Inches from the wall, on the floor and over counters.
    private const double OnFloor = 3.5;
    private const double OverCounter = 22;

    // Where no rule says how far a plug may be, there is nothing to show.
    private const string Rule = "box.wall";

    /// <summary>
    /// The line of a storey with its boxes as given, as the group that the plan holds, and what is worst in the picked room.
    /// </summary>
    public static (string Svg, string Worst) Of(JobAnalysis a, PlanView view, IReadOnlyCollection<Box> boxes)
    {
        var rooms = a.House.Rooms.Where(r => r.Room.Storey == view.Storey).ToImmutableArray();
        var drawing = new Drawing("", default, 1, [new("reach", [.. Shapes(a, view, rooms, boxes)])]);
        var worst =
            a.Edition.InForce(Rule) && Room(a, view.Selected) is { } picked
                ? ReachLine.Worst(ReachLine.Of(a.Job, a.Edition, picked, boxes), a.Units)
                : "";
        return (SvgWriter.Write(drawing).Whole, worst);
    }

    internal static IEnumerable<Shape> Shapes(JobAnalysis a, PlanView view, ImmutableArray<RoomShape> rooms, IReadOnlyCollection<Box> boxes)
    {
        if (boxes.Count == 0 || !a.Edition.InForce(Rule))
            yield break;
        var picked = Room(a, view.Selected);
        foreach (var room in rooms)
        {
            foreach (var piece in ReachLine.Of(a.Job, a.Edition, room, boxes))
            {
                if (room == picked || piece.State == ReachState.TooFar)
                    yield return new PathShape(Role.Reach, [.. Path(room, piece)])
                    {
                        State = piece.State switch
                        {
                            ReachState.TooFar => "far",
                            ReachState.CloserWanted => "closer",
                            _ => "",
                        },
                    };
            }
        }
    }

    // The room that is picked, or that of the picked box or wall.
    private static RoomShape? Room(JobAnalysis a, string selected)
    {
        var id = Subject.TryParse(selected) switch
        {
            { Kind: SubjectKind.Room or SubjectKind.Wall } room => room.Id,
            { Kind: SubjectKind.Box } box => a.Boxes.GetValueOrDefault(box.Id)?.Room,
            _ => null,
        };
        return a.Job.RoomById(id) is { } found ? a.House[found.Id] : null;
    }

    private static IEnumerable<Step> Path(RoomShape room, ReachPiece piece)
    {
        var away = piece.Counter ? OverCounter : OnFloor;
        var at = piece.From;
        while (at < piece.To)
        {
            var (wall, along) = room.FromPerimeter(at);
            var step = Length.Min(piece.To - at, room.Walls[wall].Length - along);
            if (step <= Length.Zero)
                break;
            yield return Step.From(room.On(wall, along, away));
            yield return Step.To(room.On(wall, along + step, away));
            at += step;
        }
    }
}
