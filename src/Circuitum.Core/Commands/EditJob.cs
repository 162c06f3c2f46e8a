using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Planning;

namespace Circuitum.Core.Commands;

/// <summary>Sets the head of a job, its frame and its preferences.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Place">Where it is.</param>
/// <param name="PermitDate">The day of the permit, or none.</param>
/// <param name="CodeEdition">The edition's id.</param>
/// <param name="Units">What a bare number means where a length is typed.</param>
/// <param name="Front">The side on which the front of the house is.</param>
/// <param name="Under">What is under the lowest floor.</param>
/// <param name="FinishedLater">Whether the space under the floor gets a ceiling later.</param>
/// <param name="Preferences">Preferences as they are typed, by key; what is not among them stays.</param>
public sealed record EditJob(
    string Name,
    string Place,
    DateOnly? PermitDate,
    string CodeEdition,
    LengthUnits Units,
    Side Front,
    Under Under,
    bool FinishedLater,
    ImmutableSortedDictionary<string, string> Preferences
) : JobCommand("edit the job")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (OtherFamily(job) is { } refusal)
            return CommandResult.Refuse(refusal);
        if (CodeLibrary.Editions.TryGetValue(CodeEdition, out var rules) && rules.Family != CodeLibrary.Edition(job.CodeEdition).Family)
            job = OtherRules.Facts(job, rules);
        var (preferences, problem) = PreferenceFields.WriteAll(job.Preferences, Preferences, job.Units);
        return preferences is null
            ? CommandResult.Refuse(problem)
            : CommandResult.Checked(
                job with
                {
                    Name = Name,
                    Place = Place,
                    PermitDate = PermitDate,
                    CodeEdition = CodeEdition,
                    Units = Units,
                    Frame = job.Frame with { Front = Front, Under = Under, FinishedLater = FinishedLater },
                    Preferences = Units == job.Units ? preferences : PreferenceFields.In(preferences, Units),
                }
            );
    }

    // What was decided under one family's rules says nothing under another's.
    private string? OtherFamily(Job job) =>
        CodeLibrary.Editions.TryGetValue(CodeEdition, out var wanted)
        && wanted.Family != CodeLibrary.Edition(job.CodeEdition).Family
        && (job.Decisions.Boxes.Length > 0 || job.Decisions.Circuits.Length > 0 || job.Amendments.Length > 0)
            ? $"Edition: what is decided in this job is decided by other rules than those of {wanted.Name}. Make a copy of it under "
                + "them: it is planned anew, and this job stays as it is."
            : null;
}
