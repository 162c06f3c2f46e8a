using System.Globalization;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Codes;

/// <summary>A number of an edition or an amendment, with its unit: it is compared as a number and spoken as the trade says it.</summary>
/// <param name="Name">Its name in the data; the end of the name is its unit, as in <c>wallReachIn</c> or <c>serviceLeastA</c>.</param>
/// <param name="Value">In that unit.</param>
/// <param name="Units">In what a length is told.</param>
public readonly record struct Limit(string Name, double Value, LengthUnits Units = LengthUnits.FeetInches) : IFormattable
{
    /// <summary>As a length.</summary>
    /// <exception cref="InvalidOperationException">It is not in inches: a defect in the program.</exception>
    public Length Length =>
        IsLength ? Length.ExactInches(Value) : throw new InvalidOperationException($"The edition's number {Name} is not a length.");

    /// <summary>As a count or a standard rating.</summary>
    /// <exception cref="InvalidOperationException">It is not whole: a defect in the data.</exception>
    public int Whole =>
        Value == Math.Floor(Value) ? (int)Value : throw new InvalidOperationException($"The edition's number {Name} is not whole.");

    private bool IsLength => Name.EndsWith("In", StringComparison.Ordinal);

    /// <summary>The number alone, for arithmetic.</summary>
    public static implicit operator double(Limit limit) => limit.Value;

    /// <summary>As people read it: lengths in the edition's units, anything else as it is.</summary>
    public override string ToString() => IsLength ? LengthText.Show(Length, Units) : Value.ToString("#,0.##", CultureInfo.InvariantCulture);

    /// <summary>The number in a format of its own; without one as people read it.</summary>
    public string ToString(string? format, IFormatProvider? formatProvider) =>
        string.IsNullOrEmpty(format) ? ToString() : Value.ToString(format, CultureInfo.InvariantCulture);
}
