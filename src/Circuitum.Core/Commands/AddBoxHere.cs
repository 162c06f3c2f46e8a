using Circuitum.Core.BoxLayout;
using Circuitum.Core.Codes;
using Circuitum.Core.Edits;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Commands;

/// <summary>Adds a box where a person points: on the nearest wall of the room that is there, or in its ceiling.</summary>
/// <param name="Kind">What it holds.</param>
/// <param name="Storey">The storey that is shown.</param>
/// <param name="At">The place.</param>
public sealed record AddBoxHere(BoxKind Kind, string Storey, Point At) : JobCommand("add box")
{
    // A hand that points at a wall is nearer than this, in inches.
    private const double FarFromWalls = 36;

    // How far along its wall a box is moved out of an opening or away from another box, in inches.
    private const int MostAside = 120;

    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.Rooms.All(r => r.Storey != Storey))
            return CommandResult.Refuse("There is no room on this storey yet.");
        if (Pointing.Room(job, Storey, At) is not { } shape)
            return CommandResult.Refuse("There is no room at that place.");
        if (Kind == BoxKind.Disconnect)
            return Disconnect(job, shape);
        if (Kind is not (BoxKind.Receptacle or BoxKind.Switch))
            return new AddBox(
                Kind,
                shape.Room.Id,
                null,
                Length.Zero,
                new(At.X.RoundTo(Length.Inches(1)), At.Y.RoundTo(Length.Inches(1)))
            ).Apply(job);
        var (wall, along, _) = shape.Nearest(At);
        // Out on the floor of a garage or the like, a receptacle is meant for the ceiling: nobody has a wall in mind there.
        if (
            Kind == BoxKind.Receptacle
            && shape.Contains(At)
            && shape.InchesToWall(At) > FarFromWalls
            && shape.Room.Kind is RoomKind.Garage or RoomKind.UnfinishedBasement or RoomKind.AccessoryBuilding or RoomKind.Utility
        )
            return new AddBox(Kind, shape.Room.Id, null, Length.Zero, new(At.X.RoundTo(Length.Inches(1)), At.Y.RoundTo(Length.Inches(1))))
            {
                Overhead = true,
            }.Apply(job);
        var house = HouseShape.Of(job);
        var wanted = new Box
        {
            Id = "",
            Kind = Kind,
            Room = shape.Room.Id,
            Wall = wall,
            Along = along.RoundTo(Length.Inches(1)),
            Height = Kind == BoxKind.Switch ? job.Preferences.SwitchCentre : job.Preferences.ReceptacleBottom,
        };
        var settled = BoxBody.Settle(house, wanted, job.Decisions.Boxes, MostAside, clear: true);
        return new AddBox(Kind, shape.Room.Id, wall, settled.Along, null).Apply(job);
    }

    // It cuts off the nearest equipment in sight that has none yet.
    private CommandResult Disconnect(Job job, RoomShape shape)
    {
        var house = HouseShape.Of(job);
        var (wall, along, _) = shape.Nearest(At);
        var box = new Box
        {
            Id = BoxProposal.FreeId(job, shape.Room.Id),
            Kind = BoxKind.Disconnect,
            Room = shape.Room.Id,
            Wall = wall,
            Along = along.RoundTo(Length.Inches(1)),
            Height = EquipmentRules.Height,
            By = Origin.Person,
        };
        var served = job
            .Appliances.Where(x => job.Decisions.Boxes.All(b => b.Serves != x.Id) && ApplianceFacts.Of(job, x).Hardwired)
            .Where(x => EquipmentRules.InSight(house, box, x))
            .MinBy(x => Places.Of(house[x.Room], x.Spot).InchesTo(At));
        if (served is null)
            return CommandResult.Refuse(
                "No hardwired equipment without a disconnect is in sight of that place. Put it in the room of what it cuts off."
            );
        box = BoxBody.Settle(house, box with { Serves = served.Id }, job.Decisions.Boxes, MostAside, clear: true);
        return CommandResult.Checked(job with { Decisions = job.Decisions with { Boxes = job.Decisions.Boxes.Add(box) } });
    }
}
