using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Panels;

namespace Circuitum.Core.Commands;

/// <summary>Moves a breaker to a space; one-pole breakers that are in the way change places with it.</summary>
/// <param name="Circuit">The circuit; 0 for a feeder.</param>
/// <param name="Space">The space, for a two-pole breaker its upper one.</param>
/// <param name="Panel">The panel; none leaves it in its own.</param>
/// <param name="Feeds">The sub-panel whose feeder it is, or none.</param>
public sealed record MoveBreaker(int Circuit, int Space, string? Panel = null, string? Feeds = null) : JobCommand("move breaker")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        var analysis = HouseDeriver.Derive(job);
        var circuit = Feeds is null ? analysis.CircuitByNumber(Circuit) : null;
        var feeder = Feeds is null ? null : analysis.Panels.FirstOrDefault(p => p.Panel.Id == Feeds)?.Feeder;
        if ((circuit is null && feeder is null) || analysis.PanelById(Panel ?? circuit?.Panel ?? feeder?.From) is not { } at) return CommandResult.Refuse($"There is no circuit {Circuit} in a panel.");
        if (Panel is not null && at.Panel.Id != Panel) return CommandResult.Refuse("That panel is not there any more.");
        if (feeder is not null && at.Panel.Id != feeder.From) return CommandResult.Refuse("A feeder's breaker is in the panel that feeds.");

        // A breaker that opens together with another takes it along.
        var mate = circuit?.Pair is { Kind: PairKind.SharedNeutral } pair ? (int?)pair.MateOf(Circuit) : null;
        if (circuit?.Pair is { } any && at.Panel.Id != circuit.Panel) return CommandResult.Refuse($"Circuit {Circuit} shares its home run with circuit {any.MateOf(Circuit)}. Give each its cable first.");
        var poles = mate is null ? circuit?.Poles ?? 2 : 2;
        var wanted = SpacePlan.Taken(Space, poles).ToList();
        if (Space < 1 || wanted.Any(s => s > at.Panel.Spaces)) return CommandResult.Refuse($"The panel has spaces 1 to {at.Panel.Spaces}{(poles == 2 ? "; a two-pole breaker takes a space and the one below it in its column" : "")}.");
        var there = at.Schedule.Where(r => wanted.Contains(r.Space)).ToList();
        if (there.FirstOrDefault(r => r.Feeder is not null && r.Feeder != feeder) is { } fed) return CommandResult.Refuse($"The feeder of {job.Panels.First(p => p.Id == fed.Feeder!.To).Name} is in space {fed.Space}. Move it first.");
        var inTheWay = there.Where(r => r.Circuit is not null && r.Circuit != circuit && r.Circuit.Number != mate).Select(r => r.Circuit!).Distinct().ToList();
        if (inTheWay.FirstOrDefault(c => job.Decisions.Spaces.Any(s => s.Circuit == c.Number && s.By == Maker.Person)) is { } held)
            return CommandResult.Refuse($"Circuit {held.Number} was put there by a person. Move it first.");
        bool Own(SpaceDecision s) => feeder is null ? s.Feeds is null && s.Circuit == Circuit : s.Feeds == Feeds;
        var spaces = job.Decisions.Spaces.Where(s => !Own(s) && (mate is null || s.Circuit != mate) && inTheWay.All(c => c.Number != s.Circuit)).ToList();
        var old = job.Decisions.Spaces.FirstOrDefault(Own);
        spaces.Add(new SpaceDecision { Panel = at.Panel.Id, Circuit = feeder is null ? Circuit : 0, Feeds = Feeds, Space = Space, By = Maker.Person });
        if (mate is { } tied) spaces.Add(new SpaceDecision { Panel = at.Panel.Id, Circuit = tied, Space = Space + 2, By = Maker.Person });
        else if (old is not null && old.Panel == at.Panel.Id && inTheWay is [var other] && other.Poles == poles) spaces.Add(new SpaceDecision { Panel = at.Panel.Id, Circuit = other.Number, Space = old.Space, By = Maker.Planner });

        // What was in the way stays in its panel, wherever there is room.
        foreach (var c in inTheWay.Where(c => spaces.All(s => s.Circuit != c.Number)))
        {
            if (FreeSpace.In(at, spaces, c.Poles) is { } space) spaces.Add(new SpaceDecision { Panel = at.Panel.Id, Circuit = c.Number, Space = space, By = Maker.Planner });
        }

        return CommandResult.Checked(Planner.PlanSpaces(job with { Decisions = job.Decisions with { Spaces = [.. spaces] } }));
    }
}

/// <summary>Moves a circuit to another panel, into the first space that is free there.</summary>
/// <param name="Circuit">The circuit.</param>
/// <param name="Panel">The panel.</param>
public sealed record MoveToPanel(int Circuit, string Panel) : JobCommand("move a circuit to another panel")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        var analysis = HouseDeriver.Derive(job);
        if (analysis.CircuitByNumber(Circuit) is not { } circuit) return CommandResult.Refuse($"There is no circuit {Circuit}.");
        if (analysis.Panels.FirstOrDefault(p => p.Panel.Id == Panel) is not { } at) return CommandResult.Refuse("That panel is not there any more.");
        if (circuit.Panel == Panel) return CommandResult.Refuse($"Circuit {Circuit} is in {at.Panel.Name} already.");
        if (circuit.Pulled is not null) return CommandResult.Refuse($"The home run of circuit {Circuit} is pulled to another panel. Take back the tick first.");
        return FreeSpace.In(at, job.Decisions.Spaces, circuit.Poles) is { } space
            ? new MoveBreaker(Circuit, space, Panel).Apply(job)
            : CommandResult.Refuse($"{at.Panel.Name} has no {(circuit.Poles == 2 ? "two spaces one under the other" : "space")} left.");
    }
}

/// <summary>Finds room in a panel.</summary>
internal static class FreeSpace
{
    internal static int? In(PanelAnalysis at, IReadOnlyCollection<SpaceDecision> decided, int poles)
    {
        var taken = at.Schedule.Where(r => !r.Free && decided.Any(d => d.Panel == at.Panel.Id && (r.Circuit is { } c ? d.Circuit == c.Number : d.Feeds == r.Feeder!.To))).Select(r => r.Space).Concat(decided.Where(d => d.Panel == at.Panel.Id).Select(d => d.Space)).ToHashSet();
        var free = Enumerable.Range(1, at.Panel.Spaces).Where(s => SpacePlan.Taken(s, poles).All(t => t <= at.Panel.Spaces && !taken.Contains(t)));
        return free.Select(s => (int?)s).FirstOrDefault();
    }
}

/// <summary>Changes a panel.</summary>
/// <param name="Panel">The panel.</param>
/// <param name="Change">Gives the changed one.</param>
public sealed record EditPanel(string Panel, Func<Panel, Panel> Change) : JobCommand("edit the panel")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.Panels.FirstOrDefault(p => p.Id == Panel) is not { } panel) return CommandResult.Refuse("That panel is not there any more.");
        var changed = Change(panel);
        var result = CommandResult.Checked(job with
        {
            Panels = job.Panels.Replace(panel, changed),
            Decisions = job.Decisions with { Spaces = [.. job.Decisions.Spaces.Where(s => (s.Panel != Panel || s.Space <= changed.Spaces) && (s.Feeds != Panel || s.Panel == changed.FedFrom))] },
        });
        return result.Job is { } done ? CommandResult.Checked(Planner.PlanSpaces(done)) : result;
    }
}

/// <summary>Puts a sub-panel on a wall, fed from the panel at the service.</summary>
/// <param name="Room">The room.</param>
/// <param name="Wall">Its wall.</param>
/// <param name="Along">From the wall's first corner to its centre.</param>
public sealed record AddSubPanel(string Room, int Wall, Length Along) : JobCommand("add a sub-panel")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.Panels is not [var main, ..]) return CommandResult.Refuse("Put the panel at the service on a wall first.");
        if (job.RoomById(Room) is not { } room) return CommandResult.Refuse("That room is not there any more.");
        var sub = new Panel { Id = Names.Free("sub", job.Panels.Select(p => p.Id)), Name = $"{room.Name} panel", Room = Room, Wall = Wall, Along = Along, Top = job.Preferences.PanelTop, FedFrom = main.Id, MainBreaker = 100, Spaces = 20, BreakerFamily = main.BreakerFamily };
        var result = CommandResult.Checked(job with { Panels = job.Panels.Add(sub) });
        return result.Job is { } added ? CommandResult.Checked(Planner.PlanSpaces(added)) : result;
    }
}

/// <summary>Takes a sub-panel away; its circuits go back to the panel that fed it, as far as there is room.</summary>
/// <param name="Panel">The sub-panel.</param>
public sealed record RemoveSubPanel(string Panel) : JobCommand("remove the sub-panel")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.Panels.FirstOrDefault(p => p.Id == Panel) is not { FedFrom: not null } sub) return CommandResult.Refuse("Only a sub-panel can be taken away.");
        if (job.Panels.FirstOrDefault(p => p.FedFrom == Panel) is { } below) return CommandResult.Refuse($"It feeds {below.Name}. Take that one away first.");
        return CommandResult.Checked(Planner.PlanSpaces(job with { Panels = job.Panels.Remove(sub), Decisions = job.Decisions with { Spaces = job.Decisions.Spaces.RemoveAll(s => s.Panel == Panel || s.Feeds == Panel) } }));
    }
}
