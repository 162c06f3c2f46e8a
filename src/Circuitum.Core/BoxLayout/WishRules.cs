using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.BoxLayout;

/// <summary>
/// Honours the owner's wishes before the walls are walked, so that what is wished for counts toward the reach: a
/// receptacle behind a desk or a television, one on either side of a bed's head, a capped box for what comes later.
/// </summary>
internal static class WishRules
{
    // Half a bed and a hand's breadth of night table, in inches: narrow to wide. Within that the two go beside studs.
    private const int NearBed = 30,
        FarBed = 42,
        UsualBed = 36;

    // What a space heater, a steamer or a vacuum cleaner takes.
    private const double HeavyVa = 1500;

    internal static void Add(Draft draft)
    {
        foreach (var shape in draft.Rooms)
        {
            foreach (var wish in draft.Job.Wishes.Where(w => w.Room == shape.Room.Id))
            {
                var (wall, along, _) = shape.Nearest(wish.At);
                var kind = wish.Kind == WishKind.Future ? BoxKind.Provision : BoxKind.Receptacle;
                var beside = BesideBed(draft.Job.Frame.StudSpacing, along);
                foreach (var at in wish.Kind == WishKind.Bed ? new[] { along - beside, along + beside } : [along])
                    Put(draft, shape, wall, at, kind, wish.Kind == WishKind.Heavy ? HeavyVa : null);
            }
        }
    }

    // The same distance on both sides, the one that brings both nearest to a stud.
    private static Length BesideBed(Length stud, Length middle)
    {
        return Length.Inches(
            Enumerable
                .Range(NearBed, FarBed - NearBed + 1)
                .OrderBy(d => FromStud(d) + FromStud(-d) + (Math.Abs(d - UsualBed) * 0.2))
                .ThenBy(d => d)
                .First()
        );

        double FromStud(int inches)
        {
            var pitch = Math.Abs((middle + Length.Inches(inches)).Units % stud.Units);
            return Math.Abs((Math.Min(pitch, stud.Units - pitch) / (double)Length.UnitsPerInch) - 2);
        }
    }

    private static void Put(Draft draft, RoomShape shape, int wall, Length wanted, BoxKind kind, double? va)
    {
        var (least, most) = (Length.Inches(4), shape.Walls[wall].Length - Length.Inches(4));
        if (most < least)
            return;
        var height = draft.Job.Preferences.ReceptacleBottom + Length.Inches(2);

        // In a doorway there is no wall: the nearest place beside it serves.
        for (var away = 0; away <= 60; away += 2)
        {
            foreach (var side in new[] { 1, -1 })
            {
                var along = Length.Min(most, Length.Max(least, wanted + Length.Inches(away * side))).RoundTo(Length.Inches(1));
                if (ReceptacleSpots.InOpening(shape, wall, along, 2, windowsToo: false))
                    continue;
                var there = draft.In(shape).Any(b => b.Wall == wall && b.Kind == kind && (b.Along - along).Abs() < Length.Inches(18));
                if (!there)
                    draft.Add(
                        new Box
                        {
                            Kind = kind,
                            Room = shape.Room.Id,
                            Wall = wall,
                            Along = along,
                            Height = height,
                            VoltAmperes = va,
                        }
                    );
                return;
            }
        }
    }
}
