using System.Collections.Immutable;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Circuits;
using Circuitum.Core.Intake;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Commands;

/// <summary>What came of a command: a new job, or why not.</summary>
/// <param name="Job">The changed job, or none.</param>
/// <param name="Problem">A sentence, when there is no job.</param>
public sealed record CommandResult(Job? Job, string Problem)
{
    /// <summary>A changed job, if it passes the rules of the document; else the first thing that is wrong with it.</summary>
    public static CommandResult Checked(Job job)
    {
        // A circuit that went takes its shared home run along, and a room what was wanted of it.
        job = job with { Decisions = job.Decisions.WithoutLostPairs() };
        if (job.Decisions.Pins.Any(p => !Stands(p)))
            job = job with { Decisions = job.Decisions with { Pins = [.. job.Decisions.Pins.Where(Stands)] } };
        return JobRules.Check(job) is [var first, ..] ? new(null, first.Sentence) : new(job, "");

        bool Stands(RoomPin pin) => job.RoomById(pin.Room) is not null && (pin.Other is null || job.RoomById(pin.Other) is not null);
    }

    /// <summary>A refusal.</summary>
    public static CommandResult Refuse(string sentence) => new(null, sentence);
}

/// <summary>An edit of a job. Pure: it takes a job and gives another, or a sentence that says why not.</summary>
/// <param name="Title">What undo calls it.</param>
public abstract record JobCommand(string Title)
{
    /// <summary>Does it.</summary>
    public abstract CommandResult Apply(Job job);

    /// <summary>
    /// What it moves a little, so that a row of such steps becomes one state of the history; none for what stands by itself.
    /// </summary>
    public virtual string? Nudges => null;
}

/// <summary>Proposes the boxes of a room or of the house.</summary>
/// <param name="Room">A room, or none for the house.</param>
public sealed record ProposeBoxes(string? Room) : JobCommand("propose boxes")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job) => CommandResult.Checked(BoxProposal.Propose(job, Room));
}

/// <summary>Divides loose boxes into circuits and gives new breakers a space.</summary>
/// <param name="Afresh">Take back the planner's own circuits first.</param>
public sealed record PlanCircuits(bool Afresh) : JobCommand("plan circuits")
{
    /// <summary>Who looks on and may end it early; none for nobody.</summary>
    public PlanWatch? Watch { get; init; }

    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        var planner = new SearchCircuitPlanner(PlanEffort.Full, Watch);
        return CommandResult.Checked(Afresh ? Planner.PlanAfresh(job, planner) : Planner.PlanCircuits(job, planner));
    }
}

/// <summary>Lays the planner's breakers out again.</summary>
public sealed record LayOutPanel() : JobCommand("lay out the panel")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job) => CommandResult.Checked(Planner.PlanSpaces(job, afresh: true));
}

/// <summary>Takes a circuit and its breaker away; its boxes are loose again.</summary>
/// <param name="Number">The circuit.</param>
public sealed record RemoveCircuit(int Number) : JobCommand("remove circuit")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job) =>
        job.Decisions.Circuits.FirstOrDefault(c => c.Number == Number) is { } circuit
            ? CommandResult.Checked(
                job with
                {
                    Decisions = job.Decisions with
                    {
                        Circuits = job.Decisions.Circuits.Remove(circuit),
                        Spaces = job.Decisions.Spaces.RemoveAll(s => s.Circuit == Number),
                    },
                }
            )
            : CommandResult.Refuse($"There is no circuit {Number}.");
}

/// <summary>Locks a circuit, so that the planner adds nothing and takes nothing away, or opens it again.</summary>
/// <param name="Number">The circuit.</param>
/// <param name="Locked">Lock it.</param>
public sealed record LockCircuit(int Number, bool Locked) : JobCommand(Locked ? "lock circuit" : "unlock circuit")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job) =>
        job.Decisions.Circuits.FirstOrDefault(c => c.Number == Number) is { } circuit
            ? CommandResult.Checked(
                job with
                {
                    Decisions = job.Decisions with { Circuits = job.Decisions.Circuits.Replace(circuit, circuit with { Locked = Locked }) },
                }
            )
            : CommandResult.Refuse($"There is no circuit {Number}.");
}

/// <summary>Puts all of one circuit on another; its breaker goes.</summary>
/// <param name="From">The circuit that goes.</param>
/// <param name="Into">The circuit that stays.</param>
public sealed record MergeCircuits(int From, int Into) : JobCommand("merge circuits")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (From == Into)
            return CommandResult.Refuse("Choose another circuit to merge with.");
        if (job.Decisions.Circuits.FirstOrDefault(c => c.Number == From) is not { } from)
            return CommandResult.Refuse($"There is no circuit {From}.");
        if (job.Decisions.Circuits.FirstOrDefault(c => c.Number == Into) is not { } into)
            return CommandResult.Refuse($"There is no circuit {Into}.");
        if (from.Locked || into.Locked)
            return CommandResult.Refuse($"Circuit {(from.Locked ? From : Into)} is locked. Unlock it first.");
        var merged = into with { Boxes = [.. into.Boxes, .. from.Boxes.Select(b => b with { By = Maker.Person })] };
        var circuits = job.Decisions.Circuits.Remove(from).Replace(into, merged);
        return CommandResult.Checked(
            Planner.PlanSpaces(
                job with
                {
                    Decisions = job.Decisions with
                    {
                        Circuits = circuits,
                        Spaces = job.Decisions.Spaces.RemoveAll(s => s.Circuit == From),
                        Pulled = [.. job.Decisions.Pulled.Select(p => p.Circuit == From ? p with { Circuit = Into } : p)],
                    },
                }
            )
        );
    }
}

/// <summary>Takes a whole plan with an aim, as the comparison shows it.</summary>
/// <param name="Aim">The aim's name.</param>
public sealed record TakePlan(string Aim) : JobCommand("take plan")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job) =>
        PlanChoices.Aims.Where(a => a.Name == Aim).Select(a => CommandResult.Checked(PlanChoices.Plan(job, a.Weights))).FirstOrDefault()
        ?? CommandResult.Refuse("There is no such plan.");
}

/// <summary>Changes what a person may set on a circuit.</summary>
/// <param name="Number">The circuit.</param>
/// <param name="Label">Text for the directory; empty goes back to the written one.</param>
/// <param name="Breaker">Rating; none goes back to the sized one.</param>
/// <param name="Protection">Place of the ground-fault device; none follows the job.</param>
/// <param name="Own">Preferences of its own, by key; none or empty follows the job in all.</param>
public sealed record EditCircuit(
    int Number,
    string? Label,
    int? Breaker,
    ProtectionPlace? Protection,
    ImmutableSortedDictionary<string, string>? Own = null
) : JobCommand("edit circuit")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.Decisions.Circuits.FirstOrDefault(c => c.Number == Number) is not { } circuit)
            return CommandResult.Refuse($"There is no circuit {Number}.");
        var changed = circuit with
        {
            Label = string.IsNullOrWhiteSpace(Label) ? null : Label.Trim(),
            Breaker = Breaker,
            Protection = Protection,
            Preferences = Own is { Count: > 0 } ? Own : null,
        };
        return CommandResult.Checked(
            job with
            {
                Decisions = job.Decisions with { Circuits = job.Decisions.Circuits.Replace(circuit, changed) },
            }
        );
    }
}

/// <summary>Writes the texts of many circuits for the directory at once.</summary>
/// <param name="Labels">Text by circuit; empty, or the one that is written for it, goes back to the written one.</param>
public sealed record SetLabels(ImmutableSortedDictionary<int, string> Labels) : JobCommand("write the labels")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (Labels.Keys.Where(n => job.Decisions.Circuits.All(c => c.Number != n)).ToList() is [var gone, ..])
            return CommandResult.Refuse($"There is no circuit {gone} any more.");
        if (Labels.FirstOrDefault(l => l.Value.Trim().Length > JobRules.LongestName) is { Value: not null } longer)
            return CommandResult.Refuse(
                $"Label of circuit {longer.Key}: it has {longer.Value.Trim().Length} characters; the most is {JobRules.LongestName}."
            );
        return CommandResult.Checked(
            job with
            {
                Decisions = job.Decisions with
                {
                    Circuits =
                    [
                        .. job.Decisions.Circuits.Select(c =>
                            Labels.TryGetValue(c.Number, out var text)
                                ? c with
                                {
                                    Label = string.IsNullOrWhiteSpace(text) ? null : text.Trim(),
                                }
                                : c
                        ),
                    ],
                },
            }
        );
    }
}
