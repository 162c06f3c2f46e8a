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
                RoomReceptacleRules.One(draft, shape, Length.Inches(48));
            if (Rule(shape.Room.Kind) is not { } rule || !draft.Edition.InForce(rule))
                continue;
            switch (shape.Room.Kind)
            {
                case RoomKind.Bathroom:
                    RoomReceptacleRules.AtBasins(draft, shape);
                    break;
                case RoomKind.Hallway:
                    RoomReceptacleRules.Hall(draft, shape);
                    break;
                case RoomKind.Foyer:
                    RoomReceptacleRules.Foyer(draft, shape);
                    break;
                case RoomKind.Garage:
                    RoomReceptacleRules.Garage(draft, shape);
                    break;
                case RoomKind.Laundry:
                    RoomReceptacleRules.Laundry(draft, shape);
                    break;
                case RoomKind.AccessoryBuilding or RoomKind.Utility:
                    RoomReceptacleRules.One(draft, shape, Length.Inches(48));
                    break;
            }
        }

        if (draft.Edition.InForce("box.outdoor"))
            OutdoorRules.Add(draft);
        if (draft.Edition.InForce("box.hvac"))
            RoomReceptacleRules.NearEquipment(draft);
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
            RoomKind.Utility => "circuit.utility",
            _ => null,
        };

    internal static Length ReceptacleHeight(Draft draft) => draft.Job.Preferences.ReceptacleBottom + Length.Inches(2);

    /// <summary>
    /// How far any place along a room's walls may be from a receptacle: the code's reach, or less where the job or the room asks for it.
    /// </summary>
    internal static Length Reach(Job job, Codes.CodeEdition edition, Room room)
    {
        var code = edition.Number("wallReachIn").Length;
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
        // What would stand in a corner is moved aside. A reach that is no whole number of inches then leaves a strip: one more serves it.
        var passes = draft.Edition.Units == LengthUnits.Metric ? 2 : 1;
        for (var pass = 0; pass < passes; pass++)
        {
            var missing = ReceptacleSpots.Missing(draft.Job, draft.Edition, draft.In(shape), shape, space, reach, overCounter);
            foreach (var offset in missing)
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
    }

    /// <summary>Usual height of a counter's top.</summary>
    internal static readonly Length CounterTop = Length.Inches(36);

    // The stretches of wall behind a refrigerator and the like.
    internal static List<(int Wall, Length From, Length To)> Behind(Job job, RoomShape shape) =>
        [
            .. job
                .Appliances.Where(a => a.Room == shape.Room.Id && a.Spot.Wall is not null && a.Spot.Depth >= Length.Inches(12))
                .Select(a => (a.Spot.Wall!.Value, a.Spot.From, a.Spot.From + a.Spot.Width)),
        ];

    internal static bool Behind(Draft draft, RoomShape shape, int wall, Length along) =>
        draft.Job.Appliances.Any(a =>
            a.Room == shape.Room.Id
            && a.Spot.Wall == wall
            && along > a.Spot.From - Length.Inches(3)
            && along < a.Spot.From + a.Spot.Width + Length.Inches(3)
        ) || draft.Job.Panels.Any(p => p.Room == shape.Room.Id && p.Wall == wall && (p.Along - along).Abs() < Length.Inches(18));
}
