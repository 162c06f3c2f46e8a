using Circuitum.Core.Codes;
using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>Takes the preferences of a way of working; circuits that are there stay until they are planned afresh.</summary>
/// <param name="Way">Which one.</param>
public sealed record TakeWay(string Way) : JobCommand("take a way of working")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (CodeLibrary.Ways.FirstOrDefault(w => w.Id == Way) is not { } way)
            return CommandResult.Refuse("Choose one of the ways of working.");
        var (preferences, problem) = PreferenceFields.WriteAll(job.Preferences, way.Preferences);
        return preferences is null ? CommandResult.Refuse(problem) : CommandResult.Checked(job with { Preferences = preferences });
    }
}
