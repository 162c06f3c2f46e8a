using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;

namespace Circuitum.Core.Checks;

/// <summary>The appliance of a circuit that feeds nothing else.</summary>
internal static class OneAppliance
{
    internal static ApplianceFacts? On(JobAnalysis a, CircuitAnalysis c) =>
        c.Wire is not null && c.Boxes.Length == 1 && a.Job.ApplianceById(c.Boxes[0].Appliance) is { } appliance
            ? ApplianceFacts.Of(a.Job, appliance)
            : null;

    /// <summary>A breaker over the largest for one appliance, in words; none when it is not over it.</summary>
    internal static string? OverLargest(JobAnalysis a, CircuitAnalysis c, bool motor)
    {
        var amps = c.Load.Actual.Value;
        return
            On(a, c) is { } appliance
            && appliance.MotorLoad == motor
            && CircuitDeriver.LargestFor(a.Edition, appliance, amps) is { } largest
            && c.Breaker > largest
            ? $"Circuit {c.Number}: {c.Breaker} A is over {largest} A for one {(motor ? "motor" : "appliance")} of {amps:0.0} A."
            : null;
    }
}
