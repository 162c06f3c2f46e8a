using System.Collections.Immutable;
using System.Globalization;
using Circuitum.Core.Analysis;
using Circuitum.Formats;
using Circuitum.Formats.Drawings;
using Circuitum.Web.Access;

namespace Circuitum.Web.Work;

/// <summary>Which stickers on which sheet, as an address tells it.</summary>
/// <param name="Breakers">For breakers, not for cables.</param>
/// <param name="Stock">The kind of sheet.</param>
/// <param name="First">The first sticker that is still on the sheet.</param>
/// <param name="Lines">Lines to cut along.</param>
public sealed record StickerChoice(bool Breakers, StickerStock Stock, int First, bool Lines)
{
    /// <summary>The choice of an address; what is missing or makes no sense takes the usual.</summary>
    public static StickerChoice Of(IQueryCollection query)
    {
        var breakers = query["what"] == "breakers";
        var stock = StickerSheet.Stocks.FirstOrDefault(s => s.Id == query["sheet"]) ?? StickerSheet.Stocks[breakers ? 1 : 0];
        var first = int.TryParse(query["first"], NumberStyles.None, CultureInfo.InvariantCulture, out var n)
            ? Math.Clamp(n, 1, stock.Count)
            : 1;
        return new(breakers, stock, first, query["lines"] == "on");
    }

    /// <summary>The stickers.</summary>
    public ImmutableArray<Sticker> All(JobAnalysis a) => Breakers ? StickerSheet.Breakers(a) : StickerSheet.Cables(a, Code);

    /// <summary>What a phone opens that scans the sticker of a home run; none where no phone reaches the program.</summary>
    public Func<int, string>? Code { get; init; }

    /// <summary>The same with codes for phones, where they reach the program.</summary>
    /// <param name="reach">How it is reached.</param>
    /// <param name="id">The job.</param>
    public StickerChoice For(Reach reach, string id) =>
        reach.Address.Length == 0
            ? this
            : this with
            {
                Code = number => string.Create(CultureInfo.InvariantCulture, $"{reach.Address}/jobs/{id}/run/{number}"),
            };

    /// <summary>The pages.</summary>
    public IReadOnlyList<Drawing> Pages(JobAnalysis a) => StickerSheet.Of(All(a), Stock, First, Lines);

    /// <summary>As an address tells it.</summary>
    public string Query => $"what={(Breakers ? "breakers" : "cables")}&sheet={Stock.Id}&first={First}{(Lines ? "&lines=on" : "")}";
}
