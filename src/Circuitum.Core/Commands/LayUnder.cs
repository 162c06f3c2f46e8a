using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>Lays a picture under a storey, in the place of another one.</summary>
/// <param name="Picture">The picture and where it lies.</param>
public sealed record LayUnder(Underlay Picture) : JobCommand("lay picture under")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job) =>
        CommandResult.Checked(job with { Underlays = [.. job.Underlays.Where(u => u.Storey != Picture.Storey), Picture] });
}
