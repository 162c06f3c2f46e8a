using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>Says of which family a breaker is, when it is not the panel's.</summary>
/// <param name="Circuit">The circuit.</param>
/// <param name="Family">The family, or none for the panel's own.</param>
public sealed record SetBreakerFamily(int Circuit, string? Family) : JobCommand("set a breaker's family")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.Decisions.Spaces.FirstOrDefault(s => s.Feeds is null && s.Circuit == Circuit) is not { } place)
            return CommandResult.Refuse($"Circuit {Circuit} has no space yet.");

        // What is known of a real breaker has been put there, so it stays.
        var family = string.IsNullOrWhiteSpace(Family) ? null : Family.Trim();
        return CommandResult.Checked(
            job with
            {
                Decisions = job.Decisions with
                {
                    Spaces = job.Decisions.Spaces.Replace(
                        place,
                        place with
                        {
                            Family = family,
                            By = family is null ? place.By : Origin.Person,
                        }
                    ),
                },
            }
        );
    }
}
