using Circuitum.Core.Geometry;
using Circuitum.Core.Measure;
using Circuitum.Formats.Drawings;

namespace Circuitum.Formats.Pictures;

/// <summary>Where letters stand in a room of a plan, so that a person reads its name there.</summary>
internal static class NamePlaces
{
    private const double LeastTall = 2.5,
        MostTall = 20,
        MostWide = 30,
        BetweenLetters = 12,
        BetweenLines = 10,
        Around = 3;
    private const int LeastLetters = 3;
    private const int MostLetters = 4000;

    /// <summary>For each room the rectangle around its letters, in inches from the picture's corner; none where there are none.</summary>
    internal static List<Area?> Of(Mask ink, Mask walls, IEnumerable<RoomShape> rooms, double perInch)
    {
        var strokes = new Mask(ink.Wide, ink.Tall);
        for (var y = 0; y < ink.Tall; y++)
        {
            for (var x = 0; x < ink.Wide; x++)
                strokes[x, y] = ink[x, y] && !walls[x, y];
        }

        var letters = strokes
            .Pieces(true)
            .Select(p => About(p, perInch))
            .Where(f => f.Tall is >= LeastTall and <= MostTall && f.Wide <= MostWide)
            .Take(MostLetters)
            .ToList();
        return [.. rooms.Select(r => Largest(letters.Where(l => r.Contains(Middle(l))).ToList()))];
    }

    // Letters beside and under one another; the group with the most of them is the name, with what is written under it.
    private static Area? Largest(List<Area> letters)
    {
        Area? best = null;
        var most = LeastLetters - 1;
        while (letters.Count > 0)
        {
            var (group, count) = (letters[^1], 1);
            letters.RemoveAt(letters.Count - 1);
            for (var i = letters.Count - 1; i >= 0; i--)
            {
                if (!IsNear(group, letters[i]))
                    continue;
                (group, count) = (Both(group, letters[i]), count + 1);
                letters.RemoveAt(i);

                // What was too far before may be near now.
                i = letters.Count;
            }

            if (count > most)
                (best, most) = (group, count);
        }

        return best?.Grow(Around);
    }

    private static Area About(List<(int X, int Y)> piece, double perInch) =>
        new Area(piece.Min(p => p.X), piece.Min(p => p.Y), piece.Max(p => p.X) + 1, piece.Max(p => p.Y) + 1).Scaled(1 / perInch);

    private static Point Middle(Area area) => new(Length.Inches((area.X0 + area.X1) / 2), Length.Inches((area.Y0 + area.Y1) / 2));

    private static bool IsNear(Area a, Area b) =>
        b.X0 - a.X1 < BetweenLetters && a.X0 - b.X1 < BetweenLetters && b.Y0 - a.Y1 < BetweenLines && a.Y0 - b.Y1 < BetweenLines;

    private static Area Both(Area a, Area b) => new(Math.Min(a.X0, b.X0), Math.Min(a.Y0, b.Y0), Math.Max(a.X1, b.X1), Math.Max(a.Y1, b.Y1));
}
