using Circuitum.Core.Measure;

namespace Circuitum.Core.Sizing;

/// <summary>A device on a yoke.</summary>
/// <param name="Size">The largest wire that lands on it.</param>
/// <param name="Wide">Wider than a single gang, as a 50 A receptacle.</param>
public sealed record DeviceYoke(WireSize Size, bool Wide = false);
