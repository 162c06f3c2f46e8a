using Circuitum.Core.Analysis;
using Circuitum.Core.Commands;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Checks;

/// <summary>The edits that clear findings about boxes.</summary>
internal static class BoxFixes
{
    internal static FindingFix Propose(RoomShape room) => new($"Propose the boxes of {room.Room.Name}", new ProposeBoxes(room.Room.Id));

    internal static FindingFix ProposeAll => new("Propose the boxes of the house", new ProposeBoxes(null));

    internal static FindingFix AddReceptacle(RoomShape room, int wall, Length along) =>
        new("Add a receptacle there", new AddBox(BoxKind.Receptacle, room.Room.Id, wall, along, null));

    internal static FindingFix MoveTo(string title, string box, Point at) => new(title, new MoveBox(box, null, null, at));

    internal static FindingFix Change(string title, string box, BoxChange change) => new(title, new EditBox(box, change));
}
