using System.Collections.Immutable;

namespace Circuitum.Core.Codes;

/// <summary>How lamp points count and what they hang on; a local layer may say otherwise.</summary>
/// <param name="PointWatts">A lamp point in watts.</param>
/// <param name="LedWatts">An LED point in watts.</param>
/// <param name="Steps">Breakers by watts, smallest first; over the last a circuit is divided.</param>
public sealed record LampTable(double PointWatts, double LedWatts, ImmutableArray<LampStep> Steps);
