namespace Circuitum.Core.Jobs;

/// <summary>What devices look like, which decides the opening of their plates.</summary>
public enum DeviceFaces
{
    /// <summary>Toggles and duplex faces; protective receptacles have the large rectangular opening.</summary>
    Classic,

    /// <summary>All with the large rectangular opening.</summary>
    Rectangular,
}
