using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Takeoff;

/// <summary>What lies on a shelf in the units of the house: a length is kept in whole feet, and told in metres where lengths are.</summary>
public static class ShelfUnits
{
    /// <summary>How many, or how many feet or metres.</summary>
    public static double In(this ShelfItem item, LengthUnits units) =>
        Type(item.Key) is { } type ? type.In(units).Unit.From(type.Unit, item.Quantity) : item.Quantity;

    /// <summary>What is kept of a quantity that is told in the unit of the house.</summary>
    /// <param name="key">The item's key of the takeoff.</param>
    /// <param name="told">How many, or how many feet or metres.</param>
    /// <param name="units">The units of the house.</param>
    public static int Kept(string key, int told, LengthUnits units) =>
        Type(key) is { } type ? (int)Math.Round(type.Unit.From(type.In(units).Unit, told)) : told;

    // What somebody wrote down for a thing that is not counted any more stays as it is.
    private static ItemType? Type(string key) => CodeLibrary.Takeoff.Items.FirstOrDefault(i => i.Id == key.Split('.')[0]);
}
