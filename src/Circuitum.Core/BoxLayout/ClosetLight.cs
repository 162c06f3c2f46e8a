using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.BoxLayout;

/// <summary>Clearance of a closet's light from its storage space (410.2, 410.16).</summary>
internal static class ClosetLight
{
    /// <summary>How far a place is from the space over the shelves, in inches; less than zero when it is within that space.</summary>
    /// <remarks>Shelves run along every wall but those with a doorway.</remarks>
    internal static double ClearInches(RoomShape closet, Point at)
    {
        var shelf = Math.Max(12, closet.Room.ShelfDepth?.InInches ?? 12);
        var doors = closet.Openings.Where(o => o.IsDoorway).Select(o => o.Wall).ToHashSet();
        var shelved = closet.Walls.Where(w => !doors.Contains(w.Index)).ToList();
        return shelved.Count == 0 ? double.MaxValue : shelved.Min(w => FromWall(closet, w, at)) - shelf;
    }

    /// <summary>The clearance that a light needs: a recessed one less than one on the surface.</summary>
    internal static double Needed(CodeEdition edition, Box light) =>
        edition.Number(light.Fixture == LightStyle.Recessed ? "closetClearRecessedIn" : "closetClearSurfaceIn");

    private static double FromWall(RoomShape room, Wall wall, Point at)
    {
        var along = Math.Clamp(wall.Along(at).InInches, 0, wall.Length.InInches);
        return room.On(wall.Index, Length.Inches(along)).InchesTo(at);
    }
}
