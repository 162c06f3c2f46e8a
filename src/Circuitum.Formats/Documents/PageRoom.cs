namespace Circuitum.Formats.Documents;

/// <summary>What there is on a page, in points: its size, its margins, and what is left between them over the foot.</summary>
/// <param name="Wide">Width of an upright page.</param>
/// <param name="Tall">Its height.</param>
public readonly record struct PageRoom(float Wide, float Tall)
{
    /// <summary>Around what is laid out.</summary>
    public const float Margin = 43;

    /// <summary>For the foot, over the lower margin.</summary>
    public const float FootRoom = 36;

    /// <summary>The room of a size of page.</summary>
    public static PageRoom Of(PaperSize size) =>
        size switch
        {
            PaperSize.A4 => new(595.28f, 841.89f),
            PaperSize.A3 => new(841.89f, 1190.55f),
            _ => new(612, 792),
        };

    /// <summary>Between the margins, along the short side.</summary>
    public float ShortSide => Wide - (2 * Margin);

    /// <summary>Between the margins, along the long side.</summary>
    public float LongSide => Tall - (2 * Margin);
}
