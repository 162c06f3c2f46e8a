using Circuitum.Core.BoxLayout;
using Circuitum.Core.Edits;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Commands;

/// <summary>Adds a switch of a room's main light on the latch side of a door, in the box that is there if it has room.</summary>
/// <param name="Room">The room.</param>
/// <param name="Opening">The door.</param>
public sealed record AddSwitch(string Room, string Opening) : JobCommand("add switch")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.RoomById(Room) is null)
            return CommandResult.Refuse("That room is not there any more.");
        var house = HouseShape.Of(job);
        var shape = house[Room];
        if (shape.Openings.FirstOrDefault(o => o.Opening.Id == Opening) is not { } door)
            return CommandResult.Refuse("That door is not there any more.");
        var lights = job.Decisions.Boxes.Where(b => b.Kind == BoxKind.Light && b.Room == Room && !b.Outside).ToList();
        if (lights.Count == 0)
            return CommandResult.Refuse("The room has no light yet.");
        var gang = new SwitchGang { Lights = [.. LightSets.Of(house, lights)[0].Lights.Select(l => l.Id)] };
        var (wall, along) = SwitchRules.LatchSide(shape, door);
        var there = job.Decisions.Boxes.FirstOrDefault(b =>
            b.Kind == BoxKind.Switch
            && b.Room == Room
            && b.Wall == wall
            && (b.Along - along).Abs() < Length.Inches(16)
            && b.Gangs.Length < 4
        );
        var boxes = job.Decisions.Boxes;
        if (there is not null)
        {
            var grown = there with { Gangs = there.Gangs.Add(gang), By = Origin.Person };
            boxes = boxes.Replace(there, GangOrder.InOrder(house, boxes.ToDictionary(b => b.Id), grown));
        }
        else
        {
            var n = 1;
            while (boxes.Any(b => b.Id == $"{Room}.x{n}"))
                n++;
            boxes = boxes.Add(
                new Box
                {
                    Id = $"{Room}.x{n}",
                    Kind = BoxKind.Switch,
                    Room = Room,
                    Wall = wall,
                    Along = along,
                    Height = job.Preferences.SwitchCentre,
                    Gangs = [gang],
                    By = Origin.Person,
                }
            );
        }

        return CommandResult.Checked(job with { Decisions = BoxProposal.DropLost(job.Decisions with { Boxes = boxes }) });
    }
}
