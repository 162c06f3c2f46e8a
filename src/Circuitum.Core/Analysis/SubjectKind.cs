namespace Circuitum.Core.Analysis;

/// <summary>What a reference is to.</summary>
public enum SubjectKind
{
    /// <summary>An appliance, by its id.</summary>
    Appliance,

    /// <summary>A box, by its id.</summary>
    Box,

    /// <summary>The cable that feeds a box.</summary>
    Cable,

    /// <summary>A branch circuit, by its number.</summary>
    Circuit,

    /// <summary>A counter, by its id.</summary>
    Counter,

    /// <summary>A fixture, by its id.</summary>
    Fixture,

    /// <summary>An opening, by its id.</summary>
    Opening,

    /// <summary>A panel, by its id.</summary>
    Panel,

    /// <summary>A room, by its id.</summary>
    Room,

    /// <summary>A cable, by the box in which it ends and the one that it comes from.</summary>
    Run,

    /// <summary>A storey, by its id.</summary>
    Storey,

    /// <summary>A wall, by its room and its number.</summary>
    Wall,

    /// <summary>A wish, by its id.</summary>
    Wish,
}
