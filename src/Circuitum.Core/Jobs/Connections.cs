namespace Circuitum.Core.Jobs;

/// <summary>How receptacles are connected.</summary>
public enum Connections
{
    /// <summary>Cables joined in the box, the device on a pigtail: its failing leaves the rest on.</summary>
    Pigtail,

    /// <summary>Through the device's terminals: what lies beyond hangs on it.</summary>
    FeedThrough,
}
