using Circuitum.Core.Measure;

namespace Circuitum.Core.Codes;

/// <summary>Amounts of what is bought, in the units in which it is sold.</summary>
public static class ItemUnits
{
    /// <summary>Whether it is measured, not counted.</summary>
    public static bool Measured(this ItemUnit unit) => unit != ItemUnit.Each;

    /// <summary>Feet or metres.</summary>
    public static ItemUnit Of(LengthUnits units) => units == LengthUnits.FeetInches ? ItemUnit.Feet : ItemUnit.Metres;

    /// <summary>An amount in a unit.</summary>
    /// <param name="unit">The unit.</param>
    /// <param name="amount">Pieces, or units of <see cref="Length"/>.</param>
    public static double Amount(this ItemUnit unit, long amount) => unit.Measured() ? unit.Of(new(amount)) : amount;

    /// <summary>A length in feet or metres.</summary>
    public static double Of(this ItemUnit unit, Length length) => unit == ItemUnit.Metres ? length.InMetres : length.InFeet;

    /// <summary>A quantity that was told in one unit, in another of the same kind.</summary>
    public static double From(this ItemUnit to, ItemUnit from, double quantity) =>
        (from, to) switch
        {
            (ItemUnit.Feet, ItemUnit.Metres) => quantity * LengthText.MetresInFoot,
            (ItemUnit.Metres, ItemUnit.Feet) => quantity / LengthText.MetresInFoot,
            _ => quantity,
        };

    /// <summary>One of it in words.</summary>
    public static string Name(this ItemUnit unit) =>
        unit switch
        {
            ItemUnit.Feet => "foot",
            ItemUnit.Metres => "metre",
            _ => "piece",
        };

    /// <summary>How it is written after a number; nothing after pieces.</summary>
    public static string Sign(this ItemUnit unit) =>
        unit switch
        {
            ItemUnit.Feet => " ft",
            ItemUnit.Metres => " m",
            _ => "",
        };
}
