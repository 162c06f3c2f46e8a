using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.BoxLayout;

/// <summary>
/// What a box is as a body in the frame: how broad, how high, how deep, and what it has to keep clear of. Proposals ask it
/// before they take a place, checks ask it of what stands, and so both say the same.
/// </summary>
internal static class BoxBody
{
    // A single-gang box with its ears; each further gang; a round box; a recessed light's can; half the sweep of a fan.
    private const double OneGang = 2.25,
        MoreGang = 1.8125,
        Round = 4,
        Can = 7,
        FanReach = 26;

    private const double DeviceHigh = 3.75,
        Deep = 3;

    // Wood that is left between two boxes, and the studs of a corner.
    private const double Between = 0.25,
        CornerStud = 1.5;

    // From a can to the wall: the joist or plate beside it.
    private const double CanToWall = 2;

    /// <summary>Width along its wall, or across in a ceiling, in inches.</summary>
    internal static double Wide(Job job, Box box) =>
        BoxHardware.Gangs(job, box) is > 0 and var gangs ? OneGang + ((gangs - 1) * MoreGang)
        : box.Fixture == LightStyle.Recessed ? Can
        : Round;

    private static double High(Job job, Box box) => BoxHardware.Gangs(job, box) > 0 ? DeviceHigh : Round;

    /// <summary>The least distance from a corner of the room to the middle of a box on a wall.</summary>
    internal static Length FromCorner(Job job, Box box) => Length.Inches((Wide(job, box) / 2) + CornerStud);

    /// <summary>Why a box cannot stand where it stands, or none when it can.</summary>
    /// <param name="house">The house.</param>
    /// <param name="box">The box.</param>
    /// <param name="others">All boxes; those on the same wall and its other side, and in the same ceiling, are looked at.</param>
    internal static string? WhyNot(HouseShape house, Box box, IEnumerable<Box> others) =>
        box.Wall is { } wall ? OnWall(house, box, wall, others) : InCeiling(house, box, others);

    private static string? OnWall(HouseShape house, Box box, int wall, IEnumerable<Box> others)
    {
        var (room, job) = (house[box.Room], house.Job);
        var length = room.Walls[wall].Length;
        var corner = FromCorner(job, box);
        if (Length.Min(box.Along, length - box.Along) < corner - Length.Inches(0.25) && length >= corner * 2)
            return "stands in a corner: its middle is "
                + $"{LengthText.Show(Length.Max(Length.Zero, Length.Min(box.Along, length - box.Along)), house.Job.Units)} from it, "
                + $"{LengthText.Show(corner, house.Job.Units)} is the least";
        if (Covering(job, room, box, wall) is { } thing)
            return $"stands in {thing}";
        foreach (var other in others.Where(o => o.Id != box.Id && o.Wall is not null && !Together(box, o)))
        {
            var meets = (Wide(job, box) + Wide(job, other)) / 2;
            var apart = (High(job, box) + High(job, other)) / 2;
            if ((box.Height - other.Height).Abs().InInches >= apart)
                continue;
            if (other.Room == box.Room && other.Outside == box.Outside)
            {
                if (other.Wall == wall && (box.Along - other.Along).Abs().InInches < meets + Between)
                    return $"stands on {other.Id}: their middles are "
                        + $"{LengthText.Show((box.Along - other.Along).Abs(), house.Job.Units)} apart, "
                        + $"{LengthText.Show(Length.Inches(meets + Between), house.Job.Units)} is the least";
            }
            else if (BackToBack(house, room, wall, box, other, meets))
                return $"and {other.Id} are back to back in one bay of a wall that is not deep enough for both";
        }

        return null;
    }

    // The two switches of one piece of equipment and the like may share a plate.
    private static bool Together(Box a, Box b) => a.Serves is not null && a.Serves == b.Serves;

    // On the other side of a wall that is thinner than both boxes.
    private static bool BackToBack(HouseShape house, RoomShape room, int wall, Box box, Box other, double meets)
    {
        if (box.Outside || other.Outside || house[other.Room].Room.Storey != room.Room.Storey || other.Room == box.Room)
            return false;
        var (w, p) = (room.Walls[wall], Places.Of(house, other));
        var across = -(((p.X - w.A.X).InInches * room.InX(w)) + ((p.Y - w.A.Y).InInches * room.InY(w)));
        return across > 1 && across < 2 * Deep && (w.Along(p) - box.Along).Abs().InInches < meets;
    }

    // A cabinet without a counter, a fireplace or a tub covers the wall behind it as high as it stands.
    private static string? Covering(Job job, RoomShape room, Box box, int wall)
    {
        if (box.Outside || box.Kind is not (BoxKind.Receptacle or BoxKind.Switch))
            return null;
        var fixture = job.Fixtures.FirstOrDefault(f =>
            f.Room == room.Room.Id
            && f.Spot.Wall == wall
            && f.Kind is FixtureKind.Cabinet or FixtureKind.Fireplace
            && box.Along > f.Spot.From
            && box.Along < f.Spot.From + f.Spot.Width
        );
        if (fixture is not null)
            return $"a {fixture.Kind.ToString().ToLowerInvariant()}";
        var counter = job.Counters.FirstOrDefault(c =>
            c.Room == room.Room.Id
            && c.Spot.Wall == wall
            && !c.Peninsula
            && box.Along > c.Spot.From
            && box.Along < c.Spot.From + c.Spot.Width
        );
        return counter is not null && box.Kind == BoxKind.Receptacle && box.Height < ReceptacleRules.CounterTop
            ? "the cabinet under a counter"
            : null;
    }

    private static string? InCeiling(HouseShape house, Box box, IEnumerable<Box> others)
    {
        if (box.Kind is not (BoxKind.Light or BoxKind.SmokeAlarm))
            return InIsland(house, box);
        var (room, job, at) = (house[box.Room], house.Job, Places.Of(house, box));
        var least = (Wide(job, box) / 2) + (box.Fixture == LightStyle.Recessed ? CanToWall : 0.5);
        if (room.InchesToWall(at) < least - 0.01)
            return $"is {LengthText.Near(room.InchesToWall(at), job.Units)} from a wall; its body takes "
                + $"{LengthText.Near(least, job.Units)}";
        foreach (
            var other in others.Where(o =>
                o.Id != box.Id && o.Room == box.Room && o.Wall is null && o.Kind is BoxKind.Light or BoxKind.SmokeAlarm
                || IsFan(job, o) && o.Room == box.Room && o.Id != box.Id
            )
        )
        {
            var inches = Places.Of(house, other).InchesTo(at);
            var needed =
                IsFan(job, other) || IsFan(job, box)
                    ? box.Kind == BoxKind.SmokeAlarm || other.Kind == BoxKind.SmokeAlarm
                        ? 0
                        : FanReach + (Wide(job, box) / 2)
                    : ((Wide(job, box) + Wide(job, other)) / 2) + Between;
            if (inches < needed - 0.01)
                return $"is {LengthText.Near(inches, job.Units)} from {other.Id}{(IsFan(job, other) ? ", a fan" : "")}; "
                    + $"{LengthText.Near(needed, job.Units)} keep them clear";
        }

        return null;
    }

    private static bool IsFan(Job job, Box box) =>
        box.Fixture == LightStyle.Fan || ApplianceFacts.Has(job.ApplianceById(box.Appliance), ApplianceTrait.CeilingFan);

    // On an island or a peninsula a box sits in a face, not in the cabinets.
    private static string? InIsland(HouseShape house, Box box)
    {
        if (box.Kind != BoxKind.Receptacle || box.Height < Length.Inches(4))
            return null;
        var (room, at) = (house[box.Room], Places.Of(house, box));
        foreach (var c in house.Job.Counters.Where(c => c.Room == box.Room && IslandRules.IsIsland(c)))
        {
            var (w, n, e, s) = Places.Box(room, c.Spot);
            var (x, y) = (at.X.InInches, at.Y.InInches);
            if (x > w && x < e && y > n && y < s && new[] { x - w, e - x, y - n, s - y }.Min() > IslandRules.FaceInches + 0.01)
                return "stands inside the cabinets, where no hand and no cord reach it";
        }

        return null;
    }

    /// <summary>
    /// The nearest place along its wall where a box can stand, a whole number of inches aside; its own when there is none.
    /// </summary>
    /// <param name="house">The house.</param>
    /// <param name="box">The box as it is wanted.</param>
    /// <param name="others">All other boxes.</param>
    /// <param name="most">Farthest that it may move, in inches.</param>
    /// <param name="clear">Whether its own place counts only when it is clear of openings.</param>
    internal static Box Settle(HouseShape house, Box box, IReadOnlyCollection<Box> others, int most, bool clear = false)
    {
        if (box.Wall is not { } wall)
            return box;
        var room = house[box.Room];
        for (var inches = 0; inches <= most; inches++)
        {
            foreach (var side in inches == 0 ? new[] { 1 } : [1, -1])
            {
                var along = box.Along + Length.Inches(inches * side);
                if (
                    along < Length.Zero
                    || along > room.Walls[wall].Length
                    || ((clear || inches > 0) && ReceptacleSpots.InOpeningAt(room, wall, along, box.Height, 2))
                )
                    continue;
                var there = box with { Along = along };
                if (WhyNot(house, there, others) is null)
                    return there;
            }
        }

        return box;
    }
}
