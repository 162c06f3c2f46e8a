using System.Collections.Immutable;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Commands;

/// <summary>What edits of boxes have in common.</summary>
internal static class BoxEdit
{
    internal const string Gone = "That box is not there any more.";

    internal static Box? Find(Job job, string id) => job.Decisions.Boxes.FirstOrDefault(b => b.Id == id);

    internal static CommandResult Replace(Job job, Box box, Box with) =>
        CommandResult.Checked(
            job with
            {
                Decisions = BoxProposal.DropLost(job.Decisions with { Boxes = job.Decisions.Boxes.Replace(box, with) }),
            }
        );

    internal static CommandResult Keep(Job job, Func<Box, bool> which) =>
        CommandResult.Checked(
            job with
            {
                Decisions = job.Decisions with
                {
                    Boxes = [.. job.Decisions.Boxes.Select(b => which(b) ? b with { By = Maker.Person } : b)],
                },
            }
        );
}

/// <summary>Moves a box along its walls to the place nearest a point.</summary>
/// <param name="Box">The box.</param>
/// <param name="Wall">Wall, or none for a place on the plan.</param>
/// <param name="Along">Distance along the wall.</param>
/// <param name="At">Place on the plan; a box on a wall slides to the nearest wall.</param>
public sealed record MoveBox(string Box, int? Wall, Length? Along, Point? At) : JobCommand("move box")
{
    /// <summary>
    /// Whether <c>Along</c> is measured from the corner at the left hand of a person who faces the wall, as schedules and tickets tell it.
    /// </summary>
    public bool FromLeft { get; init; }

    /// <inheritdoc/>
    public override string Nudges => $"box:{Box}";

    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (BoxEdit.Find(job, Box) is not { } box)
            return CommandResult.Refuse(BoxEdit.Gone);
        var moved = box;
        if (box.Wall is not null)
        {
            var (wall, along) = (Wall ?? box.Wall.Value, Along ?? box.Along);
            var stands = new RoomShape(job.RoomById(box.Room)!);
            if (FromLeft && Along is not null && wall >= 0 && wall < stands.Walls.Length)
                along = Analysis.BoxSchedule.FromLeft(stands, box with { Along = along }, wall);
            if (At is { } p)
            {
                // A box on an outer face stays on its face: behind another wall there may be a room.
                var shape = new RoomShape(job.RoomById(box.Room)!);
                if (box.Outside)
                    along = Length.Max(Length.Zero, Length.Min(shape.Walls[wall].Along(p), shape.Walls[wall].Length));
                else
                    (wall, along, _) = shape.Nearest(p);
                along = along.RoundTo(Length.Inches(1));
            }

            moved = box with { Wall = wall, Along = along, By = Maker.Person };
        }
        else if (At is { } q)
            moved = box with { At = new(q.X.RoundTo(Length.Inches(1)), q.Y.RoundTo(Length.Inches(1))), By = Maker.Person };
        return BoxEdit.Replace(job, box, moved);
    }
}

/// <summary>Adds a box at a place.</summary>
/// <param name="Kind">What it holds; appliances bring their own.</param>
/// <param name="Room">The room.</param>
/// <param name="Wall">Wall, or none for the ceiling.</param>
/// <param name="Along">Distance along the wall.</param>
/// <param name="At">Place in the ceiling.</param>
public sealed record AddBox(BoxKind Kind, string Room, int? Wall, Length Along, Point? At) : JobCommand("add box")
{
    /// <summary>A receptacle without a wall hangs from the ceiling, as for a door operator; otherwise it stands in the floor.</summary>
    public bool Overhead { get; init; }

    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.RoomById(Room) is not { } room)
            return CommandResult.Refuse("Pick a room first.");
        if (Kind == BoxKind.Appliance)
            return CommandResult.Refuse("An appliance brings its own outlet: add the appliance to the room.");
        if (Kind == BoxKind.Disconnect)
            return CommandResult.Refuse("A disconnect goes with its equipment: propose the boxes of the room.");
        if (Kind == BoxKind.Switch && Wall is null)
            return CommandResult.Refuse("A switch hangs on a wall: choose one.");
        var n = 1;
        while (job.Decisions.Boxes.Any(b => b.Id == $"{Room}.x{n}"))
            n++;
        var p = job.Preferences;
        var counter = job.Counters.Any(c =>
            c.Room == Room && c.Spot.Wall == Wall && Along >= c.Spot.From && Along <= c.Spot.From + c.Spot.Width
        );
        var height = Kind switch
        {
            BoxKind.Switch => p.SwitchCentre,
            BoxKind.Receptacle when Wall is null => Overhead ? room.CeilingHeight : Length.Zero,
            BoxKind.Receptacle => counter || room.Kind == RoomKind.Bathroom ? p.CounterCentre : p.ReceptacleBottom + Length.Inches(2),
            BoxKind.Light when Wall is not null => Length.Inches(78),
            _ => Wall is null ? room.CeilingHeight : Length.Inches(18),
        };
        var box = new Box
        {
            Id = $"{Room}.x{n}",
            Kind = Kind,
            Room = Room,
            Wall = Wall,
            Along = Along,
            At = Wall is null ? At ?? new RoomShape(room).Centre : null,
            Height = height,
            By = Maker.Person,
        };
        if (Kind == BoxKind.Switch)
        {
            var sets = LightSets.Of(
                HouseShape.Of(job),
                job.Decisions.Boxes.Where(b => b.Kind == BoxKind.Light && b.Room == Room && !b.Outside)
            );
            if (sets.Count > 0)
                box = box with { Gangs = [new SwitchGang { Lights = [.. sets[0].Lights.Select(l => l.Id)] }] };
        }

        return CommandResult.Checked(
            job with
            {
                Decisions = BoxProposal.DropLost(job.Decisions with { Boxes = job.Decisions.Boxes.Add(box) }),
            }
        );
    }
}

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
}

/// <summary>Takes a box away. A proposal that is taken away is not made again.</summary>
/// <param name="Box">The box.</param>
public sealed record RemoveBox(string Box) : JobCommand("remove box")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (BoxEdit.Find(job, Box) is not { } box)
            return CommandResult.Refuse(BoxEdit.Gone);
        var decisions = job.Decisions with { Boxes = job.Decisions.Boxes.Remove(box) };
        if (box.By == Maker.Planner)
            decisions = decisions with
            {
                Refused = decisions.Refused.Add(
                    new RefusedBox
                    {
                        Kind = box.Kind,
                        Room = box.Room,
                        Wall = box.Wall,
                        Along = box.Along,
                        At = box.At,
                        Appliance = box.Appliance,
                    }
                ),
            };
        return CommandResult.Checked(job with { Decisions = BoxProposal.DropLost(decisions) });
    }
}

/// <summary>Takes a proposed box over, so that no proposal moves it.</summary>
/// <param name="Box">The box.</param>
public sealed record AcceptBox(string Box) : JobCommand("accept box")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job) =>
        job.Decisions.Boxes.FirstOrDefault(b => b.Id == Box) is { } box
            ? CommandResult.Checked(
                job with
                {
                    Decisions = job.Decisions with { Boxes = job.Decisions.Boxes.Replace(box, box with { By = Maker.Person }) },
                }
            )
            : CommandResult.Refuse(BoxEdit.Gone);
}

/// <summary>Takes over all proposals of a room or of the house.</summary>
/// <param name="Room">The room, or none for the house.</param>
public sealed record AcceptBoxes(string? Room) : JobCommand("accept boxes")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job) =>
        job.Decisions.Boxes.Any(b => b.By == Maker.Planner && (Room is null || b.Room == Room))
            ? BoxEdit.Keep(job, b => Room is null || b.Room == Room)
            : CommandResult.Refuse("There is nothing left to accept there.");
}

/// <summary>What a person sets on a box; what is none is left as it is or goes back to the derived choice.</summary>
public sealed record BoxChange
{
    /// <summary>What it holds.</summary>
    public BoxKind? Kind { get; init; }

    /// <summary>Single, duplex or quad.</summary>
    public ReceptacleStyle? Style { get; init; }

    /// <summary>What hangs there.</summary>
    public LightStyle? Fixture { get; init; }

    /// <summary>Centre over the floor.</summary>
    public Length? Height { get; init; }

    /// <summary>Box from the catalogue; empty goes back to the smallest that serves.</summary>
    public string? Size { get; init; }

    /// <summary>Rating in amperes; 0 goes back to the one that fits.</summary>
    public int? Rating { get; init; }

    /// <summary>Side of the stud; empty goes back to the nearer stud.</summary>
    public string? Side { get; init; }

    /// <summary>Planned load of a light in volt-amperes; below zero goes back to the practice figure.</summary>
    public double? VoltAmperes { get; init; }

    /// <summary>Senses carbon monoxide.</summary>
    public bool? CarbonMonoxide { get; init; }

    /// <summary>How far the work is.</summary>
    public BoxState? State { get; init; }
}

/// <summary>Changes what a box is; it is then a person's.</summary>
/// <param name="Box">The box.</param>
/// <param name="Change">What changes.</param>
public sealed record EditBox(string Box, BoxChange Change) : JobCommand("edit box")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (BoxEdit.Find(job, Box) is not { } box)
            return CommandResult.Refuse(BoxEdit.Gone);
        if (Change.Kind is { } kind && kind != box.Kind && (kind == BoxKind.Appliance || box.Kind == BoxKind.Appliance))
            return CommandResult.Refuse("The outlet of an appliance goes with the appliance; add or remove that.");
        if (Change.State == BoxState.Final && box.Held is { } held)
            return CommandResult.Refuse(
                $"It waits for {held.WaitsFor}: it can be roughed in with slack, but not called final. Release it first."
            );
        var with = box with
        {
            Kind = Change.Kind ?? box.Kind,
            Style = Change.Style ?? box.Style,
            Fixture = Change.Fixture ?? box.Fixture,
            Height = Change.Height ?? box.Height,
            Size = Change.Size is { } size
                ? size.Length == 0
                    ? null
                    : size
                : box.Size,
            Rating = Change.Rating is { } rating
                ? rating == 0
                    ? null
                    : rating
                : box.Rating,
            Side = Change.Side is { } side
                ? Enum.TryParse<StudSide>(side, true, out var s)
                    ? s
                    : null
                : box.Side,
            VoltAmperes = Change.VoltAmperes is { } va
                ? va < 0
                    ? null
                    : va
                : box.VoltAmperes,
            CarbonMonoxide = Change.CarbonMonoxide ?? box.CarbonMonoxide,
            State = Change.State ?? box.State,
            By = Maker.Person,
        };
        if (with.Kind != BoxKind.Receptacle)
            with = with with { Style = null, Rating = with.Kind == BoxKind.Appliance ? with.Rating : null };
        if (with.Kind != BoxKind.Light)
            with = with with { Fixture = null };
        if (with.Kind != BoxKind.Switch)
            with = with with { Gangs = [] };
        if (with.Kind == BoxKind.Switch && with.Wall is null)
            return CommandResult.Refuse("A switch hangs on a wall.");

        // A box of other gangs or another use is another box.
        if (with.Size is not null && (with.Kind != box.Kind || with.Style != box.Style) && Change.Size is null)
            with = with with { Size = null };
        return BoxEdit.Replace(job, box, with);
    }
}

/// <summary>Holds a box until something is known, or releases it.</summary>
/// <param name="Box">The box.</param>
/// <param name="For">What it waits for, or none to release it.</param>
public sealed record HoldBox(string Box, HeldFor? For) : JobCommand(For is null ? "release box" : "hold box")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (BoxEdit.Find(job, Box) is not { } box)
            return CommandResult.Refuse(BoxEdit.Gone);
        return For is not null && box.State == BoxState.Final
            ? CommandResult.Refuse("That box is final already.")
            : BoxEdit.Replace(job, box, box with { Held = For, By = Maker.Person });
    }
}

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
            var grown = there with { Gangs = there.Gangs.Add(gang), By = Maker.Person };
            boxes = boxes.Replace(there, SwitchRules.InOrder(house, boxes.ToDictionary(b => b.Id), grown));
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
                    By = Maker.Person,
                }
            );
        }

        return CommandResult.Checked(job with { Decisions = BoxProposal.DropLost(job.Decisions with { Boxes = boxes }) });
    }
}
