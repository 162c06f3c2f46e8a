namespace Circuitum.Core.Codes;

/// <summary>Where a ceiling box must be listed for a fan (314.27(C)).</summary>
public enum FanBoxWay
{
    /// <summary>Where spare switched conductors run to it.</summary>
    SpareConductors,

    /// <summary>In the middle of every habitable room.</summary>
    Habitable,
}
