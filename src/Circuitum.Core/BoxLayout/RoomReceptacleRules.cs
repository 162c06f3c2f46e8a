using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.BoxLayout;

/// <summary>Receptacles that a kind of room asks for beside those along its walls.</summary>
internal static class RoomReceptacleRules
{
    internal static void AtBasins(Draft draft, RoomShape shape)
    {
        var reach = draft.Edition.Number("basinReachIn");
        foreach (var basin in draft.Job.Fixtures.Where(f => f.Room == shape.Room.Id && f.Kind == FixtureKind.Basin))
        {
            if (
                draft
                    .In(shape)
                    .Any(b =>
                        b is { Kind: BoxKind.Receptacle, Outside: false }
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
            if (Length.Min(along, shape.Walls[wall].Length - along) < Length.Inches(4) || ReceptacleSpots.InOpening(shape, wall, along, 3))
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
            if (wet.Any(w => ReceptacleSpots.InTubZone(draft.Edition, Places.InchesTo(shape, w.Spot, point))))
                away += 100;
            if (away < lowest)
                (best, lowest) = ((wall, along), away);
        }

        return best;
    }

    internal static void Hall(Draft draft, RoomShape shape)
    {
        if (draft.Edition.Ways.Hall == HallWay.Reach)
        {
            WithinReach(draft, shape);
            return;
        }

        var longest = Length.Max(shape.MaxX - shape.MinX, shape.MaxY - shape.MinY);
        if (longest < draft.InchNumber("hallwayLeastIn") || HasReceptacle(draft, shape))
            return;
        var space = WallSpaces.Of(shape, draft.Job, Length.Inches(12)).OrderByDescending(s => s.Length).FirstOrDefault();
        if (space is not null)
            PlaceIn(draft, shape, space, ReceptacleRules.ReceptacleHeight(draft));
    }

    // Receptacles by which no point of the hall is out of reach, each where it serves most of what is left.
    private static void WithinReach(Draft draft, RoomShape shape)
    {
        const int Most = 12;

        // What is moved aside a little, because something stands in its way, still serves all.
        const int Spare = 6;
        var (reach, hall) = (draft.Edition.Number("hallReachIn") - Spare, new HallReach(shape));
        List<(int Wall, Length Along)> spots = [.. Spots(draft, shape)];
        for (var n = 0; n < Most; n++)
        {
            if (hall.Next(Receptacles(), [.. spots.Select(s => shape.On(s.Wall, s.Along))], reach) is not { } next)
                return;
            draft.Add(
                new Box
                {
                    Kind = BoxKind.Receptacle,
                    Room = shape.Room.Id,
                    Wall = spots[next].Wall,
                    Along = spots[next].Along,
                    Height = ReceptacleRules.ReceptacleHeight(draft),
                }
            );
            spots.RemoveAt(next);
        }

        IEnumerable<Point> Receptacles() =>
            draft.In(shape).Where(b => b.Kind == BoxKind.Receptacle && !b.Outside).Select(b => Places.Of(draft.House, b));
    }

    private const int MostSpots = 80;

    private static IEnumerable<(int Wall, Length Along)> Spots(Draft draft, RoomShape shape)
    {
        // A foot apart; farther in what is no hall by its size.
        var step = Length.Max(Length.Inches(12), shape.Perimeter / MostSpots);
        foreach (var space in WallSpaces.Of(shape, draft.Job, Length.Inches(12)))
        {
            for (var s = Length.Min(Length.Inches(4), space.Length / 2); s < space.Length; s += step)
            {
                var (wall, along) = shape.FromPerimeter(space.Start + s);
                if (!ReceptacleSpots.InOpening(shape, wall, along, 3))
                    yield return (wall, along.RoundTo(Length.Inches(1)));
            }
        }
    }

    internal static void Foyer(Draft draft, RoomShape shape)
    {
        if (shape.AreaSqFt <= draft.Edition.Number("foyerAreaSqFt"))
            return;
        foreach (var space in WallSpaces.Of(shape, draft.Job, draft.InchNumber("foyerWallLeastIn")))
        {
            if (!ReceptacleSpots.Held(draft.In(shape), draft.Job, draft.Edition, shape, space, false).Any())
                PlaceIn(draft, shape, space, ReceptacleRules.ReceptacleHeight(draft));
        }
    }

    private static void PlaceIn(Draft draft, RoomShape shape, WallSpace space, Length height)
    {
        var offset = Cover.Fewest(
            space.Length,
            space.Length,
            [],
            o =>
                ReceptacleSpots.Dislike(
                    shape,
                    space,
                    o,
                    draft.Job.Frame.StudSpacing,
                    false,
                    ReceptacleRules.Behind(draft.Job, shape),
                    height
                ) + (int)((o - (space.Length / 2)).Abs().InInches / 4),
            ReceptacleSpots.WholeInches(shape, space)
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

    private static bool HasReceptacle(Draft draft, RoomShape shape) => draft.In(shape).Any(b => b.Kind == BoxKind.Receptacle && !b.Outside);

    /// <summary>Vehicle bays by the doors: one for each, two for one 14 ft or wider; at least one.</summary>
    internal static int Bays(RoomShape shape) =>
        Math.Max(1, shape.Openings.Where(o => o.Opening.Kind == OpeningKind.GarageDoor).Sum(o => BaysOf(o.Opening)));

    /// <summary>Vehicle bays behind one door.</summary>
    internal static int BaysOf(Opening door) => door.Width >= Length.Feet(14) ? 2 : 1;

    internal static void Garage(Draft draft, RoomShape shape)
    {
        var there = draft.In(shape).Count(b => b.Kind == BoxKind.Receptacle);
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
                        && !ReceptacleSpots.InOpening(shape, wall.Index, a, 4)
                        && !ReceptacleRules.Behind(draft, shape, wall.Index, a),
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

    // One on the longest wall, in reach of a person who stands.
    internal static void One(Draft draft, RoomShape shape, Length height)
    {
        if (HasReceptacle(draft, shape))
            return;
        if (WallSpaces.Of(shape, draft.Job, Length.Inches(6)).MaxBy(s => s.Length) is { } space)
            PlaceIn(draft, shape, space, height);
    }

    internal static void Laundry(Draft draft, RoomShape shape)
    {
        if (draft.Edition.Ways.Laundry == LaundryWay.OneMore)
        {
            One(draft, shape, Length.Inches(42));
            return;
        }

        if (
            HasReceptacle(draft, shape)
            || draft.Job.Appliances.Any(a => a.Room == shape.Room.Id && ApplianceFacts.Has(a, ApplianceTrait.Washer))
        )
            return;
        One(draft, shape, Length.Inches(42));
    }

    internal static void NearEquipment(Draft draft)
    {
        var reach = draft.Edition.Number("hvacReceptacleReachIn");
        foreach (var appliance in draft.Job.Appliances.Where(a => Codes.ApplianceFacts.Of(draft.Job, a).Type.Hvac))
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
