using System.Collections.Immutable;

namespace Circuitum.Formats.Dxf;

/// <summary>Which layers hold what, and how large a drawing unit is.</summary>
/// <param name="Rooms">Layers with closed inside outlines of rooms.</param>
/// <param name="Walls">Layers with wall lines, used when there is no layer of rooms.</param>
/// <param name="Doors">Layers with doors.</param>
/// <param name="Windows">Layers with windows.</param>
/// <param name="InchesPerUnit">Inches in a drawing unit.</param>
public sealed record DxfChoice(
    ImmutableHashSet<string> Rooms,
    ImmutableHashSet<string> Walls,
    ImmutableHashSet<string> Doors,
    ImmutableHashSet<string> Windows,
    double InchesPerUnit
)
{
    /// <summary>What the names of the layers suggest.</summary>
    public static DxfChoice Guess(DxfDrawing drawing)
    {
        var layers = drawing.Layers.Select(l => l.Layer).ToList();
        ImmutableHashSet<string> With(params string[] words) =>
            [.. layers.Where(l => words.Any(w => l.Contains(w, StringComparison.OrdinalIgnoreCase)))];
        var windows = With("wind", "glaz", "fenster");
        var doors = With("door").Except(windows);
        var walls = With("wall", "mur", "wand").Except(doors).Except(windows);
        var closed = drawing
            .Paths.Where(p => p.Closed || p.Points[0] == p.Points[^1])
            .Select(p => p.Layer)
            .ToHashSet(StringComparer.OrdinalIgnoreCase);
        var rooms = With("room", "space", "area").Except(walls).Where(closed.Contains).ToImmutableHashSet();
        return new(rooms, walls, doors, windows, drawing.InchesPerUnit ?? UnitsBySize(drawing));
    }

    // Without units the size tells: a house is 15 to 200 ft across.
    private static double UnitsBySize(DxfDrawing drawing)
    {
        var xs = drawing.Paths.SelectMany(p => p.Points).Select(p => p.X).ToList();
        if (xs.Count == 0)
            return 1;
        var across = xs.Max() - xs.Min();
        return across switch
        {
            < 60 => 1 / 0.0254,
            < 180 => 12,
            < 4000 => 1,
            _ => 1 / Circuitum.Core.Measure.Length.MillimetresInInch,
        };
    }
}
