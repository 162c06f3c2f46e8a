namespace Circuitum.Core.Jobs;

/// <summary>What a breaker feeds: a circuit, or the feeder of another panel.</summary>
/// <param name="Circuit">The circuit's number; 0 for a feeder.</param>
/// <param name="Feeds">The panel at the feeder's end; none for a circuit.</param>
public readonly record struct BreakerKey(int Circuit, string? Feeds = null)
{
    /// <summary>The breaker of a circuit.</summary>
    public static implicit operator BreakerKey(int circuit) => new(circuit);

    /// <summary>The breaker of a feeder.</summary>
    /// <param name="panel">The panel that it feeds.</param>
    public static BreakerKey Feeder(string panel) => new(0, panel);
}
