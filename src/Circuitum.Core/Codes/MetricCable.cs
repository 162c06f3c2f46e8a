namespace Circuitum.Core.Codes;

/// <summary>A metric cable.</summary>
/// <param name="Mm2">Section in square millimetres.</param>
/// <param name="Single">Amperes in conduit, single phase.</param>
/// <param name="Three">Amperes in conduit, three phases.</param>
/// <param name="SingleMv">Drop in millivolts for an ampere and a metre, single phase, there and back.</param>
/// <param name="ThreeMv">The same for three phases.</param>
public sealed record MetricCable(string Mm2, double Single, double Three, double SingleMv, double ThreeMv);
