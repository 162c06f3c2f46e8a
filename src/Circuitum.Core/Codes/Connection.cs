namespace Circuitum.Core.Codes;

/// <summary>How many lines of the supply an appliance or a circuit hangs on.</summary>
public enum Connection
{
    /// <summary>One line and the neutral.</summary>
    OneLine,

    /// <summary>Two lines, with the neutral or without.</summary>
    TwoLines,

    /// <summary>All of three lines, with the neutral or without.</summary>
    ThreeLines,
}
