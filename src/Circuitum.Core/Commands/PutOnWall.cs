using Circuitum.Core.Drafting;
using Circuitum.Core.Edits;
using Circuitum.Core.Entry;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Planning;

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
            Depth = WallThings.SizeOf(what).Deep,
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

        var (put, problem) = WallThings.Put(job, sort, what, Room, spot);
        if (put is null)
            return CommandResult.Refuse(problem);
        var result = CommandResult.Checked(put);
        return what == WallThings.SubPanel && result.Job is { } fed ? CommandResult.Checked(Planner.PlanSpaces(fed)) : result;
    }
}
