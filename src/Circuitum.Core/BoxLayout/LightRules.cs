using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.BoxLayout;

/// <summary>
/// Proposes lighting outlets (210.70): rows of recessed lights spaced evenly from the walls and centred on counters,
/// pendants over islands, a light over each basin, one in a closet clear of its shelves, one outside each door.
/// </summary>
internal static class LightRules
{
    private const double SquareFeetPerFixture = 150;
    private const double BasementSquareFeetPerFixture = 250;

    // Closets that a person reaches into from the room need no light of their own.
    private const double LeastClosetSqFt = 12;

    // Over the front edge of a counter, where hands work without a shadow.
    internal static readonly Length CounterPitch = Length.Inches(48);
    internal static readonly Length PendantPitch = Length.Inches(30);

    // From a jamb to the middle of a box beside it, clear of the casing.
    internal static readonly Length BesideJamb = Length.Inches(6);

    internal static void Add(Draft draft)
    {
        foreach (var shape in draft.Rooms)
            Lights(draft, shape);
        foreach (var shape in draft.Rooms.Where(r => !r.Room.Kind.OpenAir()))
            OutdoorLightRules.OutsideDoors(draft, shape);
        SwitchRules.Add(draft);
    }

    internal static List<Box> Of(Draft draft, RoomShape shape) => [.. draft.In(shape).Where(b => b.Kind == BoxKind.Light && !b.Outside)];

    internal static void Lights(Draft draft, RoomShape shape)
    {
        var kind = shape.Room.Kind;
        if (Of(draft, shape).Count > 0)
            return;
        if (kind == RoomKind.Closet)
        {
            if (shape.AreaSqFt >= LeastClosetSqFt)
                WorkLightRules.Closet(draft, shape);
            return;
        }

        if (!draft.Traits(shape).Light && !Serviced(draft.Job, shape.Room))
            return;
        if (kind == RoomKind.Stairs)
        {
            if (StairRules.Flights(draft.House).FirstOrDefault(f => f.Upper == shape) is { } flight)
                Stairs(draft, flight);
            return;
        }

        if (draft.Traits(shape).Outdoors)
            OutdoorLightRules.AtDoor(draft, shape);
        else if (kind == RoomKind.Bathroom)
            WorkLightRules.Bathroom(draft, shape);
        else if (kind == RoomKind.Kitchen && draft.Job.Preferences.CeilingLights != CeilingLights.Surface)
            WorkLightRules.Kitchen(draft, shape);
        else if (Recessed(draft.Job.Preferences.CeilingLights, kind))
            Grid(draft, shape, draft.Job.Preferences.RecessedSpacing, LightStyle.Recessed, _ => true);
        else
            Fixtures(draft, shape);
    }

    // Where another flight goes on upward there is no ceiling: the light of this one hangs on a wall.
    private static void Stairs(Draft draft, StairFlight flight)
    {
        var shape = flight.Upper;
        if (!flight.GoesOn)
        {
            Fixtures(draft, shape);
            return;
        }

        var wall = shape
            .Walls.Where(w => !shape.Openings.Any(o => o.Wall == w.Index))
            .OrderByDescending(w => w.Length)
            .ThenBy(w => w.Index)
            .FirstOrDefault()
            ?? shape.Walls.MaxBy(w => w.Length)!;
        draft.Add(
            new Box
            {
                Kind = BoxKind.Light,
                Room = shape.Room.Id,
                Wall = wall.Index,
                Along = wall.Length / 2,
                Height = Length.Inches(80),
                Fixture = LightStyle.Wall,
            }
        );
    }

    /// <summary>
    /// Whether an attic or a crawl space holds equipment or, behind stairs or a folding ladder, storage: then it has a light (210.70(A)(3),
    /// (C)).
    /// </summary>
    internal static bool Serviced(Job job, Room room) =>
        room.Kind is RoomKind.Attic or RoomKind.CrawlSpace
        && (room.Access is AccessKind.Stairs or AccessKind.FoldingLadder || job.Appliances.Any(a => a.Room == room.Id));

    private static bool Recessed(CeilingLights how, RoomKind kind) =>
        how switch
        {
            CeilingLights.RecessedWhereOneWorks => kind is RoomKind.Laundry or RoomKind.Hallway,
            CeilingLights.RecessedThroughout => kind
                is RoomKind.Laundry
                    or RoomKind.Hallway
                    or RoomKind.Living
                    or RoomKind.Family
                    or RoomKind.Den
                    or RoomKind.Office
                    or RoomKind.Recreation
                    or RoomKind.FinishedBasement
                    or RoomKind.Bedroom
                    or RoomKind.Sunroom,
            _ => false,
        };

    // A light keeps out from under a fan's blades: along the room, away from it.
    internal static void Put(Draft draft, RoomShape shape, Point at, LightStyle? fixture)
    {
        foreach (
            var fan in draft
                .All.Where(b =>
                    b.Room == shape.Room.Id
                    && (b.Fixture == LightStyle.Fan || ApplianceFacts.Has(draft.Job.ApplianceById(b.Appliance), ApplianceTrait.CeilingFan))
                )
                .Select(b => Places.Of(draft.House, b))
                .ToList()
        )
        {
            if (fan.InchesTo(at) >= FromFan)
                continue;
            var east = shape.MaxX - shape.MinX >= shape.MaxY - shape.MinY;
            var aside = new[] { FromFan, -FromFan }
                .Select(d => east ? new Point(fan.X + Length.Inches(d), fan.Y) : new Point(fan.X, fan.Y + Length.Inches(d)))
                .Where(shape.Contains)
                .OrderByDescending(shape.InchesToWall)
                .ToList();
            if (aside.Count > 0)
                at = aside[0];
        }

        Hang(draft, shape, at, fixture);
    }

    private const double FromFan = 36;

    private static void Hang(Draft draft, RoomShape shape, Point at, LightStyle? fixture) =>
        draft.Add(
            new Box
            {
                Kind = BoxKind.Light,
                Room = shape.Room.Id,
                At = new(at.X.RoundTo(Length.Inches(0.5)), at.Y.RoundTo(Length.Inches(0.5))),
                Height = shape.Room.CeilingHeight,
                Fixture = fixture,
            }
        );

    private static void Fixtures(Draft draft, RoomShape shape)
    {
        var each = shape.Room.Kind is RoomKind.UnfinishedBasement or RoomKind.CrawlSpace or RoomKind.Attic
            ? BasementSquareFeetPerFixture
            : SquareFeetPerFixture;
        var count = Math.Clamp((int)Math.Ceiling((shape.AreaSqFt - 20) / each), 1, 12);
        if (shape.Room.Kind == RoomKind.UnfinishedBasement)
            count = Math.Max(count, WorkLightRules.BasementLights(draft.Edition, shape));
        var east = shape.MaxX - shape.MinX >= shape.MaxY - shape.MinY;
        for (var i = 0; i < count; i++)
        {
            var share = ((2 * i) + 1) / (2.0 * count);
            var p =
                count == 1 ? shape.Centre
                : east ? new Point(shape.MinX + Length.Inches((shape.MaxX - shape.MinX).InInches * share), shape.Centre.Y)
                : new Point(shape.Centre.X, shape.MinY + Length.Inches((shape.MaxY - shape.MinY).InInches * share));
            Put(draft, shape, shape.Contains(p) ? p : shape.Centre, null);
        }
    }

    // Half a space from each wall and whole spaces between, at most the job's spacing: even however the room is cut.
    internal static void Grid(Draft draft, RoomShape shape, Length spacing, LightStyle fixture, Func<Point, bool> wanted)
    {
        var (width, depth) = (shape.MaxX - shape.MinX, shape.MaxY - shape.MinY);
        var (across, down) = (Count(width, spacing), Count(depth, spacing));
        var put = 0;
        for (var j = 0; j < down; j++)
        {
            for (var i = 0; i < across; i++)
            {
                var p = new Point(
                    shape.MinX + Length.Inches(width.InInches * ((2 * i) + 1) / (2.0 * across)),
                    shape.MinY + Length.Inches(depth.InInches * ((2 * j) + 1) / (2.0 * down))
                );
                if (!shape.Contains(p) || shape.InchesToWall(p) < 12 || !wanted(p))
                    continue;
                Put(draft, shape, p, fixture);
                put++;
            }
        }

        if (put == 0 && Of(draft, shape).Count == 0)
            Put(draft, shape, shape.Centre, fixture);
    }

    private static int Count(Length length, Length spacing) =>
        Math.Clamp((int)Math.Ceiling((length.InInches / spacing.InInches) - 0.2), 1, 12);

    // Half a recessed light's can and the joist beside it, in inches.
    internal const double CanFromWall = 5.5;

    /// <summary>Whether a box is the light on the outer face beside a door.</summary>
    internal static bool Lights(Box box, RoomShape shape, RoomOpening door) =>
        box.Kind == BoxKind.Light
        && box.Outside
        && box.Room == shape.Room.Id
        && box.Wall == door.Wall
        && box.Along > door.From - Length.Feet(6)
        && box.Along < door.To + Length.Feet(6);
}
