using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.BoxLayout;

/// <summary>Finds the wall spaces and counter spaces of a room.</summary>
public static class WallSpaces
{
    /// <summary>
    /// Wall spaces by the floor line (210.52(A)(2)): doorways, fixed cabinets, counters, tubs and fireplaces break them, windows do not.
    /// </summary>
    /// <param name="shape">The room.</param>
    /// <param name="job">The job.</param>
    /// <param name="least">Narrower spaces are left out.</param>
    public static ImmutableArray<WallSpace> Of(RoomShape shape, Job job, Length least)
    {
        var breaks = new List<(Length From, Length To)>();
        foreach (var o in shape.Openings.Where(o => o.Opening.Kind != OpeningKind.Window))
        {
            var (from, to) = (o.From, o.To);
            if (o.Opening.Kind == OpeningKind.Sliding)
            {
                // The fixed half of a sliding glass door counts as wall.
                var half = o.Opening.Width / 2;
                if (o.Hinge == End.Start)
                    to = from + half;
                else
                    from = to - half;
            }

            breaks.Add((shape.ToPerimeter(o.Wall, from), shape.ToPerimeter(o.Wall, to)));
        }

        var id = shape.Room.Id;
        foreach (var c in job.Counters.Where(c => c.Room == id))
            AddSpot(c.Spot);
        foreach (
            var f in job.Fixtures.Where(f =>
                f.Room == id && f.Kind is (FixtureKind.Tub or FixtureKind.Shower or FixtureKind.Cabinet or FixtureKind.Fireplace)
            )
        )
            AddSpot(f.Spot);

        // What stands on its feet, as a refrigerator, can be pulled out: the wall behind it stays a wall.
        foreach (
            var a in job.Appliances.Where(a => a.Room == id && a.Spot.Depth >= Length.Inches(12) && !CodeLibrary.Appliances[a.Type].Movable)
        )
            AddSpot(a.Spot);
        return Between(id, shape.Perimeter, breaks, least);

        void AddSpot(Spot spot)
        {
            if (spot.Wall is { } wall)
                breaks.Add((shape.ToPerimeter(wall, spot.From), shape.ToPerimeter(wall, spot.From + spot.Width)));
        }
    }

    /// <summary>
    /// Counter spaces by the wall line (210.52(C)(1)): counters that meet in a corner go on round it; sinks and cooking appliances break
    /// them.
    /// </summary>
    public static ImmutableArray<WallSpace> Counters(RoomShape shape, Job job, Length least)
    {
        var id = shape.Room.Id;
        var runs = new List<(Length From, Length To)>();
        foreach (var c in job.Counters.Where(c => c.Room == id && c.Spot.Wall is not null && !c.Peninsula))
            runs.Add(
                (shape.ToPerimeter(c.Spot.Wall!.Value, c.Spot.From), shape.ToPerimeter(c.Spot.Wall!.Value, c.Spot.From + c.Spot.Width))
            );
        if (runs.Count == 0)
            return [];
        var breaks = Between(id, shape.Perimeter, runs, Length.Zero).Select(s => (s.Start, s.Start + s.Length)).ToList();
        var cooking = job.Appliances.Where(a => a.Room == id && ApplianceFacts.Has(a, ApplianceTrait.CookingSurface)).Select(a => a.Spot);
        foreach (var spot in job.Fixtures.Where(f => f.Room == id && f.Kind == FixtureKind.Sink).Select(f => f.Spot).Concat(cooking))
        {
            if (spot.Wall is { } wall)
                breaks.Add((shape.ToPerimeter(wall, spot.From), shape.ToPerimeter(wall, spot.From + spot.Width)));
        }

        return Between(id, shape.Perimeter, breaks, least);
    }

    // What is left of a closed perimeter when the breaks are cut out; a space may wrap round its end.
    private static ImmutableArray<WallSpace> Between(string room, Length perimeter, List<(Length From, Length To)> breaks, Length least)
    {
        if (breaks.Count == 0)
            return [new WallSpace(room, Length.Zero, perimeter)];
        var cut = new List<(long From, long To)>();
        foreach (var (from, to) in breaks)
        {
            if (to.Units <= perimeter.Units)
                cut.Add((from.Units, to.Units));
            else
            {
                cut.Add((from.Units, perimeter.Units));
                cut.Add((0, to.Units - perimeter.Units));
            }
        }

        cut.Sort();
        var merged = new List<(long From, long To)>();
        foreach (var (from, to) in cut)
        {
            if (merged.Count > 0 && from <= merged[^1].To)
                merged[^1] = (merged[^1].From, Math.Max(merged[^1].To, to));
            else
                merged.Add((from, to));
        }

        var spaces = ImmutableArray.CreateBuilder<WallSpace>();
        for (var i = 0; i < merged.Count; i++)
        {
            var from = merged[i].To;
            var to = i + 1 < merged.Count ? merged[i + 1].From : merged[0].From + perimeter.Units;
            if (to - from > 0 && to - from >= least.Units)
                spaces.Add(new WallSpace(room, new Length(from), new Length(to - from)));
        }

        return spaces.ToImmutable();
    }
}
