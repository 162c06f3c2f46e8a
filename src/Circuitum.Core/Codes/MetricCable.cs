using System.Globalization;
using System.Text.Json.Serialization;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Codes;

/// <summary>A metric cable.</summary>
/// <param name="Mm2">Section in square millimetres.</param>
/// <param name="Single">Amperes in conduit, single phase.</param>
/// <param name="Three">Amperes in conduit, three phases.</param>
/// <param name="SingleMv">Drop in millivolts for an ampere and a metre, single phase, there and back.</param>
/// <param name="ThreeMv">The same for three phases.</param>
public sealed record MetricCable(string Mm2, double Single, double Three, double SingleMv, double ThreeMv)
{
    /// <summary>Its section as a size.</summary>
    [JsonIgnore]
    public WireSize Size => WireSize.Section(double.Parse(Mm2, CultureInfo.InvariantCulture));

    /// <summary>What it carries at 30 C with nothing beside it, in amperes.</summary>
    public double Rating(bool threeLines) => threeLines ? Three : Single;

    /// <summary>Drop in millivolts for an ampere and a metre of the run.</summary>
    public double Mv(bool threeLines) => threeLines ? ThreeMv : SingleMv;

    /// <summary>
    /// As a row of the conductor tables, whose drop is reckoned there and back by ohm for 1000 ft: half the millivolts of an ampere and a
    /// metre are those of one way.
    /// </summary>
    public ConductorRow Row(bool threeLines) => new(Size, 0, 0, 0, 0, Mv(threeLines) / 2 * LengthText.MetresInFoot);
}
