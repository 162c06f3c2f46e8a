namespace Circuitum.Formats;

/// <summary>Where text stands against its place.</summary>
public enum TextSide
{
    /// <summary>It begins there.</summary>
    Start,

    /// <summary>Its middle is there.</summary>
    Middle,

    /// <summary>It ends there.</summary>
    End,
}
