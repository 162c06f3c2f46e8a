using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>Sets the owner's words on a wish.</summary>
/// <param name="Wish">The wish.</param>
/// <param name="Note">The words.</param>
public sealed record EditWish(string Wish, string Note) : JobCommand("edit wish")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job) =>
        job.Wishes.FirstOrDefault(w => w.Id == Wish) is { } wish
            ? CommandResult.Checked(job with { Wishes = job.Wishes.Replace(wish, wish with { Note = Note.Trim() }) })
            : CommandResult.Refuse(PlanEdit.Gone("wish"));
}
