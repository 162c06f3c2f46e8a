using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>Takes over a whole set of preferences, such as the company's.</summary>
/// <param name="Preferences">The preferences.</param>
public sealed record SetPreferences(Preferences Preferences) : JobCommand("take the company's preferences")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job) => CommandResult.Checked(job with { Preferences = Preferences });
}
