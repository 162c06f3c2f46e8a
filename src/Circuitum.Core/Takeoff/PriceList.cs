using System.Collections.Immutable;
using Circuitum.Core.Codes;

namespace Circuitum.Core.Takeoff;

/// <summary>What one supplier asks for.</summary>
/// <param name="Name">What the list is called.</param>
/// <param name="Supplier">Whose it is.</param>
/// <param name="Rows">Its rows, each key once.</param>
public sealed record PriceList(string Name, string Supplier, ImmutableArray<PriceRow> Rows)
{
    private readonly Lazy<Dictionary<string, PriceRow>> byKey = new(() => Rows.ToDictionary(r => r.Key, StringComparer.Ordinal));

    /// <summary>
    /// The row of an item: of its own key, else of the longest beginning that a row names with a star, such as <c>panel.200.*</c>; none
    /// when the list does not have it.
    /// </summary>
    public PriceRow? Find(MaterialItem item)
    {
        if (byKey.Value.TryGetValue(item.Key, out var own))
            return Alike(own, item) ? own : null;
        for (var end = item.Key.LastIndexOf('.'); end > 0; end = item.Key.LastIndexOf('.', end - 1))
        {
            if (byKey.Value.TryGetValue($"{item.Key[..end]}.*", out var wide))
                return Alike(wide, item) ? wide : null;
        }

        return null;
    }

    // A price by the foot serves a house in metres: it is the same cable.
    private static bool Alike(PriceRow row, MaterialItem item) => row.Unit.Measured() == item.Type.Unit.Measured();
}

/// <summary>A price.</summary>
/// <param name="Key">The item's key of the takeoff, or its beginning and a star.</param>
/// <param name="Text">What the supplier calls it. May be empty.</param>
/// <param name="Unit">What is priced: pieces, feet or metres.</param>
/// <param name="Per">How many of the unit the price is for.</param>
/// <param name="Price">The price, in dollars.</param>
/// <param name="Number">The supplier's own number. May be empty.</param>
/// <param name="Date">The day of the price, or none.</param>
public sealed record PriceRow(string Key, string Text, ItemUnit Unit, int Per, decimal Price, string Number, DateOnly? Date)
{
    /// <summary>What so much of it costs, in dollars and not rounded.</summary>
    /// <param name="quantity">How much.</param>
    /// <param name="of">In what that is told.</param>
    public decimal Cost(double quantity, ItemUnit of) => (decimal)Unit.From(of, quantity) / Per * Price;
}
