using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.BoxLayout;

/// <summary>Proposes receptacles: along walls, at counters, basins, outdoors, in garages, halls, foyers and laundries.</summary>
internal static class ReceptacleRules
{
    internal static void Add(Draft draft)
    {
        foreach (var shape in draft.Rooms)
        {
            if (draft.Traits(shape).WallSpaces) AlongWalls(draft, shape);
            AtCounters(draft, shape);
            Islands(draft, shape);
            switch (shape.Room.Kind)
            {
                case RoomKind.Bathroom: AtBasins(draft, shape); break;
                case RoomKind.Hallway: Hall(draft, shape); break;
                case RoomKind.Foyer: Foyer(draft, shape); break;
                case RoomKind.Garage: Garage(draft, shape); break;
                case RoomKind.Laundry: Laundry(draft, shape); break;
                case RoomKind.Porch or RoomKind.Deck: Outdoors(draft, shape); break;
            }
        }

        NearEquipment(draft);
    }

    private static Length ReceptacleHeight(Draft draft) => draft.Job.Preferences.ReceptacleBottom + Length.Inches(2);

    private static void AlongWalls(Draft draft, RoomShape shape)
    {
        foreach (var space in WallSpaces.Of(shape, draft.Job, draft.InchNumber("wallSpaceLeastIn")))
            Fill(draft, shape, space, draft.InchNumber("wallReachIn"), ReceptacleHeight(draft), overCounter: false);
    }

    private static void AtCounters(Draft draft, RoomShape shape)
    {
        foreach (var space in WallSpaces.Counters(shape, draft.Job, draft.InchNumber("counterLeastIn")))
            Fill(draft, shape, space, draft.InchNumber("counterReachIn"), draft.Job.Preferences.CounterCentre, overCounter: true);
    }

    private static void Fill(Draft draft, RoomShape shape, WallSpace space, Length reach, Length height, bool overCounter)
    {
        var held = Held(draft.All, shape, space, overCounter, draft.InchNumber("requiredHeightMostIn")).ToList();
        var stud = draft.Job.Frame.StudSpacing;
        foreach (var offset in Cover.Fewest(space.Length, reach, held, o => Dislike(shape, space, o, stud, overCounter), Length.Inches(2)))
        {
            var (wall, along) = shape.FromPerimeter(space.Start + offset);
            draft.Add(new Box { Kind = BoxKind.Receptacle, Room = shape.Room.Id, Wall = wall, Along = along, Height = height });
        }
    }

    /// <summary>Offsets of the receptacles that serve a space: those over the counter for a counter, the lower ones for a wall.</summary>
    internal static IEnumerable<Length> Held(IEnumerable<Box> boxes, RoomShape shape, WallSpace space, bool overCounter, Length highest) => boxes
        .Where(b => b.Kind == BoxKind.Receptacle && b.Room == shape.Room.Id && b.Wall is not null && b.Height <= highest && b.Height >= Length.Inches(36) == overCounter)
        .Select(b => space.Offset(shape.ToPerimeter(b.Wall!.Value, b.Along), shape.Perimeter)).OfType<Length>();

    // Beside a stud, out of corners, not behind an open door leaf, and not under a window when a neighbour does as well.
    private static int Dislike(RoomShape shape, WallSpace space, Length offset, Length stud, bool overCounter)
    {
        var (wall, along) = shape.FromPerimeter(space.Start + offset);
        var length = shape.Walls[wall].Length;
        var corner = Length.Min(along, length - along);
        var pitch = along.Units % stud.Units;
        var fromStud = Math.Min(pitch, stud.Units - pitch) / (double)Length.UnitsPerInch;
        var dislike = (int)Math.Round(Math.Abs(fromStud - 2) * 2);
        if (corner < Length.Inches(4)) dislike += 400;
        else if (corner < Length.Inches(10)) dislike += 40;
        if (Length.Min(offset, space.Length - offset) < Length.Inches(4)) dislike += 120;
        foreach (var o in shape.Openings.Where(o => o.Wall == wall))
        {
            if (along < o.From - Length.Inches(3) || along > o.To + Length.Inches(3))
            {
                if (o.Opening.Kind == OpeningKind.Hinged && o.SwingsIn && BehindLeaf(o, along)) dislike += 60;
                continue;
            }

            dislike += o.Opening.Kind == OpeningKind.Window ? overCounter ? 900 : 15 : 600;
        }

        return dislike;
    }

    private static bool BehindLeaf(RoomOpening o, Length along) => o.Hinge == End.Start
        ? along < o.From && along > o.From - o.Opening.Width
        : along > o.To && along < o.To + o.Opening.Width;

    private static void Islands(Draft draft, RoomShape shape)
    {
        foreach (var island in draft.Job.Counters.Where(c => c.Room == shape.Room.Id && c.Spot.Wall is null))
        {
            if (draft.All.Any(b => b.Room == shape.Room.Id && b.Kind is (BoxKind.Provision or BoxKind.Receptacle) && b.Wall is null && Places.InchesTo(shape, island.Spot, Places.Of(draft.House, b)) < 1)) continue;
            draft.Add(new Box { Kind = BoxKind.Provision, Room = shape.Room.Id, At = Places.Of(shape, island.Spot), Height = Length.Inches(18) });
        }
    }

    private static void AtBasins(Draft draft, RoomShape shape)
    {
        var reach = draft.Edition.Number("basinReachIn");
        foreach (var basin in draft.Job.Fixtures.Where(f => f.Room == shape.Room.Id && f.Kind == FixtureKind.Basin))
        {
            if (draft.All.Any(b => b.Kind == BoxKind.Receptacle && b.Room == shape.Room.Id && Places.InchesTo(shape, basin.Spot, Places.Of(draft.House, b)) <= reach)) continue;
            if (BesideBasin(draft, shape, basin, reach) is { } place)
                draft.Add(new Box { Kind = BoxKind.Receptacle, Room = shape.Room.Id, Wall = place.Wall, Along = place.Along, Height = draft.Job.Preferences.CounterCentre });
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
            if (Length.Min(along, shape.Walls[wall].Length - along) < Length.Inches(4) || InOpening(shape, wall, along, 3)) continue;
            var point = shape.On(wall, along);
            var away = Places.InchesTo(shape, basin.Spot, point);
            if (away > reach) continue;

            // Right over the bowl is no place for a cord; 3 in and more beside it is.
            if (basin.Spot.Wall == wall && along > basin.Spot.From - Length.Inches(3) && along < basin.Spot.From + basin.Spot.Width + Length.Inches(3)) away += 30;
            if (wet.Any(w => Places.InchesTo(shape, w.Spot, point) < draft.Edition.Number("tubZoneIn"))) away += 100;
            if (away < lowest) (best, lowest) = ((wall, along), away);
        }

        return best;
    }

    internal static bool InOpening(RoomShape shape, int wall, Length along, double marginInches, bool windowsToo = true) => shape.Openings.Any(o =>
        o.Wall == wall && (windowsToo || o.Opening.Kind != OpeningKind.Window) && along > o.From - Length.Inches(marginInches) && along < o.To + Length.Inches(marginInches));

    private static void Hall(Draft draft, RoomShape shape)
    {
        var longest = Length.Max(shape.MaxX - shape.MinX, shape.MaxY - shape.MinY);
        if (longest < draft.InchNumber("hallwayLeastIn") || HasReceptacle(draft, shape)) return;
        var space = WallSpaces.Of(shape, draft.Job, Length.Inches(12)).OrderByDescending(s => s.Length).FirstOrDefault();
        if (space is not null) PlaceIn(draft, shape, space, ReceptacleHeight(draft));
    }

    private static void Foyer(Draft draft, RoomShape shape)
    {
        if (shape.AreaSqFt <= draft.Edition.Number("foyerAreaSqFt")) return;
        foreach (var space in WallSpaces.Of(shape, draft.Job, draft.InchNumber("foyerWallLeastIn")))
        {
            if (!Held(draft.All, shape, space, false, draft.InchNumber("requiredHeightMostIn")).Any()) PlaceIn(draft, shape, space, ReceptacleHeight(draft));
        }
    }

    private static void PlaceIn(Draft draft, RoomShape shape, WallSpace space, Length height)
    {
        var offset = Cover.Fewest(space.Length, space.Length, [], o => Dislike(shape, space, o, draft.Job.Frame.StudSpacing, false) + (int)((o - (space.Length / 2)).Abs().InInches / 4), Length.Inches(2))[0];
        var (wall, along) = shape.FromPerimeter(space.Start + offset);
        draft.Add(new Box { Kind = BoxKind.Receptacle, Room = shape.Room.Id, Wall = wall, Along = along, Height = height });
    }

    private static bool HasReceptacle(Draft draft, RoomShape shape) => draft.All.Any(b => b.Kind == BoxKind.Receptacle && b.Room == shape.Room.Id);

    /// <summary>Vehicle bays by the doors: one for each, two for one 14 ft or wider; at least one.</summary>
    internal static int Bays(RoomShape shape) => Math.Max(1, shape.Openings.Where(o => o.Opening.Kind == OpeningKind.GarageDoor).Sum(o => o.Opening.Width >= Length.Feet(14) ? 2 : 1));

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
            var along = Enumerable.Range(1, 200).Select(i => wall.Length / 2 + Length.Inches(i / 2 * (i % 2 == 0 ? 2 : -2)))
                .FirstOrDefault(a => a > Length.Inches(6) && a < wall.Length - Length.Inches(6) && !InOpening(shape, wall.Index, a, 4) && !Behind(draft, shape, wall.Index, a), wall.Length / 2);
            draft.Add(new Box { Kind = BoxKind.Receptacle, Room = shape.Room.Id, Wall = wall.Index, Along = along, Height = Length.Inches(48) });
        }
    }

    private static bool Behind(Draft draft, RoomShape shape, int wall, Length along) =>
        draft.Job.Appliances.Any(a => a.Room == shape.Room.Id && a.Spot.Wall == wall && along > a.Spot.From - Length.Inches(3) && along < a.Spot.From + a.Spot.Width + Length.Inches(3))
        || draft.Job.Panels.Any(p => p.Room == shape.Room.Id && p.Wall == wall && (p.Along - along).Abs() < Length.Inches(18));

    private static void Laundry(Draft draft, RoomShape shape)
    {
        if (HasReceptacle(draft, shape) || draft.Job.Appliances.Any(a => a.Room == shape.Room.Id && a.Type == "washer")) return;
        var space = WallSpaces.Of(shape, draft.Job, Length.Inches(6)).OrderByDescending(s => s.Length).FirstOrDefault();
        if (space is not null) PlaceIn(draft, shape, space, Length.Inches(42));
    }

    // Beside the door by which a person comes out; on the wall of the house, which the porch's own outline touches there.
    private static void Outdoors(Draft draft, RoomShape shape)
    {
        if (HasReceptacle(draft, shape) || shape.Openings.FirstOrDefault(o => o.IsDoorway) is not { } door) return;
        var length = shape.Walls[door.Wall].Length;
        var along = door.Hinge == End.Start ? door.To + Length.Inches(14) : door.From - Length.Inches(14);
        if (along < Length.Inches(4) || along > length - Length.Inches(4)) along = door.Hinge == End.Start ? door.From - Length.Inches(14) : door.To + Length.Inches(14);
        along = Length.Min(Length.Max(along, Length.Zero), length);
        draft.Add(new Box { Kind = BoxKind.Receptacle, Room = shape.Room.Id, Wall = door.Wall, Along = along, Height = Length.Inches(20) });
    }

    private static void NearEquipment(Draft draft)
    {
        var reach = draft.Edition.Number("hvacReceptacleReachIn");
        foreach (var appliance in draft.Job.Appliances.Where(a => Codes.ApplianceFacts.Of(a).Type.Hvac))
        {
            var shape = draft.House[appliance.Room];
            if (!draft.Rooms.Contains(shape)) continue;
            var at = Places.Of(shape, appliance.Spot);
            if (draft.All.Any(b => b.Kind == BoxKind.Receptacle && draft.House[b.Room].Room.Storey == shape.Room.Storey && Places.Of(draft.House, b).InchesTo(at) <= reach)) continue;
            var (wall, along, _) = shape.Nearest(at);
            var beside = along + Length.Inches(24) < shape.Walls[wall].Length ? along + Length.Inches(24) : Length.Max(Length.Zero, along - Length.Inches(24));
            draft.Add(new Box { Kind = BoxKind.Receptacle, Room = shape.Room.Id, Wall = wall, Along = beside, Height = Length.Inches(20) });
        }
    }
}
