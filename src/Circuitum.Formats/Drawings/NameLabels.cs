using System.Collections.Immutable;
using Circuitum.Core.Geometry;
using Circuitum.Core.Measure;

namespace Circuitum.Formats.Drawings;

/// <summary>The names of rooms and things: inside of what they name, or not at all.</summary>
internal static class NameLabels
{
    private const double Leading = 1.2;
    private const double Least = 11;
    private const int RoomRank = 60;
    private const int ThingRank = 80;

    // How much dearer than another place a smaller or turned name is, in pixels from the middle.
    private const double Smaller = 14;
    private const double Broken = 8;
    private const double Turned = 30;
    private const double WithoutSize = 40;

    /// <summary>One way to write a name.</summary>
    private sealed record Style(ImmutableArray<(string Text, double Size, Role Role)> Lines, bool Upright, double Cost)
    {
        internal double Wide => Lines.Max(l => TextWidths.Of(l.Text, l.Size)) + 2;

        internal double Tall => Lines.Sum(l => l.Size * Leading);
    }

    internal static void Room(Composition on, RoomShape room)
    {
        var (name, sizes) = (room.Room.Name, on.Detail.NameSizes);
        var size = Detail.RoomSizes(on.View.Stage)
            ? $"{LengthText.Show(room.MaxX - room.MinX, on.A.Units)} x {LengthText.Show(room.MaxY - room.MinY, on.A.Units)}"
            : "";
        var styles = new List<Style>();
        for (var i = 0; i < sizes.Length; i++)
        {
            foreach (var (lines, broken) in Broke(name))
            {
                var cost = (i * Smaller) + (broken ? Broken : 0);
                var plain = lines.Select(l => (l, sizes[i], Role.RoomName)).ToImmutableArray();
                if (size.Length > 0)
                    styles.Add(new([.. plain, (size, Least, Role.RoomSize)], true, cost));
                styles.Add(new(plain, true, cost + (size.Length > 0 ? WithoutSize : 0)));
                if (i == sizes.Length - 1)
                    styles.Add(new(plain, false, cost + WithoutSize + Turned));
            }
        }

        Ask(on, RoomRank, $"name-{room.Room.Id}", area => Holds(on, room, area), Around(on, room), styles);
    }

    internal static void Thing(Composition on, RoomShape room, Area thing, string name)
    {
        var at = new Area(thing.X0 * on.Scale, thing.Y0 * on.Scale, thing.X1 * on.Scale, thing.Y1 * on.Scale);
        var styles = Broke(name).Select(b => new Style([.. b.Lines.Select(l => (l, Least, Role.ThingName))], true, b.Broken ? Broken : 0));
        var (x, y) = ((at.X0 + at.X1) / 2, (at.Y0 + at.Y1) / 2);
        var places = new[] { 0.0, -0.25, 0.25 }.Select(s => (x, y + (s * at.Tall), Math.Abs(s) * at.Tall)).ToList();

        // A name stands inside of its thing.
        Ask(on, ThingRank, $"name-{room.Room.Id}", area => area.Within(at.Grow(2)), places, [.. styles]);
    }

    // Names of several words may stand in two lines, broken where the lines are most alike.
    private static IEnumerable<(string[] Lines, bool Broken)> Broke(string name)
    {
        yield return ([name], false);
        var words = name.Split(' ', StringSplitOptions.RemoveEmptyEntries);
        if (words.Length < 2)
            yield break;
        var at = Enumerable
            .Range(1, words.Length - 1)
            .MinBy(i => Math.Abs(string.Join(' ', words[..i]).Length - string.Join(' ', words[i..]).Length));
        yield return ([string.Join(' ', words[..at]), string.Join(' ', words[at..])], true);
    }

    // Places all over the room, those near its middle first.
    private static List<(double X, double Y, double Cost)> Around(Composition on, RoomShape room)
    {
        const double Step = 10;
        const int Most = 4;
        var (cx, cy) = on.Pixels(room.Centre);
        var (wide, tall) = ((room.MaxX - room.MinX).InInches * on.Scale, (room.MaxY - room.MinY).InInches * on.Scale);
        var (nx, ny) = (Math.Min(Most, (int)(wide / 2 / Step)), Math.Min(Most, (int)(tall / 2 / Step)));
        var places = new List<(double, double, double)>();
        for (var i = -nx; i <= nx; i++)
        {
            for (var j = -ny; j <= ny; j++)
            {
                var (dx, dy) = (i * wide / 2 / Math.Max(1, nx + 1), j * tall / 2 / Math.Max(1, ny + 1));
                places.Add((cx + dx, cy + dy, Math.Sqrt((dx * dx) + (dy * dy))));
            }
        }

        return places;
    }

    private static void Ask(
        Composition on,
        int rank,
        string layer,
        Func<Area, bool> inside,
        List<(double X, double Y, double Cost)> places,
        IReadOnlyList<Style> styles
    )
    {
        var all = new List<(Candidate At, Style Style)>();
        foreach (var style in styles)
        {
            var (wide, tall) = style.Upright ? (style.Wide, style.Tall) : (style.Tall, style.Wide);
            foreach (var (x, y, cost) in places)
            {
                var area = Area.Around(x, y, wide, tall);
                if (inside(area))
                    all.Add((new(area, cost + style.Cost), style));
            }
        }

        on.Label(rank, layer, all.Select(a => a.At), at => [Draw(on, all[at].At.Area, all[at].Style)]);
    }

    private static bool Holds(Composition on, RoomShape room, Area area)
    {
        // Most rooms are what encloses them.
        if (room.Room.Outline.Length == 4 && room.Walls.All(w => Math.Abs(w.Dx) > 0.999 || Math.Abs(w.Dy) > 0.999))
            return area.Within(
                new(
                    room.MinX.InInches * on.Scale,
                    room.MinY.InInches * on.Scale,
                    room.MaxX.InInches * on.Scale,
                    room.MaxY.InInches * on.Scale
                )
            );

        Span<(double X, double Y)> corners = [(area.X0, area.Y0), (area.X1, area.Y0), (area.X1, area.Y1), (area.X0, area.Y1)];
        foreach (var (x, y) in corners)
        {
            if (!room.Contains(new(Length.Inches(x / on.Scale), Length.Inches(y / on.Scale))))
                return false;
        }

        return true;
    }

    private static AnchorShape Draw(Composition on, Area area, Style style)
    {
        var (x, y) = ((area.X0 + area.X1) / 2, (area.Y0 + area.Y1) / 2);
        var shapes = new List<Shape>();
        var down = -style.Tall / 2;
        foreach (var (text, size, role) in style.Lines)
        {
            shapes.Add(new TextShape(role, 0, down + (size * Leading / 2) + TextWidths.Line(size), text, size));
            down += size * Leading;
        }

        return new(style.Lines[0].Role, x / on.Scale, y / on.Scale, [.. shapes]) { Turn = style.Upright ? 0 : -90 };
    }
}
