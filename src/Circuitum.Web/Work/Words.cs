using System.Text.Json;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Web.Work;

/// <summary>Words for enumerations, as they are said.</summary>
public static class Words
{
    /// <summary>A length in inches, in which the plan is drawn.</summary>
    public static string Inches(Length length) => length.InInches.ToString("0.####", System.Globalization.CultureInfo.InvariantCulture);

    /// <summary>Words with a capital letter at their head.</summary>
    public static string Capital(string words) => char.ToUpperInvariant(words[0]) + words[1..];

    /// <summary>From which corner of a wall its things are measured, seen from the room.</summary>
    public static string FromCorner(Circuitum.Core.Geometry.RoomShape room, int wall) =>
        room.RightIsAlong(wall) ? "From the left corner" : "From the right corner";

    /// <summary>Towards which side of the plan an end of a wall lies.</summary>
    public static string End(Circuitum.Core.Geometry.RoomShape room, int wall, End end)
    {
        var own = room.Walls[wall];
        var (x, y) = ((own.B.X - own.A.X).InInches, (own.B.Y - own.A.Y).InInches);
        var side = Math.Abs(x) >= Math.Abs(y) ? (x > 0 ? Side.East : Side.West) : (y > 0 ? Side.South : Side.North);
        return Of(end == Core.Jobs.End.Finish ? side : (Side)(((int)side + 2) % 4));
    }

    /// <summary>What an opening is called.</summary>
    public static string Name(OpeningKind kind) =>
        kind switch
        {
            OpeningKind.Hinged => "Door",
            OpeningKind.Pocket => "Pocket door",
            OpeningKind.Sliding => "Sliding door",
            OpeningKind.Cased => "Cased opening",
            OpeningKind.GarageDoor => "Garage door",
            _ => "Window",
        };

    /// <summary>What a wall is built of.</summary>
    public static string Name(WallBuild build) =>
        build switch
        {
            WallBuild.Wood2x4 => "2x4 wood",
            WallBuild.Wood2x6 => "2x6 wood",
            WallBuild.MetalStud => "metal studs",
            WallBuild.InsulatedPanel => "insulated panel",
            _ => "masonry",
        };

    /// <summary>What a gang of a switch box is.</summary>
    public static string Name(SwitchControl control) =>
        control switch
        {
            SwitchControl.Toggle => "ordinary switch",
            SwitchControl.FanSpeed => "fan speed control",
            SwitchControl.Humidity => "humidity control",
            SwitchControl.Motion => "motion switch",
            SwitchControl.Cord => "switch on a cord",
            _ => Of(control),
        };

    /// <summary>How a circuit is run outside.</summary>
    public static string Name(OutsideMethod method) =>
        method switch
        {
            OutsideMethod.PvcConduit => "wires in PVC conduit",
            OutsideMethod.RigidConduit => "wires in rigid metal conduit",
            OutsideMethod.DirectBurial => "cable made for the ground",
            _ => "indoor cable",
        };

    /// <summary>In what lengths are told, and what one without a unit means.</summary>
    public static string Name(LengthUnits units) =>
        units == LengthUnits.Metric
            ? "metres; a bare number from 60 on is millimetres"
            : "feet and inches; a bare number from 300 on is millimetres";

    /// <summary>A value in small words.</summary>
    public static string Of(Enum value) => JsonNamingPolicy.KebabCaseLower.ConvertName(value.ToString()).Replace('-', ' ');
}
