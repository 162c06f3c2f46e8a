using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Commands;

/// <summary>Changes a storey's name and heights.</summary>
/// <param name="Storey">The storey.</param>
/// <param name="Name">Its name.</param>
/// <param name="Floor">Height of its floor over the first floor.</param>
/// <param name="Ceiling">Ceiling height of rooms drawn on it.</param>
public sealed record EditStorey(string Storey, string Name, Length Floor, Length Ceiling) : JobCommand("edit storey")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job) =>
        job.StoreyById(Storey) is { } storey
            ? CommandResult.Checked(
                job with
                {
                    Storeys = job.Storeys.Replace(storey, storey with { Name = Name.Trim(), Floor = Floor, Ceiling = Ceiling }),
                }
            )
            : CommandResult.Refuse(PlanEdit.Gone("storey"));
}
