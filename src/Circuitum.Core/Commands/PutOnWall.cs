using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Drafting;
using Circuitum.Core.Edits;
using Circuitum.Core.Entry;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Commands;

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
/// <param name="Hinge">The jamb at which its hinge is, or a sliding panel.</param>
public sealed record PutOnWall(string What, string Room, int Wall, Length From, Length Width, string To = "", End Hinge = End.Start)
    : JobCommand($"put {Pointing.Sort(What).Word.Replace('-', ' ')} on wall")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        var (sort, what) = Pointing.Sort(What);
        var spot = new Spot
        {
            Wall = Wall,
            From = From,
            Width = Width,
            Depth = Depth(what),
        };
        var word = what.Replace("-", "", StringComparison.Ordinal);
        if (sort is "" or "opening" && Enum.TryParse<OpeningKind>(word, true, out var opening) && !int.TryParse(word, out _))
        {
            var (from, to) = (From, To.Length > 0 ? To : Opening.Outside);
            if (To.Length == 0 && job.RoomById(Room) is { } known && Wall >= 0 && Wall < known.Outline.Length)
                (from, to) = Beyond.Of(job, new RoomShape(known), Wall, From, Width);
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
                            Hinge = Hinge,
                            SwingsIn = opening != OpeningKind.Hinged || !Doors.SwingsInto(job.RoomById(Room)!, job.RoomById(to)),
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

    private static Length Depth(string what) =>
        CodeLibrary.Appliances.TryGetValue(what, out var type) ? ThingSizes.Of(type).Deep
        : Enum.TryParse<FixtureKind>(what, true, out var kind) && Enum.IsDefined(kind) ? ThingSizes.Of(kind).Deep
        : ThingSizes.CounterDepth;
}
