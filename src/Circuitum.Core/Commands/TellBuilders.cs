using Circuitum.Core.Analysis;
using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;
using Circuitum.Core.Takeoff;

namespace Circuitum.Core.Commands;

/// <summary>Writes down that those who build before have the sheet as it is now, or that they have none.</summary>
/// <param name="Told">Whether they have it.</param>
public sealed record TellBuilders(bool Told) : JobCommand(Told ? "tell the builders" : "builders not told")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job) =>
        CommandResult.Checked(job with { BuildersTold = Told ? BuilderSheet.Of(HouseDeriver.Derive(job)).Mark : null });
}
