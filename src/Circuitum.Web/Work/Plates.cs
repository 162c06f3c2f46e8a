using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Commands;

namespace Circuitum.Web.Work;

/// <summary>Nameplates that nobody has read yet.</summary>
public static class Plates
{
    /// <summary>Those of appliances on two lines, whose plates decide wire and breaker.</summary>
    public static ImmutableArray<ApplianceFacts> Unread(JobAnalysis a) =>
        [.. a.Job.Appliances.Where(x => !x.Nameplate.Confirmed).Select(ApplianceFacts.Of).Where(f => f.Connection == Connection.TwoLines)];

    /// <summary>The edit of a person who read the plate and found on it what was assumed.</summary>
    public static SetNameplate AsAssumed(ApplianceFacts facts) =>
        new(
            facts.Appliance.Id,
            facts.Appliance.Nameplate with
            {
                Volts = facts.Volts,
                VoltAmperes = facts.Appliance.Nameplate.Amperes is null ? facts.Load.Value : facts.Appliance.Nameplate.VoltAmperes,
                MinimumCircuitAmpacity = facts.Appliance.Nameplate.MinimumCircuitAmpacity ?? facts.Type.Mca,
                MaximumBreaker = facts.Appliance.Nameplate.MaximumBreaker ?? facts.Type.MaxBreaker,
                Confirmed = true,
            },
            facts.Appliance.Name
        );
}
