using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.BoxLayout;

/// <summary>The flights of a house, each with its light and its switches (210.70(A)(2)).</summary>
public static class StairRules
{
    /// <summary>All flights, stack by stack from the lowest.</summary>
    public static ImmutableArray<StairFlight> Flights(HouseShape house)
    {
        var flights = ImmutableArray.CreateBuilder<StairFlight>();
        var job = house.Job;
        var left = house
            .Rooms.Where(r => r.Room.Kind == RoomKind.Stairs)
            .OrderBy(Floor)
            .ThenBy(r => r.Room.Id, StringComparer.Ordinal)
            .ToList();
        while (left.Count > 0)
        {
            var stack = new List<RoomShape> { left[0] };
            foreach (var next in left.Skip(1).Where(r => Floor(r) > Floor(stack[^1]) && HouseShape.OverlapSqFt(r, stack[^1]) > 1).ToList())
            {
                if (Floor(next) > Floor(stack[^1]))
                    stack.Add(next);
            }

            left.RemoveAll(stack.Contains);
            if (stack.Count == 1)
                flights.Add(new(stack[0], null, OtherEnd(stack[0]), false));
            for (var i = 1; i < stack.Count; i++)
                flights.Add(new(stack[i], stack[i - 1], null, i + 1 < stack.Count));
        }

        return flights.ToImmutable();

        Length Floor(RoomShape r) => job.StoreyById(r.Room.Storey)!.Floor;

        // A lone one on the lowest storey goes up, any other one down.
        Storey? OtherEnd(RoomShape stairs)
        {
            var floor = Floor(stairs);
            return job.Storeys.Where(s => s.Floor < floor && house.Rooms.Any(r => r.Room.Storey == s.Id))
                .OrderByDescending(s => s.Floor)
                .FirstOrDefault()
                ?? job.Storeys.Where(s => s.Floor > floor && house.Rooms.Any(r => r.Room.Storey == s.Id))
                    .OrderBy(s => s.Floor)
                    .FirstOrDefault();
        }
    }

    /// <summary>Whether a flight is long enough that the code wants a switch at each level.</summary>
    /// <param name="edition">The edition.</param>
    /// <param name="flight">The flight.</param>
    public static bool NeedsBoth(CodeEdition edition, StairFlight flight) =>
        (flight.Lower is not null || flight.Other is not null)
        && (flight.Ends.Select(e => e.Room.Risers).FirstOrDefault(r => r is not null) ?? 99) >= edition.Number("stairRisers");

    /// <summary>
    /// Where the undrawn end of a flight is reached: a room of that storey under or over the stairs, and the place on its wall nearest to
    /// them.
    /// </summary>
    internal static (RoomShape Room, int Wall, Length Along)? FarEnd(HouseShape house, StairFlight flight)
    {
        if (flight.Other is not { } storey)
            return null;
        var centre = flight.Upper.Centre;
        var room = house
            .Rooms.Where(r =>
                r.Room.Storey == storey.Id && !r.Room.Kind.OpenAir() && !r.Room.Kind.Doorless() && r.Room.Kind != RoomKind.Closet
            )
            .OrderBy(r => r.Contains(centre) ? 0 : 1)
            .ThenBy(r => r.InchesToWall(centre))
            .ThenBy(r => r.Room.Id, StringComparer.Ordinal)
            .FirstOrDefault();
        if (room is null)
            return null;

        // On a wall with room for a switch and no opening, as near to the stairs as there is one.
        var places = Enumerable
            .Range(0, (int)room.Perimeter.InFeet * 2)
            .Select(k => room.FromPerimeter(Length.Inches(6 * k)))
            .Where(p =>
                Length.Min(p.Along, room.Walls[p.Wall].Length - p.Along) >= Length.Inches(4)
                && !ReceptacleSpots.InOpening(room, p.Wall, p.Along, 3)
            )
            .ToList();
        if (places.Count == 0)
            return null;
        var best = places.MinBy(p => room.On(p.Wall, p.Along).InchesTo(centre));
        return (room, best.Wall, best.Along);
    }
}
