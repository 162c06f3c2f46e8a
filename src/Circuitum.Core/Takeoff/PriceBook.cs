using System.Collections.Immutable;

namespace Circuitum.Core.Takeoff;

/// <summary>The price lists that count, the first one first.</summary>
/// <param name="Lists">The lists.</param>
public sealed record PriceBook(ImmutableArray<PriceList> Lists)
{
    /// <summary>Without any list.</summary>
    public static PriceBook Empty { get; } = new([]);

    /// <summary>The price that counts: of the first list that has the item.</summary>
    public (PriceList List, PriceRow Row)? Find(MaterialItem item)
    {
        foreach (var list in Lists)
        {
            if (list.Find(item) is { } row)
                return (list, row);
        }

        return null;
    }
}
