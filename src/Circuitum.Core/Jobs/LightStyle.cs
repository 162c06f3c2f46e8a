namespace Circuitum.Core.Jobs;

/// <summary>What hangs at a lighting outlet.</summary>
public enum LightStyle
{
    /// <summary>A fixture on the ceiling.</summary>
    Surface,

    /// <summary>A recessed light.</summary>
    Recessed,

    /// <summary>A pendant or another light that hangs down.</summary>
    Pendant,

    /// <summary>A light over a basin or a mirror.</summary>
    Vanity,

    /// <summary>A light on a wall.</summary>
    Wall,

    /// <summary>A fan with or without a light.</summary>
    Fan,
}
