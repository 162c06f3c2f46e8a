using System.Globalization;

namespace Circuitum.Core.Measure;

/// <summary>Prints the volumes of boxes, which are kept in cubic inches: as such, or in millilitres.</summary>
public static class VolumeText
{
    /// <summary>A cubic inch in millilitres, exactly.</summary>
    public const double MillilitresInInch3 = 16.387064;

    /// <summary>A volume with its unit: <c>18.00 in3</c>, or <c>295 mL</c>.</summary>
    /// <param name="inches3">Cubic inches.</param>
    /// <param name="units">Those of the job.</param>
    /// <param name="format">The digits of cubic inches; millilitres have one at most.</param>
    public static string Show(double inches3, LengthUnits units, string format = "0.00") =>
        $"{Number(inches3, units, format)} {Word(units)}";

    /// <summary>The same without its unit, for a column whose head says it.</summary>
    /// <param name="inches3">Cubic inches.</param>
    /// <param name="units">Those of the job.</param>
    /// <param name="format">The digits of cubic inches.</param>
    public static string Number(double inches3, LengthUnits units, string format = "0.00") =>
        units == LengthUnits.Metric
            ? (inches3 * MillilitresInInch3).ToString("0.#", CultureInfo.InvariantCulture)
            : inches3.ToString(format, CultureInfo.InvariantCulture);

    /// <summary>The number itself, for a table: cubic inches to hundredths, or millilitres to tenths.</summary>
    /// <param name="inches3">Cubic inches.</param>
    /// <param name="units">Those of the job.</param>
    public static double Round(double inches3, LengthUnits units) =>
        units == LengthUnits.Metric ? Math.Round(inches3 * MillilitresInInch3, 1) : Math.Round(inches3, 2);

    /// <summary>The volume that is marked on a box, without its unit.</summary>
    /// <param name="inches3">Cubic inches.</param>
    /// <param name="units">Those of the job.</param>
    public static string Marked(double inches3, LengthUnits units) => Number(inches3, units, "0.0");

    /// <summary>The unit.</summary>
    /// <param name="units">Those of the job.</param>
    public static string Word(LengthUnits units) => units == LengthUnits.Metric ? "mL" : "in3";
}
