using Circuitum.Core.Codes;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Loads;

/// <summary>The general lighting and receptacle load of a dwelling by its floor area (220.41; 210.11(A)).</summary>
public static class GeneralLoad
{
    /// <summary>The load of a floor area.</summary>
    /// <param name="edition">The edition.</param>
    /// <param name="areaSqFt">Floor area by the outside line, in square feet.</param>
    public static VoltAmperes Of(CodeEdition edition, double areaSqFt) => new(areaSqFt * edition.Number("generalVaPerSqFt"));

    /// <summary>The least number of 120 V circuits that carry it.</summary>
    /// <param name="edition">The edition.</param>
    /// <param name="areaSqFt">Floor area by the outside line, in square feet.</param>
    /// <param name="breaker">Their breakers in amperes.</param>
    public static int LeastCircuits(CodeEdition edition, double areaSqFt, int breaker) =>
        (int)Math.Ceiling((Of(edition, areaSqFt).Value / (edition.Supply.ToNeutral * breaker)) - 1e-9);
}
