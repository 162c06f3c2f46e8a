using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.BoxLayout;

/// <summary>Proposes the socket-outlets of a house with split boards, and the switches of what is wired in: so many for each room, far
/// from each other, over the worktop in a kitchen, clear of sinks, none in a bathroom.</summary>
internal static class SocketRules
{
    // Places that are tried along walls, and how near the end of a wall they come.
    private static readonly Length Step = Length.Millimetres(150);

    // A tape is read at every 50 mm.
    private static readonly Length Tape = Length.Millimetres(50);
    private static readonly Length FromEnd = Length.Inches(8);
    private static readonly Length LeastSpace = Length.Inches(20);
    private const double LeastApartInches = 18;

    // From the worktop to the middle of the plate, whose lower edge is then clear of it by rule.
    private static readonly Length HalfPlate = Length.Inches(2);

    internal static void Add(Draft draft, BoardTables board)
    {
        foreach (var shape in draft.Rooms)
        {
            var places = Places(draft, shape).ToList();
            for (var missing = Usual(draft.House, board, shape) - Count(draft.In(shape)); missing > 0 && places.Count > 0; missing--)
            {
                var taken = draft
                    .In(shape)
                    .Where(b => b.Kind == BoxKind.Receptacle)
                    .Select(b => BoxLayout.Places.Of(draft.House, b))
                    .ToList();
                double Apart((int Wall, Length Along, Length Height) p) =>
                    taken.Count == 0 ? Middle(shape, p) : taken.Min(t => t.InchesTo(shape.On(p.Wall, p.Along)));

                // Over the worktop as long as one does not stand right beside another, then along the walls.
                var tops = places.Where(p => p.Height >= ReceptacleRules.CounterTop && Apart(p) >= LeastApartInches).ToList();
                var best = (tops.Count > 0 ? tops : places).MaxBy(Apart);
                places.Remove(best);
                if (
                    draft.Add(
                        new()
                        {
                            Kind = BoxKind.Receptacle,
                            Room = shape.Room.Id,
                            Wall = best.Wall,
                            Along = best.Along,
                            Height = best.Height,
                        }
                    )
                    is null
                )
                    missing++;
            }
        }

        foreach (var appliance in draft.Job.Appliances.Where(x => draft.Rooms.Any(r => r.Room.Id == x.Room)))
        {
            var facts = ApplianceFacts.Of(draft.Job, appliance);
            var switched = facts.BoardUse is BoardUse.Cooking or BoardUse.WaterHeating or BoardUse.Cooling or BoardUse.Fixed;
            if (switched && draft.All.All(b => b.Serves != appliance.Id) && EquipmentRules.Place(draft, appliance) is { } place)
                draft.Add(place);
        }
    }

    /// <summary>Twin socket-outlets that are usual in a room; the largest bedroom has one more than the others.</summary>
    internal static int Usual(HouseShape house, BoardTables board, RoomShape shape)
    {
        var usual = board.Points.GetValueOrDefault(shape.Room.Kind);
        var main =
            shape.Room.Kind == RoomKind.Bedroom
            && house.Rooms.Where(r => r.Room.Kind == RoomKind.Bedroom).MaxBy(r => r.AreaSqFt)?.Room.Id == shape.Room.Id;
        return usual + (main ? 1 : 0);
    }

    /// <summary>The twin socket-outlets among some boxes; two single ones are one.</summary>
    internal static int Count(IEnumerable<Box> boxes) =>
        boxes.Where(b => b.Kind == BoxKind.Receptacle).Sum(b => b.Style == ReceptacleStyle.Single ? 1 : 2) / 2;

    // Worktops and walls of a kitchen, the walls of other rooms.
    private static IEnumerable<(int Wall, Length Along, Length Height)> Places(Draft draft, RoomShape shape)
    {
        var least = ReceptacleRules.CounterTop + draft.InchNumber("socketOverTopIn") + HalfPlate;
        var over = least.RoundTo(Tape) is var near && near < least ? near + Tape : near;
        var walls = Along(draft, shape, WallSpaces.Of(shape, draft.Job, LeastSpace), draft.InchNumber("socketHeightIn"));
        return shape.Room.Kind == RoomKind.Kitchen
            ? Along(draft, shape, WallSpaces.Counters(shape, draft.Job, LeastSpace), over).Concat(walls)
            : walls;
    }

    private static IEnumerable<(int Wall, Length Along, Length Height)> Along(
        Draft draft,
        RoomShape shape,
        ImmutableArray<WallSpace> spaces,
        Length height
    )
    {
        foreach (var space in spaces)
        {
            for (var at = FromEnd; at <= space.Length - FromEnd; at += Step)
            {
                var (wall, exact) = shape.FromPerimeter(space.Start + at);
                var along = exact.RoundTo(Tape);
                if (
                    Length.Min(along, shape.Walls[wall].Length - along) >= FromEnd
                    && !ReceptacleSpots.InOpening(shape, wall, along, 3)
                    && !NearWater(draft.Job, draft.Edition, shape, shape.On(wall, along))
                )
                    yield return (wall, along, height);
            }
        }
    }

    // The first one stands in the middle of the room's longest wall.
    private static double Middle(RoomShape shape, (int Wall, Length Along, Length Height) place)
    {
        var wall = shape.Walls[place.Wall].Length;
        return wall.InInches - Math.Abs((place.Along - (wall / 2)).InInches);
    }

    /// <summary>Whether a place is nearer to a sink or a basin than a socket-outlet may be.</summary>
    internal static bool NearWater(Job job, CodeEdition edition, RoomShape shape, Point point) =>
        FromWater(job, shape, point) < edition.Number("socketFromSinkIn");

    /// <summary>Inches from a place to the nearest sink or basin of its room.</summary>
    internal static double FromWater(Job job, RoomShape shape, Point point) =>
        job
            .Fixtures.Where(f => f.Room == shape.Room.Id && f.Kind is FixtureKind.Sink or FixtureKind.Basin)
            .Select(f => BoxLayout.Places.InchesTo(shape, f.Spot, point))
            .DefaultIfEmpty(double.MaxValue)
            .Min();
}
