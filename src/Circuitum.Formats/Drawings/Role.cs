namespace Circuitum.Formats.Drawings;

/// <summary>What a shape of a drawing is. Each medium gives each role its look; no shape knows a colour.</summary>
public enum Role
{
    /// <summary>A picture that is traced.</summary>
    Picture,

    /// <summary>The mass of walls: a room with a margin, under all floors.</summary>
    Mass,

    /// <summary>The floor of a room.</summary>
    Floor,

    /// <summary>A room of the storey below, where it lies under this one.</summary>
    Ghost,

    /// <summary>A counter, a fixture or an appliance.</summary>
    Thing,

    /// <summary>What a thing is called.</summary>
    ThingName,

    /// <summary>A wall where a hand takes it.</summary>
    Wall,

    /// <summary>The gap in a wall.</summary>
    Opening,

    /// <summary>Glass of a window, or the line of a sliding or pocket door.</summary>
    Glass,

    /// <summary>A door leaf with its swing.</summary>
    Leaf,

    /// <summary>An opening where a hand takes it.</summary>
    HitLine,

    /// <summary>The name of a room.</summary>
    RoomName,

    /// <summary>Its width and depth.</summary>
    RoomSize,

    /// <summary>What the owner wants somewhere.</summary>
    Wish,

    /// <summary>A line that is measured.</summary>
    Dimension,

    /// <summary>What it measures.</summary>
    DimensionText,

    /// <summary>A panel.</summary>
    Panel,

    /// <summary>Its name.</summary>
    PanelName,

    /// <summary>The reach of receptacles along a wall.</summary>
    Reach,

    /// <summary>What a switch controls.</summary>
    Switching,

    /// <summary>Wiring from box to box, as a plan shows it.</summary>
    Wiring,

    /// <summary>The arrow of a home run towards the panel.</summary>
    HomeRun,

    /// <summary>The whole way of a cable.</summary>
    Run,

    /// <summary>A cable by its real way, to be picked.</summary>
    RunLine,

    /// <summary>Its line, and the broader one that a hand hits.</summary>
    RunWay,

    /// <summary>Where a hand takes it.</summary>
    RunHandle,

    /// <summary>A box.</summary>
    Mark,

    /// <summary>A line or an outline of a symbol.</summary>
    Symbol,

    /// <summary>Letters that are a symbol.</summary>
    MarkText,

    /// <summary>What tells that something is to be mended at a box.</summary>
    Badge,

    /// <summary>What tells that a box is held.</summary>
    HeldBadge,

    /// <summary>A ring around a box that is on another circuit than before.</summary>
    Changed,

    /// <summary>A cross over what is without power.</summary>
    Off,

    /// <summary>Where a hand takes a box.</summary>
    Hit,

    /// <summary>The number of a circuit.</summary>
    Tag,

    /// <summary>The line from a label to what it is about.</summary>
    Leader,

    /// <summary>A line in plain ink.</summary>
    Ink,

    /// <summary>What is filled with ink.</summary>
    Solid,

    /// <summary>Words in plain ink.</summary>
    Words,

    /// <summary>A stud, a plate or a header.</summary>
    Timber,

    /// <summary>An opening of a wall that is seen from the room.</summary>
    Hole,

    /// <summary>A box in a wall that is seen from the room.</summary>
    StripBox,

    /// <summary>Its outline.</summary>
    Body,

    /// <summary>The line down to where its distance is told.</summary>
    Drop,

    /// <summary>A cable in such a wall.</summary>
    Cable,

    /// <summary>What it is called where it comes in.</summary>
    CableName,

    /// <summary>A staple.</summary>
    Staple,

    /// <summary>A hole through a stud.</summary>
    Bored,

    /// <summary>A plate that keeps nails from a cable.</summary>
    NailPlate,

    /// <summary>A space of a panel.</summary>
    Space,

    /// <summary>A breaker.</summary>
    Breaker,

    /// <summary>A space without one.</summary>
    Spare,

    /// <summary>A breaker's handle.</summary>
    Handle,

    /// <summary>A number that tells how it was worked out.</summary>
    Why,
}
