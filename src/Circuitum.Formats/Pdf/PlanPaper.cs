using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using SkiaSharp;

namespace Circuitum.Formats.Pdf;

/// <summary>A storey on paper: walls, openings, and each box with the number of its circuit.</summary>
internal static class PlanPaper
{
    private const float Around = 30;

    internal static void Lay(PdfSheet s, JobAnalysis a, Storey storey)
    {
        var rooms = a.House.Rooms.Where(r => r.Room.Storey == storey.Id).ToList();
        s.Page();
        s.Heading($"{storey.Name}: boxes with their circuits");
        if (rooms.Count == 0)
        {
            s.Text("No rooms yet.");
            return;
        }

        s.Text(
            "A number beside a box is its circuit. Circles with a cross are lights, with two bars receptacles; S switches, "
                + "SA smoke alarms, squares appliances."
        );
        s.Space(6);
        var (x0, y0) = (rooms.Min(r => r.MinX.InInches) - Around, rooms.Min(r => r.MinY.InInches) - Around);
        var (x1, y1) = (rooms.Max(r => r.MaxX.InInches) + Around, rooms.Max(r => r.MaxY.InInches) + Around);
        s.Drawing(x0, y0, x1 - x0, y1 - y0, (canvas, point) => Draw(canvas, point, a, rooms));
    }

    private static void Draw(SKCanvas on, float point, JobAnalysis a, List<RoomShape> rooms)
    {
        using var wall = new SKPaint
        {
            Color = SKColors.Black,
            IsStroke = true,
            StrokeWidth = 3,
            IsAntialias = true,
        };
        using var thin = new SKPaint
        {
            Color = SKColors.Black,
            IsStroke = true,
            StrokeWidth = 0.7f * point,
            IsAntialias = true,
        };
        using var paper = new SKPaint
        {
            Color = SKColors.White,
            IsStroke = true,
            StrokeWidth = 4.5f,
        };
        using var ink = new SKPaint { Color = SKColors.Black };
        using var white = new SKPaint { Color = SKColors.White };
        using var dash = new SKPaint
        {
            Color = SKColors.Black,
            IsStroke = true,
            StrokeWidth = 0.7f * point,
            PathEffect = SKPathEffect.CreateDash([8, 5], 0),
        };
        foreach (var room in rooms)
        {
            using var builder = new SKPathBuilder();
            builder.AddPoly([.. room.Room.Outline.Select(P)], true);
            using var outline = builder.Detach();
            on.DrawPath(outline, room.Room.Kind.OpenAir() ? dash : wall);
            foreach (var o in room.Openings)
            {
                on.DrawLine(P(room.On(o.Wall, o.From)), P(room.On(o.Wall, o.To)), paper);
                if (o.Opening.Kind == OpeningKind.Window)
                    on.DrawLine(P(room.On(o.Wall, o.From)), P(room.On(o.Wall, o.To)), thin);
            }

            PdfSheet.Label(on, room.Room.Name, P(room.Centre).X, P(room.Centre).Y + (11 * point), 6.5f * point);
        }

        foreach (var panel in a.Job.Panels.Where(p => rooms.Contains(a.House[p.Room])))
        {
            var at = P(a.House[panel.Room].On(panel.Wall, panel.Along, 3));
            on.DrawRect(at.X - 8, at.Y - 3, 16, 6, ink);
            PdfSheet.Label(on, panel.Name, at.X, at.Y + (9 * point), 6 * point, bold: true);
        }

        foreach (var box in a.Job.Decisions.Boxes.Where(b => rooms.Contains(a.House[b.Room])))
            Mark(on, point, a, box, thin, white);

        static SKPoint P(Core.Measure.Point p) => new((float)p.X.InInches, (float)p.Y.InInches);
    }

    private static void Mark(SKCanvas on, float point, JobAnalysis a, Box box, SKPaint thin, SKPaint white)
    {
        var place = Places.Of(a.House, box);
        var (x, y, r) = ((float)place.X.InInches, (float)place.Y.InInches, 3.2f * point);
        switch (box.Kind)
        {
            case BoxKind.Switch:
                PdfSheet.Label(on, "S", x, y + (2.3f * point), 7 * point, bold: true);
                break;
            case BoxKind.Appliance:
                on.DrawRect(x - r, y - r, 2 * r, 2 * r, white);
                on.DrawRect(x - r, y - r, 2 * r, 2 * r, thin);
                break;
            default:
                on.DrawCircle(x, y, r, white);
                on.DrawCircle(x, y, r, thin);
                if (box.Kind == BoxKind.Light)
                {
                    on.DrawLine(x - (1.5f * r), y, x + (1.5f * r), y, thin);
                    on.DrawLine(x, y - (1.5f * r), x, y + (1.5f * r), thin);
                }
                else if (box.Kind == BoxKind.SmokeAlarm)
                    PdfSheet.Label(on, "SA", x, y + (1.4f * point), 4 * point, bold: true);
                else
                {
                    on.DrawLine(x - (0.35f * r), y - (1.4f * r), x - (0.35f * r), y + (1.4f * r), thin);
                    on.DrawLine(x + (0.35f * r), y - (1.4f * r), x + (0.35f * r), y + (1.4f * r), thin);
                }

                break;
        }

        if (a.CircuitOf(box.Id) is { } c)
            PdfSheet.Label(on, $"{c.Number}", x + (5.5f * point), y - (3.5f * point), 6 * point, bold: true);
    }
}
