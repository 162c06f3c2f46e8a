using System.Collections.Immutable;
using Circuitum.Core.Entry;
using Circuitum.Core.Geometry;
using Circuitum.Core.Intake;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Point = Circuitum.Core.Measure.Point;

namespace Circuitum.Formats.Dxf;

/// <summary>Makes rooms, doors and windows of a drawing.</summary>
public static class DxfPlan
{
    private const double LeastRoomSqFt = 6;
    private const int MostCorners = 64;

    /// <summary>Puts what a drawing holds onto a storey of a job.</summary>
    /// <param name="drawing">The drawing.</param>
    /// <param name="choice">Layers and units.</param>
    /// <param name="job">The job.</param>
    /// <param name="storey">The storey, which must be empty.</param>
    public static DxfImport Import(DxfDrawing drawing, DxfChoice choice, Job job, string storey)
    {
        if (job.StoreyById(storey) is not { } floor)
            return new(null, [], "Pick a storey.");
        if (job.Rooms.Any(r => r.Storey == storey))
            return new(null, [], $"{floor.Name} has rooms already. Import onto an empty storey.");
        if (choice.InchesPerUnit is not (> 0.001 and < 10_000))
            return new(null, [], "Units: choose one of the list.");
        var report = new List<string>();
        var scale = new Scale(drawing, choice.InchesPerUnit);
        if (scale.Moved)
            report.Add("The drawing lay far from its origin; it was moved there.");
        var marks = OpeningMarks.Of(drawing, choice, scale);
        var outlines = Closed(drawing, choice.Rooms, scale);
        if (outlines.Count > 0)
            report.Add($"{outlines.Count} closed outlines on {List(choice.Rooms)} were taken as rooms.");
        else
        {
            if (choice.Walls.Count == 0)
                return new(null, report, "Choose the layers of the walls, or of closed room outlines.");
            var (faces, problem, single) = WallFaces.Of(drawing, choice.Walls, scale, marks);
            if (problem.Length > 0)
                return new(null, report, problem);
            outlines = faces;
            report.Add($"{faces.Count} rooms were found between the lines on {List(choice.Walls)}.");
            if (single)
                report.Add("The walls are single lines; they were taken as the middle of partitions.");
        }

        var rooms = Rooms(drawing, outlines, scale, job, floor, report);
        if (rooms.Count == 0)
            return new(null, report, "No closed room was found. Are the chosen layers those of the walls, and do the walls meet?");
        var taken = job.Rooms.AddRange(rooms);
        var made = job with { Rooms = [.. taken] };
        made = Openings(made, storey, marks, report);
        foreach (var (kind, count) in drawing.NotTaken)
            report.Add($"Not taken: {count:#,0} {kind}.");
        var left = drawing
            .Layers.Where(l =>
                !choice.Rooms.Contains(l.Layer)
                && !choice.Walls.Contains(l.Layer)
                && !choice.Doors.Contains(l.Layer)
                && !choice.Windows.Contains(l.Layer)
            )
            .ToList();
        if (left.Count > 0)
            report.Add(
                "Layers not used, but for names of rooms: "
                    + $"{string.Join(", ", left.Take(12).Select(l => $"{l.Layer} ({l.Count:#,0})"))}{(left.Count > 12 ? " and more" : "")}."
            );
        return JobRules.Check(made) is [var first, ..]
            ? new(null, report, $"The drawing was read, but what it holds is no plan: {first}")
            : new(made, report, "");
    }

    private static string List(IEnumerable<string> layers) => string.Join(", ", layers.Order(StringComparer.OrdinalIgnoreCase));

    private static List<List<Point>> Closed(DxfDrawing drawing, ImmutableHashSet<string> layers, Scale scale) =>
        [
            .. drawing
                .Paths.Where(p => layers.Contains(p.Layer) && (p.Closed || p.Points[0] == p.Points[^1]))
                .Select(p => WallFaces.Tidy(p.Points.Select(scale.Of)))
                .Where(o => o.Count >= 3),
        ];

    private static List<Room> Rooms(DxfDrawing drawing, List<List<Point>> outlines, Scale scale, Job job, Storey floor, List<string> report)
    {
        var rooms = new List<Room>();
        var taken = job.Rooms.Select(r => r.Id).ToHashSet();
        var (small, wild, unnamed) = (0, 0, 0);
        var ceilings = drawing
            .Texts.Select(t => (At: scale.Of(t.At), Height: CeilingNote.Of(t.Text)))
            .Where(t => t.Height is not null)
            .ToList();
        var words = drawing
            .Texts.Where(t => t.Layer != DxfWriter.KindLayer && CeilingNote.Of(t.Text) is null)
            .Select(t => (At: scale.Of(t.At), t.Text))
            .Where(t => t.Text.Count(char.IsLetter) >= 3)
            .ToList();
        var kinds = drawing.Texts.Where(t => t.Layer == DxfWriter.KindLayer).Select(t => (At: scale.Of(t.At), t.Text)).ToList();
        foreach (var outline in outlines.Take(JobRules.MostRooms))
        {
            if (outline.Count > MostCorners || !HouseShape.IsSimple(outline))
            {
                wild++;
                continue;
            }

            var shape = new RoomShape(new Room { Outline = [.. outline] });
            if (shape.AreaSqFt < LeastRoomSqFt)
            {
                small++;
                continue;
            }

            var name = words
                .Where(t => shape.Contains(t.At))
                .OrderBy(t => t.At.InchesTo(shape.Centre))
                .Select(t => t.Text)
                .FirstOrDefault();
            if (name is null)
                unnamed++;
            name = (name ?? $"Room {rooms.Count + 1}").Trim();
            if (name.Length > JobRules.LongestName)
                name = name[..JobRules.LongestName];
            var id = Names.Free(name, taken);
            taken.Add(id);
            rooms.Add(
                new Room
                {
                    Id = id,
                    Name = name,
                    Kind = kinds.Where(t => shape.Contains(t.At)).Select(t => KindWord(t.Text)).FirstOrDefault(k => k is not null)
                        ?? RoomNames.KindOf(name),
                    Storey = floor.Id,
                    CeilingHeight = ceilings
                        .Where(t => shape.Contains(t.At))
                        .OrderBy(t => t.At.InchesTo(shape.Centre))
                        .FirstOrDefault()
                        .Height
                        ?? floor.Ceiling
                        ?? Length.Feet(8),
                    Outline = [.. outline],
                }
            );
        }

        if (small > 0)
            report.Add($"{small} closed shapes under {LeastRoomSqFt:0} sq ft were left out.");
        if (wild > 0)
            report.Add($"{wild} shapes with more than {MostCorners} corners or with crossing sides were left out.");
        if (unnamed > 0)
            report.Add($"{unnamed} rooms have no name in the drawing. Name them and choose their kind.");
        if (ceilings.Count == 0 && rooms.Count > 0)
            report.Add("No heights of ceilings stand in the drawing: they are as the storey has them.");
        if (kinds.Count == 0)
            report.Add("Kinds of rooms were guessed from their names. Look them over: the rules go by them.");
        return rooms;
    }

    // The kind that a word is, as the writer puts it into a drawing.
    private static RoomKind? KindWord(string word) =>
        Enum.GetValues<RoomKind>().Cast<RoomKind?>().FirstOrDefault(k => TradeEnumConverter.Word(k!.Value.ToString()) == word);

    // An opening belongs to the wall that runs beside its mark; what is behind that wall is where it leads.
    private static Job Openings(Job job, string storey, List<OpeningMark> marks, List<string> report)
    {
        var house = HouseShape.Of(job with { Openings = [] });
        var shapes = house.Rooms.Where(r => r.Room.Storey == storey).ToList();
        var (doors, windows, lost) = (0, 0, 0);
        var ids = job.Openings.Select(o => o.Id).ToHashSet();
        var made = new List<Opening>();
        var held = new List<(string Room, int Wall, Length From, Length To)>();
        bool Taken(string room, int wall, Length from, Length to) =>
            held.Any(h => h.Room == room && h.Wall == wall && h.From < to && from < h.To);
        var plain = marks.Where(m => m.Leaf is null).Select(m => (m.A, m.B)).ToHashSet();
        foreach (var group in marks.GroupBy(m => m.Group))
        {
            // Of a swing's two ends the one beside a wall is the latch; a line drawn from jamb to jamb settles it.
            var best = group
                .SelectMany(m => shapes.SelectMany(s => s.Walls.Select(w => (Mark: m, Shape: s, Wall: w, Fit: m.Fit(s, w)))))
                .Where(x => x.Fit is not null)
                .OrderBy(x => plain.Contains((x.Mark.A, x.Mark.B)) || plain.Contains((x.Mark.B, x.Mark.A)) ? 0 : 1)
                .ThenBy(x => x.Fit!.Value.Off)
                .FirstOrDefault();
            var mark = best.Mark;
            if (mark is null || best.Fit is not { } fit || job.Openings.Length + made.Count >= JobRules.MostOpenings)
            {
                lost++;
                continue;
            }

            var facing = house
                .Facing(best.Shape, best.Wall.Index)
                .FirstOrDefault(f => f.From <= fit.From + Length.Inches(1) && f.To >= fit.To - Length.Inches(1));
            var window = mark.Kind == OpeningKind.Window;
            if (window && facing?.Room.Room.Kind.OpenAir() == true)
                facing = null;
            var opening = new Opening
            {
                Id = Names.Free(window ? $"window-{windows + 1}" : $"door-{doors + 1}", ids),
                Kind = mark.Kind,
                Room = best.Shape.Room.Id,
                Wall = best.Wall.Index,
                From = fit.From,
                Width = fit.To - fit.From,
                To = facing?.Room.Room.Id ?? Opening.Outside,
                Hinge = fit.Hinge,
                SwingsIn = mark.Leaf is not { } leaf || best.Shape.Contains(leaf) || !shapes.Any(s => s.Contains(leaf)),
            };

            // Two marks of one opening, such as a threshold and a leaf, come to the same place.
            if (Taken(opening.Room, opening.Wall, opening.From, opening.From + opening.Width))
                continue;
            var other = facing is null ? null : HouseShape.Mirror(opening, best.Shape, facing.Room);
            if (facing is not null && (other is null || Taken(opening.To, other.Wall, other.From, other.To)))
            {
                lost++;
                continue;
            }

            held.Add((opening.Room, opening.Wall, opening.From, opening.From + opening.Width));
            if (other is not null)
                held.Add((opening.To, other.Wall, other.From, other.To));
            made.Add(opening);
            if (window)
                windows++;
            else
                doors++;
        }

        job = job with { Openings = [.. job.Openings, .. made] };
        report.Add(
            $"{doors} doors and {windows} windows were taken"
                + $"{(lost > 0 ? $"; {lost} marks stand beside no wall or do not fit and were left out" : "")}."
        );
        return job;
    }
}
