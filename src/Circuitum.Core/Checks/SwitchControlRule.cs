using Circuitum.Core.Analysis;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>A dimmer works lamps, a fan control fans, and what several places control has one of them.</summary>
internal sealed class SwitchControlRule : CheckedRule
{
    internal override string Id => "switch.control";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        var seen = new HashSet<(string Light, SwitchControl Control)>();
        foreach (var box in a.Job.Decisions.Boxes)
        {
            for (var i = 0; i < box.Gangs.Length; i++)
            {
                if (box.Gangs[i] is { Control: not SwitchControl.Toggle } gang && Wrong(a, box, i, gang, seen) is { } wrong)
                    yield return Breach(a, $"{a.House[box.Room].Room.Name}: gang {i + 1} of {box.Id} {wrong}.", Subject.Box(box.Id)) with
                    {
                        Fix = new("Make it an ordinary switch", new SetControl(box.Id, i + 1, SwitchControl.Toggle)),
                    };
            }
        }
    }

    private static string? Wrong(JobAnalysis a, Box box, int at, SwitchGang gang, HashSet<(string, SwitchControl)> seen)
    {
        if (!a.Edition.Controls.Contains(gang.Control))
            return "is a switch on a cord, which is not used under these rules";
        var loads = gang.Lights.Select(a.Boxes.GetValueOrDefault).OfType<Box>().ToList();
        if (gang.Control == SwitchControl.Dimmer && loads.Find(l => !IsLamp(l)) is { } motor)
            return $"is a dimmer, and {motor.Id} has a motor";
        if (gang.Control is SwitchControl.FanSpeed && loads.Find(IsLamp) is { } lamp)
            return $"is a fan control, and {lamp.Id} is no fan";
        if (gang.Control == SwitchControl.Humidity && loads.Find(l => l.Kind != BoxKind.Appliance) is { } light)
            return $"goes by the damp of the air, and {light.Id} is no exhaust fan";
        if (a.Specs[box.Id].Ways[at] == 4)
            return "is a control between two three-ways, where a plain four-way goes; put it at an end";
        return gang.Lights is [var first, ..] && !seen.Add((first, gang.Control))
            ? "is the second control of the same kind for one light; the other places are plain switches or the maker's companions"
            : null;
    }

    private static bool IsLamp(Box load) => load.Kind == BoxKind.Light && load.Fixture != LightStyle.Fan;
}
