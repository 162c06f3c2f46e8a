using System.Globalization;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Codes;

/// <summary>
/// A sheathed cable with a ground: <c>12-2</c>, <c>14-3</c>, <c>12-2-2</c> with a neutral for each of two lines; or singles in conduit
/// with their protective conductor: <c>3 x 2.5 mm2</c>.
/// </summary>
/// <param name="Size">AWG of its insulated conductors.</param>
/// <param name="Conductors">How many of them there are: 2, 3 or 4; four are two pairs.</param>
public readonly record struct CableType(WireSize Size, int Conductors)
{
    private const int TwoPairs = 4;

    /// <summary>
    /// Those that carry current at once: a third one is a traveler, a switched line, or a neutral that carries only what is unbalanced.
    /// </summary>
    public int Carrying => Conductors == TwoPairs ? TwoPairs : 2;

    /// <summary>About what its jacket measures across the wide side, in inches.</summary>
    public double InchesWide =>
        (
            Conductors switch
            {
                3 => 1.0,
                TwoPairs => 1.1,
                _ => 0.85,
            }
        ) * (CodeLibrary.Conductors.Cable(Size)?.WideIn ?? 1);

    /// <summary>As the trade writes it.</summary>
    public override string ToString() =>
        Size.IsSection
            ? $"{Conductors + 1} x {Size}"
            : $"{Size}-{(Conductors == TwoPairs ? "2-2" : Conductors.ToString(CultureInfo.InvariantCulture))}";
}
