using Circuitum.Formats.Documents;

namespace Circuitum.Formats;

/// <summary>A kind of sheet with stickers. Measures in points.</summary>
/// <param name="Id">Its name in an address.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Size">Of the page.</param>
/// <param name="Columns">Stickers side by side.</param>
/// <param name="Rows">Stickers one under the other.</param>
/// <param name="Left">From the page's left edge to the first sticker.</param>
/// <param name="Top">From its top edge.</param>
/// <param name="Wide">Width of a sticker.</param>
/// <param name="Tall">Height of a sticker.</param>
/// <param name="StepX">From one sticker's left edge to the next one's.</param>
/// <param name="StepY">From one sticker's top edge to the next one's.</param>
public sealed record StickerStock(
    string Id,
    string Name,
    PaperSize Size,
    int Columns,
    int Rows,
    float Left,
    float Top,
    float Wide,
    float Tall,
    float StepX,
    float StepY
)
{
    /// <summary>Stickers on a sheet.</summary>
    public int Count => Columns * Rows;
}
