using Circuitum.Core.Codes;
using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;
using Circuitum.Core.Planning;

namespace Circuitum.Core.Commands;

/// <summary>Sets an appliance's nameplate.</summary>
/// <param name="Appliance">The appliance.</param>
/// <param name="Plate">What the plate says.</param>
/// <param name="Name">What it is called, or empty.</param>
public sealed record SetNameplate(string Appliance, Nameplate Plate, string Name) : JobCommand("set nameplate")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job) =>
        job.ApplianceById(Appliance) is { } appliance
            ? Replanned(
                CommandResult.Checked(
                    job with
                    {
                        Appliances = job.Appliances.Replace(appliance, appliance with { Nameplate = Plate, Name = Name.Trim() }),
                    }
                )
            )
            : CommandResult.Refuse("That appliance is not there any more.");

    /// <summary>The edit of a person who read the plate and found on it what was assumed.</summary>
    /// <param name="facts">The appliance.</param>
    public static SetNameplate AsAssumed(ApplianceFacts facts)
    {
        var plate = facts.Appliance.Nameplate;
        return new(
            facts.Appliance.Id,
            plate with
            {
                Volts = facts.Volts,
                VoltAmperes = plate.Amperes is null ? facts.Load.Value : plate.VoltAmperes,
                MinimumCircuitAmpacity = plate.MinimumCircuitAmpacity ?? facts.Type.Mca,
                MaximumBreaker = plate.MaximumBreaker ?? facts.Type.MaxBreaker,
                Confirmed = true,
            },
            facts.Appliance.Name
        );
    }

    // Another voltage may need another number of spaces; the breakers that stand stay while they can.
    private static CommandResult Replanned(CommandResult result) =>
        result.Job is { Decisions.Circuits.Length: > 0 } job ? new(Planner.PlanSpaces(job), "") : result;
}
