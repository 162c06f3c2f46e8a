using System.Collections.Immutable;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Geometry;

/// <summary>A wall worked out from the rooms on its sides, the job's frame and what is stated about it.</summary>
/// <param name="Outside">It stands between the inside and the open air.</param>
/// <param name="Thickness">Lining to lining.</param>
/// <param name="Build">What it is built of.</param>
/// <param name="Bearing">It carries load.</param>
/// <param name="StudSpacing">On centre.</param>
/// <param name="Fact">What is stated about it, or none.</param>
/// <param name="Facing">The rooms on its other side.</param>
public sealed record WallBody(
    bool Outside,
    Length Thickness,
    WallBuild Build,
    bool Bearing,
    Length StudSpacing,
    WallFact? Fact,
    ImmutableArray<FacingWall> Facing
)
{
    /// <summary>Works a wall out.</summary>
    /// <param name="house">The house.</param>
    /// <param name="room">The room from which it is seen.</param>
    /// <param name="wall">The number of its wall.</param>
    public static WallBody Of(HouseShape house, RoomShape room, int wall)
    {
        var facing = house.Facing(room, wall);
        var open = room.Room.Kind.OpenAir();
        var outside = open || !facing.Any(f => !f.Room.Room.Kind.OpenAir());
        var frame = house.Job.Frame;
        var fact = Stated(house.Job, room.Room.Id, wall)
            ?? facing.Select(f => Stated(house.Job, f.Room.Room.Id, f.Wall)).FirstOrDefault(f => f is not null);
        var measured = facing.Length > 0 ? Length.Inches(facing.Min(f => f.GapInches)).RoundTo(Length.Inches(0.0625)) : (Length?)null;
        var thickness = measured ?? fact?.Thickness ?? (outside ? frame.OutsideWall : frame.Partition);
        var usual = thickness >= Length.Inches(5.5) ? WallBuild.Wood2x6 : WallBuild.Wood2x4;

        // An outside wall carries the roof or the storey above unless somebody knows better.
        return new(
            outside,
            thickness,
            fact?.Build ?? usual,
            fact?.Bearing ?? outside,
            fact?.StudSpacing ?? frame.StudSpacing,
            fact,
            facing
        );
    }

    private static WallFact? Stated(Job job, string room, int wall) => job.Walls.FirstOrDefault(w => w.Room == room && w.Wall == wall);
}
