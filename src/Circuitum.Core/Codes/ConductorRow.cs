using Circuitum.Core.Measure;

namespace Circuitum.Core.Codes;

/// <summary>One conductor size.</summary>
/// <param name="Size">AWG or kcmil.</param>
/// <param name="Cmil">Circular mils.</param>
/// <param name="C60">Amperes in the 60 C column.</param>
/// <param name="C75">Amperes in the 75 C column.</param>
/// <param name="C90">Amperes in the 90 C column.</param>
/// <param name="OhmPerKft">Direct-current resistance at 75 C in ohm per 1000 ft.</param>
/// <param name="BoxIn3">Room that one takes up in a box, in cubic inches; 0 for sizes that do not go into one (Table 314.16(B)(1)).</param>
/// <param name="AreaIn2">Area of one insulated wire of the thin kinds for conduit, in square inches (Chapter 9, Table 5).</param>
public sealed record ConductorRow(
    WireSize Size,
    int Cmil,
    int C60,
    int C75,
    int C90,
    double OhmPerKft,
    double BoxIn3 = 0,
    double AreaIn2 = 0
)
{
    /// <summary>Ampacity in a temperature column.</summary>
    /// <exception cref="ArgumentOutOfRangeException">The column is not 60, 75 or 90.</exception>
    public int At(int celsius) =>
        celsius switch
        {
            60 => C60,
            75 => C75,
            90 => C90,
            _ => throw new ArgumentOutOfRangeException(nameof(celsius), celsius, "The columns are 60, 75 and 90 C."),
        };
}
