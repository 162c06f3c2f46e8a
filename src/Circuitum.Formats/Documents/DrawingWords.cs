using Circuitum.Formats.Drawings;

namespace Circuitum.Formats.Documents;

/// <summary>The texts of a drawing.</summary>
public static class DrawingWords
{
    /// <summary>All of them, in the order in which they are drawn.</summary>
    public static IEnumerable<string> Of(Drawing drawing) => drawing.Layers.SelectMany(l => l.Shapes).SelectMany(Of);

    private static IEnumerable<string> Of(Shape shape) =>
        shape switch
        {
            TextShape text => [text.Text],
            AnchorShape anchor => anchor.Shapes.SelectMany(Of),
            GroupShape group => group.Shapes.SelectMany(Of),
            _ => [],
        };
}
