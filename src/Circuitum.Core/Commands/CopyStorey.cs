using Circuitum.Core.Drafting;
using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Commands;

/// <summary>Copies a storey.</summary>
/// <param name="Storey">The storey.</param>
/// <param name="Name">Name of the copy.</param>
/// <param name="Floor">Height of its floor over the first floor.</param>
public sealed record CopyStorey(string Storey, string Name, Length Floor) : JobCommand("copy storey")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.StoreyById(Storey) is not { } storey)
            return CommandResult.Refuse(PlanEdit.Gone("storey"));
        var copy = storey with { Id = Names.Free(Name, job.Storeys.Select(s => s.Id)), Name = Name.Trim(), Floor = Floor };
        return CommandResult.Checked(StoreyCopy.Make(job, Storey, copy));
    }
}
