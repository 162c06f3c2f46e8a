using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.BoxLayout;

/// <summary>Which rooms count towards the floor area of the load calculation (220.12; 2020: 220.14(J); 2023: 220.41).</summary>
public static class FloorAreas
{
    // What a room that people live in must have at least (R305), so that a lower basement is not made one.
    private static readonly Length LeastCeiling = Length.Feet(7);

    /// <summary>Whether a room counts: what its kind says, and an unfinished space when it can be finished later.</summary>
    /// <param name="edition">The edition.</param>
    /// <param name="room">The room.</param>
    public static bool Counts(CodeEdition edition, Room room) => edition.Traits(room.Kind).FloorArea || CanBeFinished(room);

    /// <summary>
    /// Whether an unfinished space can be made a room later: as its entry says, else a basement by its height, and an attic
    /// that has stairs.
    /// </summary>
    /// <param name="room">The room.</param>
    public static bool CanBeFinished(Room room) =>
        room.Kind switch
        {
            RoomKind.UnfinishedBasement => room.Adaptable ?? room.CeilingHeight >= LeastCeiling,
            RoomKind.Attic => room.Adaptable ?? (room.Access == AccessKind.Stairs),
            _ => false,
        };
}
