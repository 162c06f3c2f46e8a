using Circuitum.Core.Analysis;
using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;
using Circuitum.Core.Panels;
using Circuitum.Core.Planning;

namespace Circuitum.Core.Commands;

/// <summary>Moves a breaker to a space; one-pole breakers that are in the way change places with it.</summary>
/// <param name="Circuit">The circuit; 0 for a feeder.</param>
/// <param name="Space">The space, for a two-pole breaker its upper one.</param>
/// <param name="Panel">The panel; none leaves it in its own.</param>
/// <param name="Feeds">The sub-panel whose feeder it is, or none.</param>
/// <param name="Half">Half of the space, as one of two in a tandem.</param>
public sealed record MoveBreaker(int Circuit, int Space, string? Panel = null, string? Feeds = null, TandemHalf Half = TandemHalf.Whole)
    : JobCommand("move breaker")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        var analysis = HouseDeriver.Derive(job);
        var circuit = Feeds is null ? analysis.CircuitByNumber(Circuit) : null;
        var feeder = Feeds is null ? null : analysis.Panels.FirstOrDefault(p => p.Panel.Id == Feeds)?.Feeder;
        if ((circuit is null && feeder is null) || analysis.PanelById(Panel ?? circuit?.Panel ?? feeder?.From) is not { } at)
            return CommandResult.Refuse($"There is no circuit {Circuit} in a panel.");
        if (Panel is not null && at.Panel.Id != Panel)
            return CommandResult.Refuse("That panel is not there any more.");
        if (feeder is not null && at.Panel.Id != feeder.From)
            return CommandResult.Refuse("A feeder's breaker is in the panel that feeds.");

        // A breaker that opens together with another takes it along.
        var mate = circuit?.Pair is { Kind: PairKind.SharedNeutral } pair ? (int?)pair.MateOf(Circuit) : null;
        if (circuit?.Pair is { } any && at.Panel.Id != circuit.Panel)
            return CommandResult.Refuse(
                $"Circuit {Circuit} shares its home run with circuit {any.MateOf(Circuit)}. Give each its cable first."
            );
        var supply = analysis.Edition.Supply;
        var poles = mate is null ? circuit?.Poles ?? supply.Names.Length : 2;

        // On a split board what is on all lines takes the whole way.
        var first = analysis.Edition.Board is not null && poles > 1 ? WayPlan.First(WayPlan.WayOf(Space)) : Space;
        var wanted = supply.Taken(first, poles).ToList();
        if (first < 1 || wanted.Any(s => s > at.Panel.Spaces))
            return CommandResult.Refuse(
                $"The {analysis.Edition.Word("panel")} has {analysis.Edition.Word("spaces")} 1 to {at.Panel.Spaces}"
                    + (
                        poles == 2 && analysis.Edition.Board is null
                            ? "; a two-pole breaker takes a space and the one below it in its column."
                            : "."
                    )
            );
        bool FitsHalf(CircuitAnalysis c) => PanelDeriver.Need(job, c).FitsHalf;
        if (Half != TandemHalf.Whole && !at.Panel.TakesTandem(Space))
            return CommandResult.Refuse(
                $"Space {Space} of {at.Panel.Name} does not take a tandem, as far as the panel's listing is entered."
            );
        if (Half != TandemHalf.Whole && (circuit is null || !FitsHalf(circuit)))
            return CommandResult.Refuse(
                $"{(circuit is null ? "A feeder's breaker" : $"Circuit {Circuit}")} needs a whole space: a tandem serves "
                    + "one-pole circuits without protection at the breaker and without a shared neutral."
            );

        // Beside the half that is wanted another may stay; one that fills the space moves up or down in it when it can.
        var there = at
            .Schedule.Where(r =>
                wanted.Contains(r.Space)
                && (
                    Half == TandemHalf.Whole
                    || r.Half == Half
                    || (r.Half == TandemHalf.Whole && !(r.Circuit is { } whole && FitsHalf(whole)))
                )
            )
            .ToList();
        if (there.FirstOrDefault(r => r.Feeder is not null && r.Feeder != feeder) is { } fed)
            return CommandResult.Refuse(
                $"The feeder of {job.Panels.First(p => p.Id == fed.Feeder!.To).Name} is in space {fed.Space}. Move it first."
            );
        var inTheWay = there
            .Where(r => r.Circuit is not null && r.Circuit != circuit && r.Circuit.Number != mate)
            .Select(r => r.Circuit!)
            .Distinct()
            .ToList();
        if (inTheWay.FirstOrDefault(c => job.Decisions.Spaces.Any(s => s.Circuit == c.Number && s.By == Origin.Person)) is { } held)
            return CommandResult.Refuse($"Circuit {held.Number} was put there by a person. Move it first.");
        bool Own(SpaceDecision s) => feeder is null ? s.Feeds is null && s.Circuit == Circuit : s.Feeds == Feeds;
        var spaces = job
            .Decisions.Spaces.Where(s => !Own(s) && (mate is null || s.Circuit != mate) && inTheWay.All(c => c.Number != s.Circuit))
            .ToList();
        var old = job.Decisions.Spaces.FirstOrDefault(Own);
        if (
            Half != TandemHalf.Whole
            && spaces.FindIndex(s => s.Panel == at.Panel.Id && s.Space == Space && s.Half == TandemHalf.Whole) is var beside and >= 0
        )
            spaces[beside] = spaces[beside] with { Half = Half == TandemHalf.Upper ? TandemHalf.Lower : TandemHalf.Upper };
        spaces.Add(
            new SpaceDecision
            {
                Panel = at.Panel.Id,
                Circuit = feeder is null ? Circuit : 0,
                Feeds = Feeds,
                Space = first,
                Half = Half,
                Family = old?.Panel == at.Panel.Id ? old.Family : null,
                By = Origin.Person,
            }
        );
        if (mate is { } tied)
            spaces.Add(
                new SpaceDecision
                {
                    Panel = at.Panel.Id,
                    Circuit = tied,
                    Space = Space + 2,
                    By = Origin.Person,
                }
            );
        else if (
            old is not null
            && old.Panel == at.Panel.Id
            && inTheWay is [var other]
            && other.Poles == poles
            && (old.Half == TandemHalf.Whole || FitsHalf(other))
        )
            spaces.Add(
                new SpaceDecision
                {
                    Panel = at.Panel.Id,
                    Circuit = other.Number,
                    Space = old.Space,
                    Half = old.Half,
                    By = Origin.Planner,
                }
            );

        // What was in the way stays in its panel, wherever there is room.
        foreach (var c in inTheWay.Where(c => spaces.All(s => s.Circuit != c.Number)))
        {
            if (FreeSpace.In(at, spaces, PanelDeriver.Need(job, c)) is { } free)
                spaces.Add(
                    new SpaceDecision
                    {
                        Panel = at.Panel.Id,
                        Circuit = c.Number,
                        Space = free.Space,
                        Half = free.Half,
                        By = Origin.Planner,
                    }
                );
        }

        return CommandResult.Checked(Planner.PlanSpaces(job with { Decisions = job.Decisions with { Spaces = [.. spaces] } }));
    }
}
