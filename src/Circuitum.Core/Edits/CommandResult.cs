using Circuitum.Core.Intake;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Edits;

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
