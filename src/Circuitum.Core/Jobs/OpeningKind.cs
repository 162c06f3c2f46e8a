namespace Circuitum.Core.Jobs;

/// <summary>Kinds of opening.</summary>
public enum OpeningKind
{
    /// <summary>A hinged door.</summary>
    Hinged,

    /// <summary>A door that slides into the wall.</summary>
    Pocket,

    /// <summary>A glass door of which one half slides and the other is fixed; the fixed half counts as wall.</summary>
    Sliding,

    /// <summary>An opening without a door, as wide as an open plan wants.</summary>
    Cased,

    /// <summary>A vehicle door.</summary>
    GarageDoor,

    /// <summary>A window.</summary>
    Window,
}
