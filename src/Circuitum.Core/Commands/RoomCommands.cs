using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Commands;

/// <summary>Adds a rectangular room beside another one, or at the origin of an empty storey.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Kind">Its kind.</param>
/// <param name="Storey">The storey.</param>
/// <param name="Width">West to east, inside.</param>
/// <param name="Depth">North to south, inside.</param>
/// <param name="Beside">The room it is put beside, or none.</param>
/// <param name="On">On which side of that room.</param>
/// <param name="Ceiling">Ceiling height.</param>
public sealed record AddRoom(string Name, RoomKind Kind, string Storey, Length Width, Length Depth, string? Beside, Side On, Length Ceiling)
    : JobCommand("add room")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        var here = job.Rooms.Where(r => r.Storey == Storey).ToList();
        var beside = here.FirstOrDefault(r => r.Id == Beside) ?? here.LastOrDefault();
        var (x, y) = (Length.Zero, Length.Zero);
        if (beside is not null)
        {
            var s = new RoomShape(beside);
            var outdoors = Kind == RoomKind.Garage || Kind.OpenAir() || beside.Kind == RoomKind.Garage || beside.Kind.OpenAir();
            var gap = outdoors ? job.Frame.OutsideWall : job.Frame.Partition;
            (x, y) = On switch
            {
                Side.East => (s.MaxX + gap, s.MinY),
                Side.West => (s.MinX - gap - Width, s.MinY),
                Side.South => (s.MinX, s.MaxY + gap),
                _ => (s.MinX, s.MinY - gap - Depth),
            };
        }

        var room = new Room
        {
            Id = Names.Free(Name, job.Rooms.Select(r => r.Id)),
            Name = Name.Trim(),
            Kind = Kind,
            Storey = Storey,
            CeilingHeight = Ceiling,
            Outline = [new(x, y), new(x + Width, y), new(x + Width, y + Depth), new(x, y + Depth)],
        };
        return PlanEdit.Finish(job, job with { Rooms = job.Rooms.Add(room) });
    }
}

/// <summary>Changes a room's name, kind and ceiling.</summary>
/// <param name="Room">The room.</param>
/// <param name="Name">Its name.</param>
/// <param name="Kind">Its kind.</param>
/// <param name="Ceiling">Ceiling height.</param>
public sealed record EditRoom(string Room, string Name, RoomKind Kind, Length Ceiling) : JobCommand("edit room")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job) =>
        job.RoomById(Room) is { } room
            ? CommandResult.Checked(
                job with
                {
                    Rooms = job.Rooms.Replace(room, room with { Name = Name.Trim(), Kind = Kind, CeilingHeight = Ceiling }),
                }
            )
            : CommandResult.Refuse("That room is not there any more.");
}

/// <summary>Takes a room away with all that stands in it.</summary>
/// <param name="Room">The room.</param>
public sealed record RemoveRoom(string Room) : JobCommand("remove room")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        var appliances = job.Appliances.Where(a => a.Room == Room).Select(a => a.Id).ToHashSet();
        var kept = job with
        {
            Rooms = job.Rooms.RemoveAll(r => r.Id == Room),
            Openings = job.Openings.RemoveAll(o => o.Room == Room || o.To == Room),
            Counters = job.Counters.RemoveAll(c => c.Room == Room),
            Fixtures = job.Fixtures.RemoveAll(f => f.Room == Room),
            Appliances = job.Appliances.RemoveAll(a => a.Room == Room),
            Panels = job.Panels.RemoveAll(p => p.Room == Room),
            Walls = job.Walls.RemoveAll(w => w.Room == Room),
            Wishes = job.Wishes.RemoveAll(w => w.Room == Room),
            Decisions = job.Decisions with
            {
                Boxes = job.Decisions.Boxes.RemoveAll(b =>
                    b.Room == Room || ((b.Appliance ?? b.Serves) is { } a && appliances.Contains(a))
                ),
                Spaces = job.Decisions.Spaces.RemoveAll(s => job.Panels.Any(p => p.Room == Room && (p.Id == s.Panel || p.Id == s.Feeds))),
            },
        };
        return CommandResult.Checked(kept with { Decisions = BoxLayout.BoxProposal.DropLost(kept.Decisions) });
    }
}

/// <summary>Adds a storey over the highest one.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Floor">Height of its floor over the first floor.</param>
public sealed record AddStorey(string Name, Length Floor) : JobCommand("add storey")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job) =>
        CommandResult.Checked(
            job with
            {
                Storeys = job.Storeys.Add(
                    new Storey
                    {
                        Id = Names.Free(Name, job.Storeys.Select(s => s.Id)),
                        Name = Name.Trim(),
                        Floor = Floor,
                    }
                ),
            }
        );
}

/// <summary>Puts something on a wall: an opening, a counter, a fixture, an appliance or the panel.</summary>
/// <param name="What">
/// <c>opening:</c>, <c>fixture:</c> or <c>appliance:</c> with a kind or type as small words joined by dashes, or <c>counter</c>,
/// <c>panel</c> or <c>sub-panel</c>. Without the first part it is the first of these that knows the word.
/// </param>
/// <param name="Room">The room.</param>
/// <param name="Wall">Its wall.</param>
/// <param name="From">From the wall's first corner.</param>
/// <param name="Width">Width; for a panel its main breaker is set on the panel's ticket.</param>
/// <param name="To">For an opening, the room beyond or <c>outside</c>; empty for whatever is behind it.</param>
/// <param name="HingeAtFinish">The hinge, or a sliding panel, at the far jamb.</param>
public sealed record PutOnWall(string What, string Room, int Wall, Length From, Length Width, string To, bool HingeAtFinish)
    : JobCommand($"put {Pointing.Sort(What).Word.Replace('-', ' ')} on wall")
{
    /// <summary>Usual depth of things against a wall.</summary>
    private static readonly Dictionary<string, double> Depths = new()
    {
        ["counter"] = 25,
        ["sink"] = 22,
        ["basin"] = 18,
        ["tub"] = 30,
        ["shower"] = 36,
        ["toilet"] = 28,
        ["cabinet"] = 24,
        ["fireplace"] = 24,
    };

    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        var (sort, what) = Pointing.Sort(What);
        var depth = Length.Inches(Depths.GetValueOrDefault(what, 24));
        var spot = new Spot
        {
            Wall = Wall,
            From = From,
            Width = Width,
            Depth = depth,
        };
        var word = what.Replace("-", "", StringComparison.Ordinal);
        if (sort is "" or "opening" && Enum.TryParse<OpeningKind>(word, true, out var opening) && !int.TryParse(word, out _))
        {
            var (from, to) = (From, To.Length > 0 ? To : Opening.Outside);
            if (To.Length == 0 && job.RoomById(Room) is { } known && Wall >= 0 && Wall < known.Outline.Length)
                (from, to) = Pointing.Beyond(job, new RoomShape(known), Wall, From, Width);
            return CommandResult.Checked(
                job with
                {
                    Openings = job.Openings.Add(
                        new Opening
                        {
                            Id = Names.Free(what, job.Openings.Select(o => o.Id)),
                            Kind = opening,
                            Room = Room,
                            Wall = Wall,
                            From = from,
                            Width = Width,
                            To = to,
                            Hinge = HingeAtFinish ? End.Finish : End.Start,
                        }
                    ),
                }
            );
        }

        if (what == "counter")
            return CommandResult.Checked(
                job with
                {
                    Counters = job.Counters.Add(
                        new Counter
                        {
                            Id = Names.Free("counter", job.Counters.Select(c => c.Id)),
                            Room = Room,
                            Spot = spot,
                        }
                    ),
                }
            );
        if (what == "panel")
        {
            if (job.Panels.Length > 0)
                return CommandResult.Checked(
                    job with
                    {
                        Panels = job.Panels.SetItem(
                            0,
                            job.Panels[0] with
                            {
                                Room = Room,
                                Wall = Wall,
                                Along = From,
                                Top = job.Preferences.PanelTop,
                            }
                        ),
                    }
                );
            return CommandResult.Checked(
                job with
                {
                    Panels =
                    [
                        new Panel
                        {
                            Id = "main",
                            Name = "Main panel",
                            Room = Room,
                            Wall = Wall,
                            Along = From,
                        },
                    ],
                }
            );
        }

        if (what == "sub-panel")
            return new AddSubPanel(Room, Wall, From).Apply(job);
        if (sort is "" or "fixture" && Enum.TryParse<FixtureKind>(word, true, out var fixture) && !int.TryParse(word, out _))
            return CommandResult.Checked(
                job with
                {
                    Fixtures = job.Fixtures.Add(
                        new Fixture
                        {
                            Id = Names.Free(what, job.Fixtures.Select(f => f.Id)),
                            Kind = fixture,
                            Room = Room,
                            Spot = spot,
                        }
                    ),
                }
            );
        if (sort is not ("" or "appliance") || !CodeLibrary.Appliances.ContainsKey(what))
            return CommandResult.Refuse($"'{What}' is not something that can be put on a wall.");
        return CommandResult.Checked(
            job with
            {
                Appliances = job.Appliances.Add(
                    new Appliance
                    {
                        Id = Names.Free(what, job.Appliances.Select(a => a.Id)),
                        Type = what,
                        Room = Room,
                        Spot = spot,
                    }
                ),
            }
        );
    }
}

/// <summary>Takes an opening, counter, fixture or appliance away.</summary>
/// <param name="Thing">Its kind and id, such as <c>opening:o3</c>.</param>
public sealed record RemoveThing(string Thing) : JobCommand("remove")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        var id = Thing[(Thing.IndexOf(':', StringComparison.Ordinal) + 1)..];
        var left = Thing.Split(':')[0] switch
        {
            "opening" => job with { Openings = job.Openings.RemoveAll(o => o.Id == id) },
            "counter" => job with { Counters = job.Counters.RemoveAll(c => c.Id == id) },
            "fixture" => job with { Fixtures = job.Fixtures.RemoveAll(f => f.Id == id) },
            "wish" => job with { Wishes = job.Wishes.RemoveAll(w => w.Id == id) },
            "appliance" => job with
            {
                Appliances = job.Appliances.RemoveAll(a => a.Id == id),
                Decisions = BoxLayout.BoxProposal.DropLost(
                    job.Decisions with
                    {
                        Boxes = job.Decisions.Boxes.RemoveAll(b => b.Appliance == id || b.Serves == id),
                        Refused = job.Decisions.Refused.RemoveAll(r => r.Appliance == id),
                    }
                ),
            },
            _ => job,
        };
        var same =
            left.Openings.Length == job.Openings.Length
            && left.Counters.Length == job.Counters.Length
            && left.Fixtures.Length == job.Fixtures.Length
            && left.Appliances.Length == job.Appliances.Length
            && left.Wishes.Length == job.Wishes.Length;
        return same ? CommandResult.Refuse("That is not there any more.") : CommandResult.Checked(left);
    }
}

/// <summary>Sets an appliance's nameplate.</summary>
/// <param name="Appliance">The appliance.</param>
/// <param name="Plate">What the plate says.</param>
/// <param name="Name">What it is called, or empty.</param>
public sealed record SetNameplate(string Appliance, Nameplate Plate, string Name) : JobCommand("set nameplate")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job) =>
        job.ApplianceById(Appliance) is { } appliance
            ? Replanned(
                CommandResult.Checked(
                    job with
                    {
                        Appliances = job.Appliances.Replace(appliance, appliance with { Nameplate = Plate, Name = Name.Trim() }),
                    }
                )
            )
            : CommandResult.Refuse("That appliance is not there any more.");

    // Another voltage may need another number of spaces; the breakers that stand stay while they can.
    private static CommandResult Replanned(CommandResult result) =>
        result.Job is { Decisions.Circuits.Length: > 0 } job ? new(Planner.PlanSpaces(job), "") : result;
}

/// <summary>Changes the job's head, frame, preferences or panel as a whole.</summary>
/// <param name="Change">Gives the changed job.</param>
/// <param name="What">What undo calls it.</param>
public sealed record EditJob(Func<Job, Job> Change, string What) : JobCommand(What)
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job) => CommandResult.Checked(Change(job));
}

/// <summary>Makes ids.</summary>
public static class Names
{
    /// <summary>An id made of a name that none of the others has.</summary>
    public static string Free(string name, IEnumerable<string> taken)
    {
        var stem = new string([.. name.Trim().ToLowerInvariant().Select(c => c is >= 'a' and <= 'z' or >= '0' and <= '9' ? c : '-')]).Trim(
            '-'
        );
        while (stem.Contains("--", StringComparison.Ordinal))
            stem = stem.Replace("--", "-", StringComparison.Ordinal);
        if (stem.Length == 0)
            stem = "item";
        if (stem.Length > 40)
            stem = stem[..40].TrimEnd('-');
        var ids = taken.ToHashSet();
        var id = stem;
        for (var n = 2; ids.Contains(id); n++)
            id = $"{stem}-{n}";
        return id;
    }
}
