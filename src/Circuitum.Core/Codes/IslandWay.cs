namespace Circuitum.Core.Codes;

/// <summary>How receptacles of islands and peninsulas are asked for (210.52(C)).</summary>
public enum IslandWay
{
    /// <summary>One for each that is large enough.</summary>
    Each,

    /// <summary>By its area.</summary>
    Area,

    /// <summary>None is asked for; a provision for one is.</summary>
    Provision,
}
