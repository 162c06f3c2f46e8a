using System.Globalization;

namespace Circuitum.Core.Measure;

/// <summary>Floor areas in two measures: the plan is in square feet, some rules count square metres.</summary>
public static class FloorArea
{
    /// <summary>Square metres in a square foot.</summary>
    public const double SqMInSqFt = 0.09290304;

    /// <summary>Prints a floor area in the units of a job: <c>1,240 sq ft</c>, or <c>115.2 m2</c>.</summary>
    /// <param name="sqFt">In square feet.</param>
    /// <param name="units">Square feet or square metres.</param>
    /// <param name="decimals">How many of the square feet are told.</param>
    public static string Show(double sqFt, LengthUnits units, int decimals = 0) =>
        units == LengthUnits.FeetInches
            ? $"{sqFt.ToString($"N{decimals}", CultureInfo.InvariantCulture)} sq ft"
            : string.Create(CultureInfo.InvariantCulture, $"{sqFt * SqMInSqFt:#,0.0} m2");
}
