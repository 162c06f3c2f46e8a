using System.Globalization;
using Circuitum.Formats.Pdf;
using SkiaSharp;

namespace Circuitum.Formats.Drawings;

/// <summary>Draws a drawing on a sheet of paper or into a picture, in black on white.</summary>
/// <param name="on">The sheet or the picture.</param>
/// <param name="perInch">Points, or pixels of the picture, to an inch of the plan.</param>
/// <param name="perPixel">The same to a pixel of what keeps its size.</param>
internal sealed class CanvasWriter(SKCanvas on, float perInch, float perPixel)
{
    private const float HaloPixels = 3;

    /// <summary>How many texts it has drawn.</summary>
    internal int Texts { get; private set; }

    /// <summary>Draws it with the corner of its extent at the canvas's own.</summary>
    internal void Draw(Drawing drawing)
    {
        on.Save();
        on.ClipRect(new(0, 0, (float)drawing.Extent.Wide * perInch, (float)drawing.Extent.Tall * perInch));
        on.Translate((float)-drawing.Extent.X0 * perInch, (float)-drawing.Extent.Y0 * perInch);
        foreach (var shape in drawing.Layers.SelectMany(l => l.Shapes))
            Draw(shape, perInch);
        on.Restore();
    }

    private void Draw(Shape shape, float unit)
    {
        switch (shape)
        {
            case PathShape path when Look.Of(path) is { } look:
                Path(path, look, unit);
                break;
            case TextShape text:
                Text(text);
                break;
            case GroupShape group:
                foreach (var inner in group.Shapes)
                    Draw(inner, unit);
                break;
            case AnchorShape anchor:
                on.Save();
                on.Translate((float)anchor.X * unit, (float)anchor.Y * unit);
                if (anchor.Turn != 0)
                    on.RotateDegrees((float)anchor.Turn);
                foreach (var inner in anchor.Shapes)
                    Draw(inner, perPixel);
                on.Restore();
                break;
        }
    }

    private void Path(PathShape path, Look look, float unit)
    {
        using var builder = new SKPathBuilder();
        foreach (var s in path.Steps)
        {
            var to = new SKPoint((float)s.X * unit, (float)s.Y * unit);
            switch (s.Kind)
            {
                case StepKind.From:
                    builder.MoveTo(to);
                    break;
                case StepKind.To:
                    builder.LineTo(to);
                    break;
                case StepKind.Bow:
                    builder.QuadTo(new SKPoint((float)s.Cx * unit, (float)s.Cy * unit), to);
                    break;
                case StepKind.Arc:
                    var turn = s.Cy > 0 ? SKPathDirection.Clockwise : SKPathDirection.CounterClockwise;
                    builder.ArcTo((float)s.Cx * unit, (float)s.Cx * unit, 0, SKPathArcSize.Small, turn, to.X, to.Y);
                    break;
                default:
                    builder.Close();
                    break;
            }
        }

        using var made = builder.Detach();
        if (look.Fill is { } fill)
        {
            using var paint = new SKPaint { Color = Dark(fill), IsAntialias = true };
            on.DrawPath(made, paint);
        }

        if (look.Line is not { } line)
            return;
        using var stroke = new SKPaint
        {
            Color = Dark(line),
            IsStroke = true,
            IsAntialias = true,
            StrokeWidth = path.Breadth is { } breadth ? (float)breadth * unit : (float)look.Breadth * perPixel,
            StrokeJoin = SKStrokeJoin.Miter,
            PathEffect = Dashes(look.Dashes),
        };
        on.DrawPath(made, stroke);
        stroke.PathEffect?.Dispose();
    }

    private SKPathEffect? Dashes(string pattern)
    {
        var parts = pattern.Split(' ', StringSplitOptions.RemoveEmptyEntries);
        return parts.Length < 2
            ? null
            : SKPathEffect.CreateDash([.. parts.Select(p => float.Parse(p, CultureInfo.InvariantCulture) * perPixel)], 0);
    }

    private void Text(TextShape text)
    {
        using var font = Letters.Font(text.Bold, (float)text.Size * perPixel);
        using var ink = new SKPaint { Color = Dark(Look.Text(text)), IsAntialias = true };
        var side = text.Side switch
        {
            TextSide.Middle => SKTextAlign.Center,
            TextSide.End => SKTextAlign.Right,
            _ => SKTextAlign.Left,
        };
        if (text.Role is Role.MarkText or Role.RoomName or Role.RoomSize or Role.PanelName)
        {
            // Letters stay readable where a line runs behind them.
            using var halo = new SKPaint
            {
                Color = SKColors.White,
                IsStroke = true,
                IsAntialias = true,
                StrokeWidth = HaloPixels * perPixel,
                StrokeJoin = SKStrokeJoin.Round,
            };

            // As outlines: as text it would be found, read out and copied twice.
            using var letters = font.GetTextPath(
                text.Text,
                new SKPoint(((float)text.X * perPixel) - Before(side, font.MeasureText(text.Text)), (float)text.Y * perPixel)
            );
            on.DrawPath(letters, halo);
        }

        on.DrawText(text.Text, (float)text.X * perPixel, (float)text.Y * perPixel, side, font, ink);
        if (text.Text.Length > 0)
            Texts++;
    }

    private static float Before(SKTextAlign side, float wide) =>
        side switch
        {
            SKTextAlign.Center => wide / 2,
            SKTextAlign.Right => wide,
            _ => 0,
        };

    private static SKColor Dark(float share)
    {
        var grey = (byte)Math.Round((1 - share) * 255);
        return new(grey, grey, grey);
    }
}
