using System.Collections.Immutable;
using Circuitum.Core.Edits;
using Circuitum.Core.Intake;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

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
