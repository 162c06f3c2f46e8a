using System.Collections.Immutable;
using Circuitum.Core.Edits;
using Circuitum.Core.Entry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Planning;

namespace Circuitum.Core.Commands;

/// <summary>Makes rooms with their openings and closets from typed lines, all or none.</summary>
/// <param name="Storey">The storey.</param>
/// <param name="Lines">As <see cref="RoomList"/> reads them.</param>
public sealed record TypeRooms(string Storey, ImmutableArray<string> Lines) : JobCommand("type rooms")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.StoreyById(Storey) is null)
            return CommandResult.Refuse("Pick a storey first.");
        var (made, problems) = RoomList.Take(job, Storey, Lines);
        if (problems is [var first, ..])
            return CommandResult.Refuse(problems.Length == 1 ? $"{first}" : $"{first} {problems.Length - 1} more below it are wrong too.");
        return ReferenceEquals(made, job)
            ? CommandResult.Refuse($"Type a room to a line, such as {RoomList.Example}.")
            : Spaced(job, PlanEdit.Finish(job, made));
    }

    // A panel that came in takes its space in the one it is fed from.
    private static CommandResult Spaced(Job before, CommandResult result) =>
        result.Job is { } made && made.Panels.Length > before.Panels.Length ? CommandResult.Checked(Planner.PlanSpaces(made)) : result;
}
