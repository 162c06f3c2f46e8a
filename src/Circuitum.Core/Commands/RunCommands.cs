using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Commands;

/// <summary>Leads a cable over a place of the plan, or by the shortest way again.</summary>
/// <param name="From">The box it comes from, or none for the panel.</param>
/// <param name="To">The box in which it ends.</param>
/// <param name="Storey">The storey on whose plan the place is.</param>
/// <param name="Over">The place, or none for the shortest way.</param>
public sealed record LeadCable(string? From, string To, string Storey, Point? Over)
    : JobCommand(Over is null ? "take the shortest way" : "lead a cable another way")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        var rest = job.Decisions.Ways.RemoveAll(w => w.From == From && w.To == To);
        if (Over is not { } over)
            return rest.Length == job.Decisions.Ways.Length
                ? CommandResult.Refuse("That cable takes its shortest way already.")
                : CommandResult.Checked(job with { Decisions = job.Decisions with { Ways = rest } });
        var now = HouseDeriver.Derive(job);
        if (now.CircuitOf(To) is not { } circuit || circuit.Run.Cables.FirstOrDefault(h => h.From == From && h.To == To) is not { } hop)
            return CommandResult.Refuse("There is no such cable any more.");
        if (hop.Via is not null)
            return CommandResult.Refuse(
                $"The home run of circuit {circuit.Number} is in the cable of circuit {circuit.Pair!.First}. Lead that one."
            );
        if (circuit.Pulled is not null && From is null)
            return CommandResult.Refuse($"The home run of circuit {circuit.Number} is pulled. Take back the tick first.");
        if (circuit.Circuit.Run is { } locked && locked.Any(c => c.From == From && c.To == To))
            return CommandResult.Refuse($"The run of circuit {circuit.Number} is locked. Unlock it first.");
        var led = CommandResult.Checked(
            job with
            {
                Decisions = job.Decisions with
                {
                    Ways = rest.Add(
                        new RunWay
                        {
                            From = From,
                            To = To,
                            Storey = Storey,
                            Over = over,
                        }
                    ),
                },
            }
        );
        if (led.Job is null)
            return led;
        return HouseDeriver.Derive(led.Job).RouteOf(hop).Pieces.SequenceEqual(now.RouteOf(hop).Pieces)
            ? CommandResult.Refuse("That leads the cable no other way: nothing is open over or under that place, or it goes there already.")
            : led;
    }
}

/// <summary>Leads a cable over the middle of a room, or under it.</summary>
/// <param name="From">The box it comes from, or none for the panel.</param>
/// <param name="To">The box in which it ends.</param>
/// <param name="Room">The room.</param>
public sealed record LeadOverRoom(string? From, string To, string Room) : JobCommand("lead a cable another way")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job) =>
        job.RoomById(Room) is { } room
            ? new LeadCable(From, To, room.Storey, HouseShape.Of(job)[Room].Centre).Apply(job)
            : CommandResult.Refuse("That room is not there any more.");
}

/// <summary>Lets no cable through the studs of a wall, or lets it through again.</summary>
/// <param name="Room">The room from which it is named.</param>
/// <param name="Wall">Its wall.</param>
/// <param name="Closed">No cable.</param>
public sealed record CloseWall(string Room, int Wall, bool Closed)
    : JobCommand(Closed ? "keep cable out of a wall" : "let cable through a wall")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.RoomById(Room) is not { } room || Wall < 0 || Wall >= room.Outline.Length)
            return CommandResult.Refuse("That wall is not there any more.");
        var house = HouseShape.Of(job);
        var body = WallBody.Of(house, house[Room], Wall);
        var fact = body.Fact
            ?? new WallFact
            {
                Room = Room,
                Wall = Wall,
                Build = body.Build,
                Bearing = body.Bearing,
            };
        return CommandResult.Checked(
            job with
            {
                Walls = job.Walls.RemoveAll(w => w.Room == fact.Room && w.Wall == fact.Wall).Add(fact with { NoCable = Closed }),
            }
        );
    }
}

/// <summary>Says how a cable that leaves the house is run on its way to a box.</summary>
/// <param name="To">The box.</param>
/// <param name="Change">What is said, from what is said so far.</param>
public sealed record SetOutsideRun(string To, Func<OutsideRun, OutsideRun> Change) : JobCommand("say how a run outside is made")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        var a = HouseDeriver.Derive(job);
        if (a.Panels.FirstOrDefault(p => p.Panel.Id == To && p.Feeder is not null) is { Feeder: { } feeder } at)
        {
            if (feeder.Run is { Outside: null, Bends: null })
                return CommandResult.Refuse($"The feeder of {at.Panel.Name} is cable inside the house.");
        }
        else if (a.Outside.All(o => o.Hop.To != To))
            return CommandResult.Refuse("No cable to that box leaves the house.");

        var said = Change(Routing.Burial.Said(job, To) ?? new OutsideRun { To = To });
        var rest = job.Decisions.Outside.RemoveAll(o => o.To == To);
        var nothing = said is { Method: null, Depth: null, Driveway: false, Bends: null, Extra: null };
        return CommandResult.Checked(job with { Decisions = job.Decisions with { Outside = nothing ? rest : rest.Add(said) } });
    }
}

/// <summary>Locks all cables of a circuit as they are planned now, because they are in the frame, or frees them.</summary>
/// <param name="Circuit">The circuit.</param>
/// <param name="Locked">Lock.</param>
public sealed record LockRun(int Circuit, bool Locked) : JobCommand(Locked ? "lock a run" : "unlock a run")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.Decisions.Circuits.FirstOrDefault(c => c.Number == Circuit) is not { } circuit)
            return CommandResult.Refuse($"There is no circuit {Circuit}.");
        ImmutableArray<LockedCable>? run = null;
        if (Locked)
        {
            if (HouseDeriver.Derive(job).CircuitByNumber(Circuit) is not { Run.First: not null } c)
                return CommandResult.Refuse($"Circuit {Circuit} has no cable yet.");
            run =
            [
                .. c.Run.Cables.Select(h => new LockedCable
                {
                    From = h.From,
                    To = h.To,
                    Use = h.Use,
                }),
            ];
        }

        return CommandResult.Checked(
            job with
            {
                Decisions = job.Decisions with { Circuits = job.Decisions.Circuits.Replace(circuit, circuit with { Run = run }) },
            }
        );
    }
}
