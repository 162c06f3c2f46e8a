using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>Rooms of a kind that want a receptacle.</summary>
internal static class RoomReceptacles
{
    /// <summary>The receptacles inside a room.</summary>
    internal static List<Box> In(JobAnalysis a, RoomShape room) =>
        [.. a.Job.Decisions.Boxes.Where(b => b.Kind == BoxKind.Receptacle && b.Room == room.Room.Id && !b.Outside)];

    /// <summary>Rooms of a kind in which there is none.</summary>
    internal static IEnumerable<RoomShape> Without(JobAnalysis a, params RoomKind[] kinds) =>
        a.House.Rooms.Where(r => kinds.Contains(r.Room.Kind) && In(a, r).Count == 0);
}
