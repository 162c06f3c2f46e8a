using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Entry;

/// <summary>
/// Makes a piece of ground for what is put down in the open, where no outdoor place is drawn: against the house where its wall is near,
/// with room to stand in front of the thing and beside it.
/// </summary>
internal static class GroundMaker
{
    // Farther from a wall a thing stands free in the yard, in inches.
    private const double NearWall = 144;

    private static readonly Length Beside = Length.Feet(1),
        Before = Length.Feet(3);

    /// <summary>
    /// The job with the ground, its id, and the wall of it and the distance along where the thing belongs; none where rooms leave no space.
    /// </summary>
    /// <param name="job">The job.</param>
    /// <param name="storey">The storey.</param>
    /// <param name="at">Where a person points.</param>
    /// <param name="size">Of the thing, along the wall and away from it.</param>
    internal static (Job Job, string Room, int Wall, Length From)? Make(Job job, string storey, Point at, (Length Wide, Length Deep) size)
    {
        var house = HouseShape.Of(job);
        var near = house.Rooms.Where(r => r.Room.Storey == storey && !r.Room.Kind.OpenAir()).MinBy(r => r.InchesToWall(at));
        if (near is null)
            return null;
        var (wall, along, _) = near.Nearest(at);
        var own = near.Walls[wall];
        var (wide, deep) = (size.Wide + Beside + Beside, size.Deep + Before);
        var ends = new[] { own.Dx, own.Dy }.All(d => d is 0 or 1 or -1);
        if (!ends || near.InchesToWall(at) > NearWall)
            return Put(job, storey, at.X - (wide / 2), at.Y - (deep / 2), wide, deep, 0);

        // Away from the room, from the outside face of its wall.
        var (nx, ny) = (-Math.Sign(near.InX(own)), -Math.Sign(near.InY(own)));
        var face = own.At(along);
        var gap = job.Frame.OutsideWall;
        return (nx, ny) switch
        {
            (0, > 0) => Put(job, storey, face.X - (wide / 2), face.Y + gap, wide, deep, 0),
            (0, _) => Put(job, storey, face.X - (wide / 2), face.Y - gap - deep, wide, deep, 2),
            (> 0, _) => Put(job, storey, face.X + gap, face.Y - (wide / 2), deep, wide, 3),
            _ => Put(job, storey, face.X - gap - deep, face.Y - (wide / 2), deep, wide, 1),
        };
    }

    private static (Job, string, int, Length)? Put(Job job, string storey, Length x, Length y, Length wide, Length deep, int wall)
    {
        (x, y) = (x.RoundTo(Length.Inches(1)), y.RoundTo(Length.Inches(1)));
        var ground = new Room
        {
            Id = Names.Free("ground", job.Rooms.Select(r => r.Id)),
            Name = Names.Next("Ground", job.Rooms.Select(r => r.Name)),
            Kind = RoomKind.Outdoors,
            Storey = storey,
            Outline = [new(x, y), new(x + wide, y), new(x + wide, y + deep), new(x, y + deep)],
        };
        return job.Rooms.Any(r => r.Storey == storey && HouseShape.OverlapSqFt(r, ground) > 0)
            ? null
            : (job with { Rooms = job.Rooms.Add(ground) }, ground.Id, wall, Beside);
    }
}
