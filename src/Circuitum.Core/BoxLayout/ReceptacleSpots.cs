using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.BoxLayout;

/// <summary>Where along walls and counters receptacles stand, and which of those that are there serve a space.</summary>
internal static class ReceptacleSpots
{
    /// <summary>Where receptacles have to be added along a space, the fewest that do and among those the best placed.</summary>
    internal static ImmutableArray<Length> Missing(
        Job job,
        Codes.CodeEdition edition,
        IEnumerable<Box> boxes,
        RoomShape shape,
        WallSpace space,
        Length reach,
        bool overCounter
    )
    {
        var held = Held(boxes, job, edition, shape, space, overCounter).ToList();
        var behind = ReceptacleRules.Behind(job, shape);
        return Cover.Fewest(
            space.Length,
            reach,
            held,
            o =>
                Dislike(
                    shape,
                    space,
                    o,
                    job.Frame.StudSpacing,
                    overCounter,
                    behind,
                    overCounter ? job.Preferences.CounterCentre : job.Preferences.ReceptacleBottom + Length.Inches(2)
                ),
            WholeInches(shape, space)
        );
    }

    // Places a whole number of inches from a corner of the room, which is what a tape finds.
    internal static IEnumerable<Length> WholeInches(RoomShape shape, WallSpace space)
    {
        var at = Length.Zero;
        while (at <= space.Length)
        {
            var (wall, along) = shape.FromPerimeter(space.Start + at);
            var next = new Length((along.Units + Length.UnitsPerInch - 1) / Length.UnitsPerInch * Length.UnitsPerInch);
            if (next > shape.Walls[wall].Length)
            {
                at += shape.Walls[wall].Length - along + new Length(1);
                continue;
            }

            at += next - along;
            if (at <= space.Length)
                yield return at;
            at += Length.Inches(1);
        }
    }

    /// <summary>
    /// Offsets of the receptacles that serve a space: those over the counter for a counter; for a wall those up to the
    /// height at which they count, the plug of a refrigerator that stands there among them.
    /// </summary>
    internal static IEnumerable<Length> Held(
        IEnumerable<Box> boxes,
        Job job,
        Codes.CodeEdition edition,
        RoomShape shape,
        WallSpace space,
        bool overCounter
    )
    {
        var (least, most) = overCounter
            ? (ReceptacleRules.CounterTop, ReceptacleRules.CounterTop + edition.Number("counterAboveMostIn").Length)
            : (Length.Zero, edition.Number("requiredHeightMostIn").Length);
        return boxes
            .Where(b =>
                b.Room == shape.Room.Id
                && !b.Outside
                && b.Height >= least
                && b.Height <= most
                && (b.Kind == BoxKind.Receptacle || (!overCounter && MovablePlug(job, b)))
            )
            .Select(b => OnLine(shape, b))
            .OfType<Length>()
            .Select(place => space.Offset(place, shape.Perimeter))
            .OfType<Length>();
    }

    // A receptacle in the floor counts when it is within 18 in of the wall (210.52(A)(3)).
    private static Length? OnLine(RoomShape shape, Box box)
    {
        if (box.Wall is { } wall)
            return shape.ToPerimeter(wall, box.Along);
        if (box.At is not { } at || box.Height > Length.Inches(2) || shape.Nearest(at) is not { Inches: <= 18 } near)
            return null;
        return shape.ToPerimeter(near.Wall, near.Along);
    }

    private static bool MovablePlug(Job job, Box box) =>
        job.ApplianceById(box.Appliance) is { } a
        && Codes.ApplianceFacts.Of(job, a) is { Type.Movable: true, Hardwired: false, Connection: Connection.OneLine };

    // Beside a stud, out of corners, not behind an open door leaf, and not under a window when a neighbour does as well.
    internal static int Dislike(
        RoomShape shape,
        WallSpace space,
        Length offset,
        Length stud,
        bool overCounter,
        List<(int Wall, Length From, Length To)> behind,
        Length height
    )
    {
        var (wall, along) = shape.FromPerimeter(space.Start + offset);
        var length = shape.Walls[wall].Length;
        var corner = Length.Min(along, length - along);
        var pitch = along.Units % stud.Units;
        var fromStud = Math.Min(pitch, stud.Units - pitch) / (double)Length.UnitsPerInch;
        var dislike = (int)Math.Round(Math.Abs(fromStud - 2) * 2);
        if (fromStud < 1.5)
            dislike += 8;
        if (along.Units % Length.UnitsPerInch != 0)
            dislike += 2;
        if (corner < Length.Inches(3))
            dislike += 1500;
        else if (corner < Length.Inches(4))
            dislike += 400;
        else if (corner < Length.Inches(10))
            dislike += 40;
        if (Length.Min(offset, space.Length - offset) < Length.Inches(4))
            dislike += 120;
        if (!overCounter && behind.Any(b => b.Wall == wall && along > b.From - Length.Inches(2) && along < b.To + Length.Inches(2)))
            dislike += 500;
        foreach (var o in shape.Openings.Where(o => o.Wall == wall))
        {
            if (along < o.From - Length.Inches(3) || along > o.To + Length.Inches(3))
            {
                if (o.Opening.Kind == OpeningKind.Hinged && o.SwingsIn && BehindLeaf(o, along))
                    dislike += 60;
                continue;
            }

            dislike +=
                o.Opening.Kind != OpeningKind.Window ? 2000
                : InOpeningAt(shape, wall, along, height, 3) ? 2000
                : overCounter ? 900
                : 15;
        }

        return dislike;
    }

    private static bool BehindLeaf(RoomOpening o, Length along) =>
        o.Hinge == End.Start ? along < o.From && along > o.From - o.Opening.Width : along > o.To && along < o.To + o.Opening.Width;

    /// <summary>
    /// Whether a place some inches from a tub or shower lies in the zone that an edition keeps free; over the tub it always does.
    /// </summary>
    internal static bool InTubZone(Codes.CodeEdition edition, double inches) => inches < edition.Number("tubZoneIn") || inches <= 0;

    internal static bool InOpening(RoomShape shape, int wall, Length along, double marginInches, bool windowsToo = true) =>
        shape.Openings.Any(o =>
            o.Wall == wall
            && (windowsToo || o.Opening.Kind != OpeningKind.Window)
            && along > o.From - Length.Inches(marginInches)
            && along < o.To + Length.Inches(marginInches)
        );

    /// <summary>Whether a box at a height would stand in an opening: in a door, or between the sill and the head of a window.</summary>
    internal static bool InOpeningAt(RoomShape shape, int wall, Length along, Length height, double marginInches) =>
        shape.Openings.Any(o =>
            o.Wall == wall
            && along > o.From - Length.Inches(marginInches)
            && along < o.To + Length.Inches(marginInches)
            && (
                o.Opening.Kind != OpeningKind.Window
                || (height > o.Opening.Foot - Length.Inches(3) && height < o.Opening.Top + Length.Inches(4))
            )
        );
}
