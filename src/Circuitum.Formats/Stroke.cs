namespace Circuitum.Formats;

/// <summary>A stroke in ink.</summary>
/// <param name="Kind">What it is.</param>
/// <param name="X0">From, or the left edge, or the centre.</param>
/// <param name="Y0">From, or the top edge, or the centre.</param>
/// <param name="X1">To, or the right edge; of a circle the radius; of text the size.</param>
/// <param name="Y1">To, or the bottom edge.</param>
/// <param name="Text">For text.</param>
/// <param name="Weight">Breadth of a line; text of 2 and over is bold.</param>
/// <param name="Side">For text.</param>
public readonly record struct Stroke(
    StrokeKind Kind,
    float X0,
    float Y0,
    float X1 = 0,
    float Y1 = 0,
    string Text = "",
    float Weight = 1,
    TextSide Side = TextSide.Start
)
{
    /// <summary>Bold text.</summary>
    public bool Bold => Weight >= 2;
}
