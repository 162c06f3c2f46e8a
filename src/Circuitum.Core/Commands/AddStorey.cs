using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Commands;

/// <summary>Adds a storey over the highest one.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Floor">Height of its floor over the first floor.</param>
public sealed record AddStorey(string Name, Length Floor) : JobCommand("add storey")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job) =>
        CommandResult.Checked(
            job with
            {
                Storeys = job.Storeys.Add(
                    new Storey
                    {
                        Id = Names.Free(Name, job.Storeys.Select(s => s.Id)),
                        Name = Name.Trim(),
                        Floor = Floor,
                    }
                ),
            }
        );
}
