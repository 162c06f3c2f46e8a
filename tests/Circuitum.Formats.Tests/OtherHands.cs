using Circuitum.Core.Analysis;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using SkiaSharp;

namespace Circuitum.Formats.Tests;

/// <summary>Plans as other offices draw them, not by this program's drawing: grey between lines, or hollow.</summary>
internal static class OtherHands
{
    internal enum Walls
    {
        Grey,
        Hollow,
    }

    private const float PerInch = 2.5f;
    private const float Margin = 60;
    private const float Outside = 6;
    private const float Line = 0.8f;

    /// <summary>The picture of a storey and the part of the plan that it shows.</summary>
    internal static (byte[] Png, Drawings.Area Extent) Draw(JobAnalysis a, string storey, Walls walls)
    {
        var rooms = a.House.Rooms.Where(r => r.Room.Storey == storey && !r.Room.Kind.OpenAir()).ToList();
        var (x0, x1) = (rooms.Min(r => r.MinX).InInches - Margin, rooms.Max(r => r.MaxX).InInches + Margin);
        var (y0, y1) = (rooms.Min(r => r.MinY).InInches - Margin, rooms.Max(r => r.MaxY).InInches + Margin);
        using var sheet = new SKBitmap((int)((x1 - x0) * PerInch), (int)((y1 - y0) * PerInch), SKColorType.Rgba8888, SKAlphaType.Opaque);
        using var canvas = new SKCanvas(sheet);
        canvas.Clear(SKColors.White);
        canvas.Scale(PerInch);
        canvas.Translate((float)-x0, (float)-y0);
        using var ink = new SKPaint { Color = SKColors.Black, IsAntialias = true };
        using var paper = new SKPaint { Color = SKColors.White };
        using var thick = new SKPaint
        {
            Color = SKColors.Black,
            Style = SKPaintStyle.Stroke,
            StrokeWidth = 2 * Outside,
            StrokeJoin = SKStrokeJoin.Miter,
        };
        using var fine = new SKPaint
        {
            Color = SKColors.Black,
            Style = SKPaintStyle.Stroke,
            StrokeWidth = Line,
            IsAntialias = true,
        };
        foreach (var room in rooms)
            canvas.DrawPath(Outline(room), thick);
        foreach (var room in rooms)
            canvas.DrawPath(Outline(room), paper);
        var openings = rooms
            .SelectMany(r => r.Openings.Where(o => o.Opening.Room == r.Room.Id).Select(o => (Room: r, Opening: o)))
            .ToList();
        foreach (var (room, opening) in openings)
            canvas.DrawPath(Gap(room, opening, -0.5, Thickness(opening) + 0.5), paper);
        canvas.Flush();
        Empty(sheet, walls == Walls.Grey ? (byte)150 : (byte)255);

        foreach (var (room, opening) in openings)
            Fill(canvas, room, opening, fine);
        using var letters = typeof(PlanSvg).Assembly.GetManifestResourceStream("Circuitum.Formats.Fonts.SourceSans3-Regular.ttf")!;
        using var face = SKTypeface.FromStream(letters);
        using var font = new SKFont(face, 9);
        foreach (var room in rooms)
            canvas.DrawText(room.Room.Name, (float)room.Centre.X.InInches, (float)room.Centre.Y.InInches, SKTextAlign.Center, font, ink);

        // A line of dimensions along the house.
        canvas.DrawLine((float)x0 + 55, (float)y0 + 20, (float)x1 - 55, (float)y0 + 20, fine);
        canvas.Flush();
        using var png = sheet.Encode(SKEncodedImageFormat.Png, 100);
        return (png.ToArray(), new(x0, y0, x1, y1));
    }

    private static SKPath Outline(RoomShape room)
    {
        using var path = new SKPathBuilder();
        path.AddPoly([.. room.Room.Outline.Select(p => new SKPoint((float)p.X.InInches, (float)p.Y.InInches))], true);
        return path.Detach();
    }

    private static double Thickness(RoomOpening opening) => opening.Opening.To == Opening.Outside ? Outside : 4.5;

    private static SKPath Gap(RoomShape room, RoomOpening o, double from, double to)
    {
        using var path = new SKPathBuilder();
        path.AddPoly([At(room, o, 0, -from), At(room, o, 1, -from), At(room, o, 1, -to), At(room, o, 0, -to)], true);
        return path.Detach();
    }

    private static SKPoint At(RoomShape room, RoomOpening o, double share, double into)
    {
        var p = room.On(o.Wall, o.From + Length.Inches(o.Opening.Width.InInches * share), into);
        return new((float)p.X.InInches, (float)p.Y.InInches);
    }

    // Only the edge of what is dark stays dark.
    private static void Empty(SKBitmap sheet, byte shade)
    {
        var before = sheet.Bytes;
        var after = (byte[])before.Clone();
        var reach = (int)Math.Round(Line * PerInch);
        bool Dark(int x, int y) => x >= 0 && y >= 0 && x < sheet.Width && y < sheet.Height && before[((y * sheet.Width) + x) * 4] < 128;
        for (var y = 0; y < sheet.Height; y++)
        {
            for (var x = 0; x < sheet.Width; x++)
            {
                if (!Dark(x, y))
                    continue;
                var inner =
                    Dark(x - reach, y)
                    && Dark(x + reach, y)
                    && Dark(x, y - reach)
                    && Dark(x, y + reach)
                    && Dark(x - reach, y - reach)
                    && Dark(x + reach, y + reach)
                    && Dark(x + reach, y - reach)
                    && Dark(x - reach, y + reach);
                if (inner)
                    Array.Fill(after, shade, ((y * sheet.Width) + x) * 4, 3);
            }
        }

        System.Runtime.InteropServices.Marshal.Copy(after, 0, sheet.GetPixels(), after.Length);
        sheet.NotifyPixelsChanged();
    }

    private static void Fill(SKCanvas canvas, RoomShape room, RoomOpening o, SKPaint fine)
    {
        var thick = Thickness(o);
        var opening = o.Opening;
        if (opening.Kind == OpeningKind.Window)
        {
            foreach (var part in new[] { 0, 0.5, 1 })
                canvas.DrawLine(At(room, o, 0, -thick * part), At(room, o, 1, -thick * part), fine);
            return;
        }

        if (opening.Kind != OpeningKind.Hinged)
            return;
        var side = o.SwingsIn ? 0 : -thick;
        var hinge = o.Hinge == End.Start ? 0 : 1;
        var (jamb, closed) = (At(room, o, hinge, side), At(room, o, 1 - hinge, side));
        var tip = At(room, o, hinge, o.SwingsIn ? opening.Width.InInches : -thick - opening.Width.InInches);
        canvas.DrawLine(jamb, tip, fine);
        using var arc = new SKPathBuilder();
        arc.MoveTo(closed);
        for (var i = 1; i <= 12; i++)
        {
            var turn = i * Math.PI / 24;
            var (c, s) = ((float)Math.Cos(turn), (float)Math.Sin(turn));
            arc.LineTo(
                jamb.X + ((closed.X - jamb.X) * c) + ((tip.X - jamb.X) * s),
                jamb.Y + ((closed.Y - jamb.Y) * c) + ((tip.Y - jamb.Y) * s)
            );
        }

        using var path = arc.Detach();
        canvas.DrawPath(path, fine);
    }
}
