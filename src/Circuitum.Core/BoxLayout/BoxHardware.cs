using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.BoxLayout;

/// <summary>The door to what a box has to be, whatever circuit it is on.</summary>
public static class BoxHardware
{
    /// <summary>Gangs of a device box; 0 for one that carries a fixture or an alarm.</summary>
    public static int Gangs(Job job, Box box) =>
        box.Kind switch
        {
            BoxKind.Switch => Math.Max(1, box.Gangs.Length),
            BoxKind.Receptacle => box.Style == ReceptacleStyle.Quad ? 2 : 1,
            BoxKind.Provision => 1,
            BoxKind.Disconnect => job.ApplianceById(box.Serves) is { } served && ApplianceFacts.Of(job, served).Cutoff == Cutoff.Sight
                ? 0
                : 1,
            BoxKind.Appliance when job.ApplianceById(box.Appliance) is { } a && ApplianceFacts.Of(job, a) is { Hardwired: false } f =>
                f.Connection == Connection.TwoLines ? 2 : 1,
            _ => 0,
        };

    /// <summary>
    /// Whether a box has to be listed for a fan (314.27(C)): where one hangs, and from 2020 on where one is likely, over the middle of a
    /// habitable room.
    /// </summary>
    public static bool NeedsFanBox(HouseShape house, CodeEdition edition, Box box)
    {
        if (box.Fixture == LightStyle.Fan || ApplianceFacts.Has(house.Job.ApplianceById(box.Appliance), ApplianceTrait.CeilingFan))
            return true;
        if (
            edition.Ways.FanBox != FanBoxWay.Habitable
            || box.Kind != BoxKind.Light
            || box.Wall is not null
            || box.Fixture is LightStyle.Recessed or LightStyle.Vanity
        )
            return false;
        var room = house[box.Room];
        return box.Fixture != LightStyle.Pendant
            && edition.Traits(room.Room.Kind).WallSpaces
            && room.Room.Kind != RoomKind.Kitchen
            && room.InchesToWall(Places.Of(house, box)) >= 30;
    }

    /// <summary>Whether a receptacle is tamper-resistant (406.12): all but high ones and those in an appliance's own space.</summary>
    public static bool TamperResistant(CodeEdition edition, Box box) =>
        box.Kind switch
        {
            BoxKind.Receptacle => box.Height <= edition.Number("requiredHeightMostIn").Length,
            _ => false,
        };

    /// <summary>How a receptacle is protected from the weather.</summary>
    public static WeatherNeed Weather(Job job, Box box) =>
        job.KindAt(box) switch
        {
            RoomKind.Porch => WeatherNeed.Damp,
            RoomKind.Deck or RoomKind.Outdoors => WeatherNeed.Wet,
            _ => WeatherNeed.None,
        };

    /// <summary>The stud that a box on a wall is nailed to, studs being laid out from the wall's first corner; none in a ceiling.</summary>
    public static StudNote? StudOf(HouseShape house, Box box)
    {
        if (box.Wall is not { } wall)
            return null;
        var room = house[box.Room];
        var spacing = WallFactOf(house.Job, box.Room, wall)?.StudSpacing ?? house.Job.Frame.StudSpacing;
        var length = room.Walls[wall].Length;

        // From outside, right and left change.
        var rightIsAlong = room.RightIsAlong(wall) != box.Outside;
        var below = new Length(box.Along.Units / spacing.Units * spacing.Units);
        var above = Length.Min(below + spacing, length);
        var useBelow = box.Side switch
        {
            // A box to the right of its stud has the stud on its left.
            StudSide.Right => rightIsAlong,
            StudSide.Left => !rightIsAlong,
            _ => box.Along - below <= above - box.Along,
        };
        var stud = useBelow ? below : above;
        var off = (box.Along - stud).Abs();
        var half = (Math.Max(1, Gangs(house.Job, box)) * 1.8125 / 2) + 0.25;
        var gap = off.InInches - 0.75 - half;
        return new(
            stud,
            useBelow == rightIsAlong ? StudSide.Right : StudSide.Left,
            off,
            Math.Abs(gap) <= 1.25 ? ""
                : gap < 0 ? "moves beside the stud"
                : "bar or block"
        )
        {
            FromLeft = rightIsAlong ? stud : length - stud,
        };
    }

    internal static WallFact? WallFactOf(Job job, string room, int wall) => job.Walls.FirstOrDefault(w => w.Room == room && w.Wall == wall);

    /// <summary>What is written on the stud or the floor: what it is, how high, what it feeds.</summary>
    /// <param name="house">The house.</param>
    /// <param name="box">The box.</param>
    /// <param name="ways">For each gang of a switch box its switch: 1, 3 or 4.</param>
    public static string Mark(HouseShape house, Box box, IReadOnlyList<int> ways)
    {
        var job = house.Job;
        var what = box.Kind switch
        {
            BoxKind.Receptacle => box.Style switch
            {
                ReceptacleStyle.Single => "R1",
                ReceptacleStyle.Quad => "RR",
                _ => "R",
            },
            BoxKind.Switch => ways.Count == 0 ? "S" : string.Join(' ', ways.Select(w => w == 1 ? "S" : $"S{w}")),
            BoxKind.Light => box.Fixture switch
            {
                LightStyle.Recessed => "LR",
                LightStyle.Pendant => "LP",
                LightStyle.Vanity => "LV",
                LightStyle.Wall => "LW",
                LightStyle.Fan => "F",
                _ => "L",
            },
            BoxKind.SmokeAlarm => box.CarbonMonoxide ? "SA CO" : "SA",
            BoxKind.Provision => "P",
            BoxKind.Disconnect => job.ApplianceById(box.Serves) is { } served ? $"DS {ApplianceFacts.Of(job, served).Name}" : "DS",
            _ => job.ApplianceById(box.Appliance) is { } a ? $"{ApplianceFacts.Of(job, a).Volts} {ApplianceFacts.Of(job, a).Name}" : "E",
        };
        var held = box.Held is null ? "" : " HOLD";
        return box.Wall is null ? what + held : $"{what} @{LengthText.NearNumber(box.Height.InInches, job.Units)}{held}";
    }
}
