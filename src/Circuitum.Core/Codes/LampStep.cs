namespace Circuitum.Core.Codes;

/// <summary>A step of the lamp table.</summary>
/// <param name="UpToWatts">Up to and including so many watts.</param>
/// <param name="Breaker">Its breaker in amperes.</param>
/// <param name="Mm2">Its cable in square millimetres.</param>
public sealed record LampStep(double UpToWatts, int Breaker, string Mm2);
