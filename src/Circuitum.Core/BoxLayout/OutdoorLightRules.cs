using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.BoxLayout;

/// <summary>Lights outside doors.</summary>
internal static class OutdoorLightRules
{
    internal static void AtDoor(Draft draft, RoomShape shape)
    {
        if (shape.Openings.FirstOrDefault(o => o.IsDoorway) is { } door)
            draft.Add(BesideDoor(shape, door));
    }

    // Where no porch is drawn, the light hangs on the outer face beside the door (210.70(A)(2)).
    internal static void OutsideDoors(Draft draft, RoomShape shape)
    {
        if (OutdoorRules.Ground(draft.House)?.Id != shape.Room.Storey)
            return;
        foreach (var door in DoorsOut(shape).Where(d => !draft.In(shape).Any(b => LightRules.Lights(b, shape, d))))
            draft.Add(BesideDoor(shape, door) with { Outside = true });
    }

    /// <summary>The doors of a room by which a person steps out where no porch or deck is drawn.</summary>
    internal static IEnumerable<RoomOpening> DoorsOut(RoomShape shape) =>
        shape.Openings.Where(o => o.IsDoorway && o.Beyond is null && o.Opening.Room == shape.Room.Id);

    // Outdoors the light hangs on the hinge side, across the door from the receptacle; where the wall is too short, over the door.
    private static Box BesideDoor(RoomShape shape, RoomOpening door)
    {
        var light = new Box
        {
            Kind = BoxKind.Light,
            Room = shape.Room.Id,
            Wall = door.Wall,
            Height = Length.Inches(66),
            Fixture = LightStyle.Wall,
        };
        var (before, after) = (door.From - Length.Inches(12), door.To + Length.Inches(12));
        foreach (var along in door.Hinge == End.Start ? new[] { before, after } : [after, before])
        {
            if (
                along >= Length.Inches(4)
                && along <= shape.Walls[door.Wall].Length - Length.Inches(4)
                && !ReceptacleSpots.InOpening(shape, door.Wall, along, 2)
            )
                return light with { Along = along };
        }

        return light with
        {
            Along = door.From + (door.Opening.Width / 2),
            Height = Length.Min(Length.Inches(90), shape.Room.CeilingHeight - Length.Inches(4)),
        };
    }
}
