using System.Xml;
using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using static Circuitum.Formats.PlanSvg;

namespace Circuitum.Formats;

/// <summary>
/// Draws the reach of receptacles as a line along the floor: thin where a wall is served, broken and strong where it is
/// not. The whole line of the room that is being worked on, and of every other room the pieces that fail.
/// </summary>
public static class ReachMarks
{
    /// <summary>The line of one room with its boxes as given, as the group that the plan holds, and what is worst in it.</summary>
    public static (string Svg, string Worst) Of(JobAnalysis a, PlanView view, IReadOnlyCollection<Box> boxes)
    {
        var sheet = new PlanSheet();
        var w = sheet.Writer;
        w.WriteStartElement("svg", "http://www.w3.org/2000/svg");
        sheet.Opened();
        var rooms = a.House.Rooms.Where(r => r.Room.Storey == view.Storey).ToList();
        sheet.Part("reach", () => Draw(w, a, view, rooms, boxes));
        var worst = Room(a, view.Selected) is { } picked ? ReachLine.Worst(ReachLine.Of(a.Job, a.Edition, picked, boxes)) : "";
        return (sheet.Done().Whole, worst);
    }

    internal static void Draw(XmlWriter w, JobAnalysis a, PlanView view, List<RoomShape> rooms, IReadOnlyCollection<Box> boxes)
    {
        if (boxes.Count == 0)
            return;
        var picked = Room(a, view.Selected);
        foreach (var room in rooms)
        {
            foreach (var piece in ReachLine.Of(a.Job, a.Edition, room, boxes))
            {
                if (room != picked && piece.State != ReachState.TooFar)
                    continue;
                Shape(
                    w,
                    "path",
                    piece.State switch
                    {
                        ReachState.TooFar => "reach far",
                        ReachState.CloserWanted => "reach closer",
                        _ => "reach",
                    },
                    ("d", Path(room, piece))
                );
            }
        }
    }

    // The room that is picked, or that of the picked box or wall.
    private static RoomShape? Room(JobAnalysis a, string selected)
    {
        var id = selected.Split(':') switch
        {
            ["room", var room] => room,
            ["wall", var room, _] => room,
            ["box", var box] => a.Boxes.GetValueOrDefault(box)?.Room,
            _ => null,
        };
        return a.Job.RoomById(id) is { } found ? a.House[found.Id] : null;
    }

    private static string Path(RoomShape room, ReachPiece piece)
    {
        var away = piece.Counter ? 22 : 3.5;
        var d = new System.Text.StringBuilder();
        var at = piece.From;
        while (at < piece.To)
        {
            var (wall, along) = room.FromPerimeter(at);
            var step = Length.Min(piece.To - at, room.Walls[wall].Length - along);
            if (step <= Length.Zero)
                break;
            var (p, q) = (room.On(wall, along, away), room.On(wall, along + step, away));
            d.Append($"M{N(p.X.InInches)} {N(p.Y.InInches)}L{N(q.X.InInches)} {N(q.Y.InInches)}");
            at += step;
        }

        return d.ToString();
    }
}
