using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Commands;

/// <summary>Where a thing goes when a person points at the plan.</summary>
internal static class Pointing
{
    // Just outside a wall's inside face still means that wall, in inches.
    private const double Outside = 12;

    /// <summary>
    /// The room that a hand means that points at a place of a storey: the one it lies in, or whose wall is within a foot.
    /// </summary>
    internal static RoomShape? Room(Job job, string storey, Point at)
    {
        var house = HouseShape.Of(job);
        if (house.RoomAt(storey, at) is { } inside)
            return inside;
        var nearest = house.Rooms.Where(r => r.Room.Storey == storey).MinBy(r => r.InchesToWall(at));
        return nearest?.InchesToWall(at) <= Outside ? nearest : null;
    }

    /// <summary>The room's wall nearest to a place, within a foot outside or anywhere inside the room.</summary>
    internal static (RoomShape Shape, int Wall, Length Along)? Wall(Job job, string storey, Point at, string? only = null)
    {
        var shape =
            only is null ? Room(job, storey, at)
            : job.RoomById(only) is { } room && room.Storey == storey ? new RoomShape(room)
            : null;
        if (shape is null)
            return null;
        var (wall, along, _) = shape.Nearest(at);
        return (shape, wall, along);
    }

    /// <summary>Where a thing of a width begins when its middle is pointed at: on the wall, to the half inch.</summary>
    internal static Length From(RoomShape shape, int wall, Length middle, Length width)
    {
        var most = shape.Walls[wall].Length - width;
        return Length.Max(Length.Zero, Length.Min((middle - (width / 2)).RoundTo(Length.Inches(0.5)), most));
    }

    /// <summary>The sort of thing and its word, such as <c>appliance:range</c>; an empty sort when the word stands alone.</summary>
    internal static (string Sort, string Word) Sort(string what) => what.Split(':', 2) is [var sort, var word] ? (sort, word) : ("", what);

    /// <summary>
    /// Where an opening goes and what it leads to: the room behind its middle, or the open air. One that would reach past the end of
    /// that room is moved along until it leads there in its whole width.
    /// </summary>
    internal static (Length From, string To) Beyond(Job job, RoomShape shape, int wall, Length from, Length width)
    {
        var house = HouseShape.Of(job with { Openings = [] });
        var middle = from + (width / 2);
        var facing = house.Facing(house[shape.Room.Id], wall);
        // Over the end of a partition that comes in from the other side, the nearer of its two rooms is meant.
        var between = facing.Any(f => f.To < middle) && facing.Any(f => f.From > middle);
        Length Off(FacingWall f) => Length.Max(Length.Zero, Length.Max(f.From - middle, middle - f.To));
        if (
            facing.OrderBy(Off).FirstOrDefault(f => Off(f) <= (between ? Length.Inches(HouseShape.ThickestWallInches) : Length.Zero))
            is not { } behind
        )
            return (from, Opening.Outside);
        if (Fits(behind) is { } fitting)
            return (fitting, behind.Room.Room.Id);

        // Too little of that room is behind the wall: the nearest one that has room for it, no farther off than its own width.
        var (at, room) = facing
            .Select(f => (At: Fits(f), f.Room))
            .Where(f => f.At is { } a && (a - from).Abs() <= width)
            .OrderBy(f => (f.At!.Value - from).Abs())
            .FirstOrDefault();
        return at is { } there ? (there, room.Room.Id) : (from, behind.Room.Room.Id);

        Length? Fits(FacingWall f) => f.To - f.From < width ? null : Length.Max(f.From, Length.Min(from, f.To - width));
    }
}

/// <summary>Puts something where a person points: on the nearest wall, or free on the floor.</summary>
/// <param name="What">As for <see cref="PutOnWall"/>, or <c>island</c>, or a kind of wish.</param>
/// <param name="Storey">The storey.</param>
/// <param name="At">The place.</param>
public sealed record PlaceHere(string What, string Storey, Point At) : JobCommand($"place {Pointing.Sort(What).Word.Replace('-', ' ')}")
{
    private static readonly Dictionary<string, double> Widths = new()
    {
        ["hinged"] = 32,
        ["pocket"] = 30,
        ["sliding"] = 72,
        ["cased"] = 36,
        ["garage-door"] = 108,
        ["window"] = 36,
        ["counter"] = 60,
        ["sink"] = 33,
        ["basin"] = 20,
        ["tub"] = 60,
        ["shower"] = 36,
        ["toilet"] = 20,
        ["cabinet"] = 36,
        ["fireplace"] = 48,
        ["beam"] = 96,
        ["post"] = 6,
        ["duct"] = 24,
        ["panel"] = 0,
    };

    private const double ApplianceWidth = 30;

    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (Pointing.Wall(job, Storey, At) is not { } there)
            return CommandResult.Refuse("There is no room at that place. Draw or type one first.");
        var (shape, wall, along) = there;
        var room = shape.Room.Id;
        var place = new Point(At.X.RoundTo(Length.Inches(1)), At.Y.RoundTo(Length.Inches(1)));
        var (sort, what) = Pointing.Sort(What);
        if (
            sort is "" or "wish"
            && Enum.TryParse<WishKind>(what.Replace("-", "", StringComparison.Ordinal), true, out var wish)
            && !int.TryParse(what, out _)
        )
            return CommandResult.Checked(
                job with
                {
                    Wishes = job.Wishes.Add(
                        new Wish
                        {
                            Id = Names.Free(what, job.Wishes.Select(w => w.Id)),
                            Kind = wish,
                            Room = room,
                            At = place,
                        }
                    ),
                }
            );
        if (what == "island")
        {
            var spot = new Spot
            {
                At = new(place.X - Length.Feet(3), place.Y - Length.Inches(18)),
                Width = Length.Feet(6),
                Depth = Length.Feet(3),
            };
            return CommandResult.Checked(
                job with
                {
                    Counters = job.Counters.Add(
                        new Counter
                        {
                            Id = Names.Free("island", job.Counters.Select(c => c.Id)),
                            Room = room,
                            Spot = spot,
                        }
                    ),
                }
            );
        }

        var width = Length.Min(
            Length.Inches(sort == "appliance" ? ApplianceWidth : Widths.GetValueOrDefault(what, ApplianceWidth)),
            shape.Walls[wall].Length
        );
        var from = Pointing.From(shape, wall, along, width);
        var hinge = along > shape.Walls[wall].Length / 2;
        var to = Opening.Outside;
        if (sort is "" or "opening")
            (from, to) = Pointing.Beyond(job, shape, wall, from, width);
        return new PutOnWall(What, room, wall, from, width, to, hinge).Apply(job);
    }
}

/// <summary>Moves an opening, a fixed thing, the panel or a wish to where a person points.</summary>
/// <param name="Thing">Kind and id, such as <c>opening:o3</c> or <c>panel:main</c>.</param>
/// <param name="At">The place of its middle.</param>
public sealed record MoveThing(string Thing, Point At) : JobCommand("move")
{
    /// <inheritdoc/>
    public override string Nudges => Thing;

    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        var id = Thing[(Thing.IndexOf(':', StringComparison.Ordinal) + 1)..];
        switch (Thing.Split(':')[0])
        {
            case "opening" when job.Openings.FirstOrDefault(o => o.Id == id) is { } opening:
                // A door goes along the walls of the room that it is given on, and from there to whatever is behind.
                var (shape, wall, along) = Pointing.Wall(job, "", At, opening.Room)
                    ?? Pointing.Wall(job, job.RoomById(opening.Room)!.Storey, At, opening.Room)!.Value;
                var from = Pointing.From(shape, wall, along, opening.Width);
                (from, var to) = Pointing.Beyond(job, shape, wall, from, opening.Width);
                return CommandResult.Checked(
                    job with
                    {
                        Openings = job.Openings.Replace(opening, opening with { Wall = wall, From = from, To = to }),
                    }
                );
            case "panel"
                when job.Panels.FirstOrDefault(p => p.Id == id) is { } panel
                    && Pointing.Wall(job, job.RoomById(panel.Room)!.Storey, At) is { } there:
                return CommandResult.Checked(
                    job with
                    {
                        Panels = job.Panels.Replace(
                            panel,
                            panel with
                            {
                                Room = there.Shape.Room.Id,
                                Wall = there.Wall,
                                Along = there.Along.RoundTo(Length.Inches(0.5)),
                            }
                        ),
                    }
                );
            case "wish"
                when job.Wishes.FirstOrDefault(w => w.Id == id) is { } wish
                    && Pointing.Wall(job, job.RoomById(wish.Room)!.Storey, At) is { } there:
                return CommandResult.Checked(
                    job with
                    {
                        Wishes = job.Wishes.Replace(
                            wish,
                            wish with
                            {
                                Room = there.Shape.Room.Id,
                                At = new(At.X.RoundTo(Length.Inches(1)), At.Y.RoundTo(Length.Inches(1))),
                            }
                        ),
                    }
                );
            case "counter" when job.Counters.FirstOrDefault(c => c.Id == id) is { } c && Moved(job, c.Room, c.Spot) is { } spot:
                return CommandResult.Checked(
                    job with
                    {
                        Counters = job.Counters.Replace(c, c with { Room = spot.Room, Spot = spot.Spot }),
                    }
                );
            case "fixture" when job.Fixtures.FirstOrDefault(c => c.Id == id) is { } f && Moved(job, f.Room, f.Spot) is { } spot:
                return CommandResult.Checked(
                    job with
                    {
                        Fixtures = job.Fixtures.Replace(f, f with { Room = spot.Room, Spot = spot.Spot }),
                    }
                );
            case "appliance" when job.ApplianceById(id) is { } x && Moved(job, x.Room, x.Spot) is { } spot:
                return CommandResult.Checked(
                    job with
                    {
                        Appliances = job.Appliances.Replace(x, x with { Room = spot.Room, Spot = spot.Spot }),
                    }
                );
            default:
                return CommandResult.Refuse("That is not there any more, or there is no room at that place.");
        }
    }

    private (string Room, Spot Spot)? Moved(Job job, string room, Spot spot)
    {
        if (Pointing.Wall(job, job.RoomById(room)!.Storey, At) is not { } there)
            return null;
        if (spot.Wall is null)
            return (
                there.Shape.Room.Id,
                spot with
                {
                    At = new((At.X - (spot.Width / 2)).RoundTo(Length.Inches(1)), (At.Y - (spot.Depth / 2)).RoundTo(Length.Inches(1))),
                }
            );
        return (
            there.Shape.Room.Id,
            spot with
            {
                Wall = there.Wall,
                From = Pointing.From(there.Shape, there.Wall, there.Along, spot.Width),
            }
        );
    }
}

/// <summary>Sets what a person types about an opening.</summary>
/// <param name="Id">The opening.</param>
/// <param name="Kind">What it is.</param>
/// <param name="From">From the wall's first corner to the nearer jamb.</param>
/// <param name="Width">Clear width.</param>
/// <param name="Hinge">Hinge, or moving panel.</param>
/// <param name="SwingsIn">Swings into the room on whose wall it is given.</param>
/// <param name="Sill">A window's sill.</param>
public sealed record EditOpening(string Id, OpeningKind Kind, Length From, Length Width, End Hinge, bool SwingsIn, Length? Sill)
    : JobCommand("edit opening")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.Openings.FirstOrDefault(o => o.Id == Id) is not { } opening)
            return CommandResult.Refuse(PlanEdit.Gone("opening"));
        var shape = new RoomShape(job.RoomById(opening.Room)!);
        var to = opening.To;
        if (From + Width <= shape.Walls[opening.Wall].Length)
        {
            (var from, to) = Pointing.Beyond(job, shape, opening.Wall, From, Width);
            // What is typed stands as it is typed, or not at all.
            if (from != From)
                return CommandResult.Refuse(
                    $"There it would reach past the end of {job.RoomById(to)!.Name}, behind the wall. It leads there in its "
                        + $"whole width at {LengthText.Show(from)}."
                );
        }

        return CommandResult.Checked(
            job with
            {
                Openings = job.Openings.Replace(
                    opening,
                    opening with
                    {
                        Kind = Kind,
                        From = From,
                        Width = Width,
                        Hinge = Hinge,
                        SwingsIn = SwingsIn,
                        Sill = Sill,
                        To = to,
                    }
                ),
            }
        );
    }
}

/// <summary>Sets what a person types about a counter, a fixture or an appliance's place.</summary>
/// <param name="Thing">Kind and id.</param>
/// <param name="From">For one against a wall, from the wall's first corner.</param>
/// <param name="Width">Along the wall, or west to east.</param>
/// <param name="Depth">Away from the wall, or north to south.</param>
public sealed record EditThing(string Thing, Length From, Length Width, Length Depth) : JobCommand("edit")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        var id = Thing[(Thing.IndexOf(':', StringComparison.Ordinal) + 1)..];
        Spot To(Spot spot) => spot with { From = spot.Wall is null ? spot.From : From, Width = Width, Depth = Depth };
        return Thing.Split(':')[0] switch
        {
            "counter" when job.Counters.FirstOrDefault(c => c.Id == id) is { } c => CommandResult.Checked(
                job with
                {
                    Counters = job.Counters.Replace(c, c with { Spot = To(c.Spot) }),
                }
            ),
            "fixture" when job.Fixtures.FirstOrDefault(c => c.Id == id) is { } f => CommandResult.Checked(
                job with
                {
                    Fixtures = job.Fixtures.Replace(f, f with { Spot = To(f.Spot) }),
                }
            ),
            "appliance" when job.ApplianceById(id) is { } x => CommandResult.Checked(
                job with
                {
                    Appliances = job.Appliances.Replace(x, x with { Spot = To(x.Spot) }),
                }
            ),
            _ => CommandResult.Refuse(PlanEdit.Gone("thing")),
        };
    }
}

/// <summary>Sets the owner's words on a wish.</summary>
/// <param name="Id">The wish.</param>
/// <param name="Note">The words.</param>
public sealed record EditWish(string Id, string Note) : JobCommand("edit wish")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job) =>
        job.Wishes.FirstOrDefault(w => w.Id == Id) is { } wish
            ? CommandResult.Checked(job with { Wishes = job.Wishes.Replace(wish, wish with { Note = Note.Trim() }) })
            : CommandResult.Refuse(PlanEdit.Gone("wish"));
}

/// <summary>Places, scales, dims or removes the picture under a storey.</summary>
/// <param name="Storey">The storey.</param>
/// <param name="Change">Gives the changed picture, or none to take it away.</param>
/// <param name="What">What undo calls it.</param>
public sealed record EditUnderlay(string Storey, Func<Underlay, Underlay?> Change, string What) : JobCommand(What)
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.Underlays.FirstOrDefault(u => u.Storey == Storey) is not { } there)
            return CommandResult.Refuse("There is no picture under this storey.");
        var changed = Change(there);
        return CommandResult.Checked(
            job with
            {
                Underlays = changed is null ? job.Underlays.Remove(there) : job.Underlays.Replace(there, changed),
            }
        );
    }
}

/// <summary>Types over a dimension that stands on the plan.</summary>
/// <param name="Dim"><c>wall:ROOM:N</c>, or the key of an opening or a thing with <c>:before</c>, <c>:width</c> or <c>:after</c>.</param>
/// <param name="To">What it shall be.</param>
public sealed record SetDimension(string Dim, Length To) : JobCommand("set dimension")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        var part = Dim.Split(':');
        if (part is ["wall", var room, var wall] && int.TryParse(wall, out var n))
            return new SetWallLength(room, n, To, false).Apply(job);
        if (part.Length != 3)
            return CommandResult.Refuse(PlanEdit.Gone("dimension"));
        if (part[0] == "opening" && job.Openings.FirstOrDefault(o => o.Id == part[1]) is { } o)
        {
            var (from, width) = Typed(job, o.Room, o.Wall, o.From, o.Width, part[2]);
            return new EditOpening(o.Id, o.Kind, from, width, o.Hinge, o.SwingsIn, o.Sill).Apply(job);
        }

        var spot = part[0] switch
        {
            "counter" => job.Counters.Where(c => c.Id == part[1]).Select(c => (c.Room, c.Spot)).FirstOrDefault(),
            "fixture" => job.Fixtures.Where(c => c.Id == part[1]).Select(c => (c.Room, c.Spot)).FirstOrDefault(),
            _ => job.Appliances.Where(c => c.Id == part[1]).Select(c => (c.Room, c.Spot)).FirstOrDefault(),
        };
        if (spot.Spot?.Wall is not { } on)
            return CommandResult.Refuse(PlanEdit.Gone("dimension"));
        var (f, w) = Typed(job, spot.Room, on, spot.Spot.From, spot.Spot.Width, part[2]);
        return new EditThing($"{part[0]}:{part[1]}", f, w, spot.Spot.Depth).Apply(job);
    }

    private (Length From, Length Width) Typed(Job job, string room, int wall, Length from, Length width, string which) =>
        which switch
        {
            "before" => (To, width),
            "width" => (from, To),
            _ => (new RoomShape(job.RoomById(room)!).Walls[wall].Length - To - width, width),
        };
}
