using System.Collections.Immutable;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.BoxLayout;

/// <summary>
/// Proposes receptacles: along walls, at counters, basins, in garages, halls, foyers, laundries, basements and at equipment.
/// </summary>
internal static class ReceptacleRules
{
    internal static void Add(Draft draft)
    {
        foreach (var shape in draft.Rooms)
        {
            if ((draft.Traits(shape).WallSpaces && draft.Edition.InForce("box.wall")) || shape.Room.ReceptacleReach is not null)
                AlongWalls(draft, shape);
            if (draft.Edition.InForce("box.counter"))
                AtCounters(draft, shape);
            if (draft.Edition.InForce("box.island"))
                IslandRules.Add(draft, shape);
            if (draft.Edition.InForce("box.basement") && RoomUse.IsUnfinishedBasement(draft.Job, shape.Room))
                One(draft, shape, Length.Inches(48));
            if (Rule(shape.Room.Kind) is not { } rule || !draft.Edition.InForce(rule))
                continue;
            switch (shape.Room.Kind)
            {
                case RoomKind.Bathroom:
                    AtBasins(draft, shape);
                    break;
                case RoomKind.Hallway:
                    Hall(draft, shape);
                    break;
                case RoomKind.Foyer:
                    Foyer(draft, shape);
                    break;
                case RoomKind.Garage:
                    Garage(draft, shape);
                    break;
                case RoomKind.Laundry:
                    Laundry(draft, shape);
                    break;
                case RoomKind.AccessoryBuilding:
                    One(draft, shape, Length.Inches(48));
                    break;
            }
        }

        if (draft.Edition.InForce("box.outdoor"))
            OutdoorRules.Add(draft);
        if (draft.Edition.InForce("box.hvac"))
            NearEquipment(draft);
    }

    // The rule that asks for receptacles in a kind of room beside those along its walls, if one does.
    private static string? Rule(RoomKind kind) =>
        kind switch
        {
            RoomKind.Bathroom => "box.bathroom",
            RoomKind.Hallway => "box.hallway",
            RoomKind.Foyer => "box.foyer",
            RoomKind.Garage => "box.garage",
            RoomKind.Laundry => "box.laundry",
            RoomKind.AccessoryBuilding => "box.accessory",
            _ => null,
        };

    private static Length ReceptacleHeight(Draft draft) => draft.Job.Preferences.ReceptacleBottom + Length.Inches(2);

    /// <summary>
    /// How far any place along a room's walls may be from a receptacle: the code's reach, or less where the job or the room asks for it.
    /// </summary>
    internal static Length Reach(Job job, Codes.CodeEdition edition, Room room)
    {
        var code = Length.Inches(edition.Number("wallReachIn"));
        return Length.Min(code, room.ReceptacleReach ?? job.Preferences.ReceptacleReach ?? code);
    }

    private static void AlongWalls(Draft draft, RoomShape shape)
    {
        foreach (var space in WallSpaces.Of(shape, draft.Job, draft.InchNumber("wallSpaceLeastIn")))
            Fill(draft, shape, space, Reach(draft.Job, draft.Edition, shape.Room), ReceptacleHeight(draft), overCounter: false);
    }

    private static void AtCounters(Draft draft, RoomShape shape)
    {
        foreach (var space in WallSpaces.Counters(shape, draft.Job, draft.InchNumber("counterLeastIn")))
            Fill(draft, shape, space, draft.InchNumber("counterReachIn"), draft.Job.Preferences.CounterCentre, overCounter: true);
    }

    private static void Fill(Draft draft, RoomShape shape, WallSpace space, Length reach, Length height, bool overCounter)
    {
        foreach (var offset in Missing(draft.Job, draft.Edition, draft.All, shape, space, reach, overCounter))
        {
            var (wall, along) = shape.FromPerimeter(space.Start + offset);
            draft.Add(
                new Box
                {
                    Kind = BoxKind.Receptacle,
                    Room = shape.Room.Id,
                    Wall = wall,
                    Along = along,
                    Height = height,
                }
            );
        }
    }

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
        var behind = Behind(job, shape);
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
    private static IEnumerable<Length> WholeInches(RoomShape shape, WallSpace space)
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
            ? (CounterTop, CounterTop + Length.Inches(edition.Number("counterAboveMostIn")))
            : (Length.Zero, Length.Inches(edition.Number("requiredHeightMostIn")));
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

    /// <summary>Usual height of a counter's top.</summary>
    internal static readonly Length CounterTop = Length.Inches(36);

    private static bool MovablePlug(Job job, Box box) =>
        job.ApplianceById(box.Appliance) is { } a && Codes.ApplianceFacts.Of(a) is { Type.Movable: true, Hardwired: false, Volts: 120 };

    // The stretches of wall behind a refrigerator and the like.
    private static List<(int Wall, Length From, Length To)> Behind(Job job, RoomShape shape) =>
        [
            .. job
                .Appliances.Where(a => a.Room == shape.Room.Id && a.Spot.Wall is not null && a.Spot.Depth >= Length.Inches(12))
                .Select(a => (a.Spot.Wall!.Value, a.Spot.From, a.Spot.From + a.Spot.Width)),
        ];

    // Beside a stud, out of corners, not behind an open door leaf, and not under a window when a neighbour does as well.
    private static int Dislike(
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

    private static void AtBasins(Draft draft, RoomShape shape)
    {
        var reach = draft.Edition.Number("basinReachIn");
        foreach (var basin in draft.Job.Fixtures.Where(f => f.Room == shape.Room.Id && f.Kind == FixtureKind.Basin))
        {
            if (
                draft.All.Any(b =>
                    b.Kind == BoxKind.Receptacle
                    && b.Room == shape.Room.Id
                    && Places.InchesTo(shape, basin.Spot, Places.Of(draft.House, b)) <= reach
                )
            )
                continue;
            if (BesideBasin(draft, shape, basin, reach) is { } place)
                draft.Add(
                    new Box
                    {
                        Kind = BoxKind.Receptacle,
                        Room = shape.Room.Id,
                        Wall = place.Wall,
                        Along = place.Along,
                        Height = draft.Job.Preferences.CounterCentre,
                    }
                );
        }
    }

    private static (int Wall, Length Along)? BesideBasin(Draft draft, RoomShape shape, Fixture basin, double reach)
    {
        var wet = draft.Job.Fixtures.Where(f => f.Room == shape.Room.Id && f.Kind is (FixtureKind.Tub or FixtureKind.Shower)).ToList();
        (int, Length)? best = null;
        var lowest = double.MaxValue;
        for (var s = Length.Zero; s < shape.Perimeter; s += Length.Inches(2))
        {
            var (wall, along) = shape.FromPerimeter(s);
            if (Length.Min(along, shape.Walls[wall].Length - along) < Length.Inches(4) || InOpening(shape, wall, along, 3))
                continue;
            var point = shape.On(wall, along);
            var away = Places.InchesTo(shape, basin.Spot, point);
            if (away > reach)
                continue;

            // Right over the bowl is no place for a cord; 3 in and more beside it is.
            if (
                basin.Spot.Wall == wall
                && along > basin.Spot.From - Length.Inches(3)
                && along < basin.Spot.From + basin.Spot.Width + Length.Inches(3)
            )
                away += 30;
            if (wet.Any(w => InTubZone(draft.Edition, Places.InchesTo(shape, w.Spot, point))))
                away += 100;
            if (away < lowest)
                (best, lowest) = ((wall, along), away);
        }

        return best;
    }

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
                || (height > (o.Opening.Sill ?? Length.Feet(3)) - Length.Inches(3) && height < Length.Inches(84))
            )
        );

    private static void Hall(Draft draft, RoomShape shape)
    {
        var longest = Length.Max(shape.MaxX - shape.MinX, shape.MaxY - shape.MinY);
        if (longest < draft.InchNumber("hallwayLeastIn") || HasReceptacle(draft, shape))
            return;
        var space = WallSpaces.Of(shape, draft.Job, Length.Inches(12)).OrderByDescending(s => s.Length).FirstOrDefault();
        if (space is not null)
            PlaceIn(draft, shape, space, ReceptacleHeight(draft));
    }

    private static void Foyer(Draft draft, RoomShape shape)
    {
        if (shape.AreaSqFt <= draft.Edition.Number("foyerAreaSqFt"))
            return;
        foreach (var space in WallSpaces.Of(shape, draft.Job, draft.InchNumber("foyerWallLeastIn")))
        {
            if (!Held(draft.All, draft.Job, draft.Edition, shape, space, false).Any())
                PlaceIn(draft, shape, space, ReceptacleHeight(draft));
        }
    }

    private static void PlaceIn(Draft draft, RoomShape shape, WallSpace space, Length height)
    {
        var offset = Cover.Fewest(
            space.Length,
            space.Length,
            [],
            o =>
                Dislike(shape, space, o, draft.Job.Frame.StudSpacing, false, Behind(draft.Job, shape), height)
                + (int)((o - (space.Length / 2)).Abs().InInches / 4),
            WholeInches(shape, space)
        )[0];
        var (wall, along) = shape.FromPerimeter(space.Start + offset);
        draft.Add(
            new Box
            {
                Kind = BoxKind.Receptacle,
                Room = shape.Room.Id,
                Wall = wall,
                Along = along,
                Height = height,
            }
        );
    }

    private static bool HasReceptacle(Draft draft, RoomShape shape) =>
        draft.All.Any(b => b.Kind == BoxKind.Receptacle && b.Room == shape.Room.Id && !b.Outside);

    /// <summary>Vehicle bays by the doors: one for each, two for one 14 ft or wider; at least one.</summary>
    internal static int Bays(RoomShape shape) =>
        Math.Max(1, shape.Openings.Where(o => o.Opening.Kind == OpeningKind.GarageDoor).Sum(o => BaysOf(o.Opening)));

    /// <summary>Vehicle bays behind one door.</summary>
    internal static int BaysOf(Opening door) => door.Width >= Length.Feet(14) ? 2 : 1;

    private static void Garage(Draft draft, RoomShape shape)
    {
        var there = draft.All.Count(b => b.Kind == BoxKind.Receptacle && b.Room == shape.Room.Id);
        var doors = shape.Openings.Where(o => o.Opening.Kind == OpeningKind.GarageDoor).Select(o => o.Wall).ToHashSet();
        var spaces = WallSpaces.Of(shape, draft.Job, Length.Feet(3)).OrderByDescending(s => s.Length).ToList();

        // One more than the bays: a receptacle on each long side is what a bay needs to be worked in.
        for (var n = there; n < Bays(shape) + 1 && spaces.Count > 0; n++)
        {
            var walls = shape.Walls.Where(w => !doors.Contains(w.Index)).OrderByDescending(w => w.Length).ThenBy(w => w.Index).ToList();
            var wall = walls[n % walls.Count];
            var along = Enumerable
                .Range(1, 200)
                .Select(i => wall.Length / 2 + Length.Inches(i / 2 * (i % 2 == 0 ? 2 : -2)))
                .FirstOrDefault(
                    a =>
                        a > Length.Inches(6)
                        && a < wall.Length - Length.Inches(6)
                        && !InOpening(shape, wall.Index, a, 4)
                        && !Behind(draft, shape, wall.Index, a),
                    wall.Length / 2
                );
            draft.Add(
                new Box
                {
                    Kind = BoxKind.Receptacle,
                    Room = shape.Room.Id,
                    Wall = wall.Index,
                    Along = along,
                    Height = Length.Inches(48),
                }
            );
        }
    }

    private static bool Behind(Draft draft, RoomShape shape, int wall, Length along) =>
        draft.Job.Appliances.Any(a =>
            a.Room == shape.Room.Id
            && a.Spot.Wall == wall
            && along > a.Spot.From - Length.Inches(3)
            && along < a.Spot.From + a.Spot.Width + Length.Inches(3)
        ) || draft.Job.Panels.Any(p => p.Room == shape.Room.Id && p.Wall == wall && (p.Along - along).Abs() < Length.Inches(18));

    // One on the longest wall, in reach of a person who stands.
    private static void One(Draft draft, RoomShape shape, Length height)
    {
        if (HasReceptacle(draft, shape))
            return;
        if (WallSpaces.Of(shape, draft.Job, Length.Inches(6)).MaxBy(s => s.Length) is { } space)
            PlaceIn(draft, shape, space, height);
    }

    private static void Laundry(Draft draft, RoomShape shape)
    {
        if (HasReceptacle(draft, shape) || draft.Job.Appliances.Any(a => a.Room == shape.Room.Id && a.Type == "washer"))
            return;
        One(draft, shape, Length.Inches(42));
    }

    private static void NearEquipment(Draft draft)
    {
        var reach = draft.Edition.Number("hvacReceptacleReachIn");
        foreach (var appliance in draft.Job.Appliances.Where(a => Codes.ApplianceFacts.Of(a).Type.Hvac))
        {
            var shape = draft.House[appliance.Room];
            if (!draft.Rooms.Contains(shape))
                continue;
            var at = Places.Of(shape, appliance.Spot);
            if (
                draft.All.Any(b =>
                    b.Kind == BoxKind.Receptacle
                    && draft.House[b.Room].Room.Storey == shape.Room.Storey
                    && Places.Of(draft.House, b).InchesTo(at) <= reach
                )
            )
                continue;
            var (wall, along, _) = shape.Nearest(at);
            var beside =
                along + Length.Inches(24) < shape.Walls[wall].Length
                    ? along + Length.Inches(24)
                    : Length.Max(Length.Zero, along - Length.Inches(24));
            draft.Add(
                new Box
                {
                    Kind = BoxKind.Receptacle,
                    Room = shape.Room.Id,
                    Wall = wall,
                    Along = beside,
                    Height = Length.Inches(20),
                }
            );
        }
    }
}
