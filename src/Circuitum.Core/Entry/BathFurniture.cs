using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Entry;

/// <summary>Furnishes a bathroom: a tub or a shower by its size, a toilet, one basin or two, a fan.</summary>
internal static class BathFurniture
{
    private const double LeastForTubSqFt = 34;
    private const double LeastForShowerSqFt = 24;
    private const double LeastForTwoBasinsSqFt = 60;

    // From the middle of a toilet to either side 15 in are kept free; a basin stands in a vanity of 30 in, two in one of 60 (R307.1).
    private const double ToiletRoomInches = 30;
    private const double VanityInches = 30;
    private const double TwoBasinsInches = 60;

    /// <summary>Puts in what is missing; a sentence when something found no place.</summary>
    internal static string Put(FloorRoom floor)
    {
        var area = floor.Shape.AreaSqFt;
        var left = "";
        Spot? wet = null;
        if (!floor.Has(FixtureKind.Tub) && !floor.Has(FixtureKind.Shower) && area >= LeastForShowerSqFt)
        {
            var first = area >= LeastForTubSqFt ? FixtureKind.Tub : FixtureKind.Shower;
            if (!Tightest(floor, first) && (first == FixtureKind.Shower || !Tightest(floor, FixtureKind.Shower)))
                left = "There is no wall left that is free for a tub or a shower.";
            wet = floor.Job.Fixtures.LastOrDefault(f => f.Room == floor.Shape.Room.Id)?.Spot;
        }

        if (!floor.Has(FixtureKind.Basin) && !Basins(floor, area))
            left = "There is no wall left that is free for a basin.";
        if (
            !floor.Has(FixtureKind.Toilet)
            && !Beside(floor, floor.Free(ThingSizes.Of(FixtureKind.Toilet).Deep.InInches), FixtureKind.Toilet, ToiletRoomInches)
        )
            left = "There is no wall left that is free for a toilet.";
        if (floor.Missing(PieceUse.Air) is { } fan)
            floor.Hang(fan, wet is { } spot && spot.Wall is { } wall ? Clear(floor, wall, spot) : floor.Shape.Centre);
        return left;
    }

    // Over the front edge of the tub: a fan is listed for the room, not always for over the water.
    private static Point Clear(FloorRoom floor, int wall, Spot spot)
    {
        var at = floor.Shape.On(wall, spot.From + (spot.Width / 2), spot.Depth.InInches + 9);
        return floor.Shape.Contains(at) ? at : floor.Shape.Centre;
    }

    // A tub fills the shortest wall that it fits, as it mostly does.
    private static bool Tightest(FloorRoom floor, FixtureKind kind)
    {
        var (wide, deep) = ThingSizes.Of(kind);
        var fitting = floor.Free(deep.InInches).Where(f => f.To - f.From >= wide).OrderBy(f => f.To - f.From).ToList();
        if (fitting is not [var best, ..])
            return false;
        var inCorner = best.From > Length.Zero && best.To == floor.Shape.Walls[best.Wall].Length ? best.To - wide : best.From;
        floor.Put(kind, best.Wall, inCorner);
        return true;
    }

    private static bool Basins(FloorRoom floor, double area)
    {
        var (wide, deep) = ThingSizes.Of(FixtureKind.Basin);
        var mirrored = floor.FreeOfWindows(deep.InInches);
        if (
            area >= LeastForTwoBasinsSqFt
            && mirrored is [var longest, ..]
            && (longest.To - longest.From).InInches >= TwoBasinsInches + ToiletRoomInches
        )
        {
            floor.Put(FixtureKind.Basin, longest.Wall, longest.From + Length.Inches(VanityInches / 2) - (wide / 2));
            floor.Put(FixtureKind.Basin, longest.Wall, longest.From + Length.Inches(VanityInches * 3 / 2) - (wide / 2));
            return true;
        }

        return Beside(floor, mirrored, FixtureKind.Basin, VanityInches)
            || Beside(floor, mirrored, FixtureKind.Basin, wide.InInches)
            || Beside(floor, floor.Free(deep.InInches), FixtureKind.Basin, wide.InInches);
    }

    // In the middle of the room that it wants along the wall, in the first free stretch that has it.
    private static bool Beside(FloorRoom floor, List<(int Wall, Length From, Length To)> free, FixtureKind kind, double room)
    {
        var (wide, _) = ThingSizes.Of(kind);
        foreach (var (wall, from, to) in free)
        {
            if ((to - from).InInches < room)
                continue;
            floor.Put(kind, wall, from + Length.Inches((room - wide.InInches) / 2));
            return true;
        }

        return false;
    }
}
