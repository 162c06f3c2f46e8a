using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;

namespace Circuitum.Core.Checks;

/// <summary>Wire, breaker and drop.</summary>
internal sealed class WireSizes : ICircuitCheck
{
    public ImmutableArray<string> Rules =>
        ["wire.drop", "wire.ground", "wire.hvac", "wire.motor", "wire.nonMotor", "wire.range", "wire.size"];

    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        foreach (var c in a.Circuits)
        {
            var subject = Subject.Circuit(c.Number);
            if (c.Wire is null)
            {
                yield return CheckList.Make(a, "wire.size", $"Circuit {c.Number}: no sheathed cable carries {c.Load.Sizing}.", subject);
                continue;
            }

            if (c.DropPercent > a.Edition.Number("dropPercentBranch"))
                yield return CheckList.Make(
                    a,
                    "wire.drop",
                    $"Circuit {c.Number} drops {c.DropPercent:0.0} percent at its farthest load.",
                    subject
                );
            var appliance = c.Boxes.Length == 1 && a.Job.ApplianceById(c.Boxes[0].Appliance) is { } x ? ApplianceFacts.Of(x) : null;
            if (appliance?.MaximumBreaker is { } most && c.Breaker > most)
                yield return CheckList.Make(
                    a,
                    "wire.hvac",
                    $"Circuit {c.Number}: a {c.Breaker} A breaker is over the nameplate's {most} A.",
                    subject
                );
            if (
                appliance is { Type.Id: "range" }
                && appliance.Load.Value >= a.Edition.Number("rangeLeastVa")
                && c.Breaker < a.Edition.Number("rangeLeastBreaker")
            )
                yield return CheckList.Make(
                    a,
                    "wire.range",
                    $"Circuit {c.Number}: a range of {appliance.Load} has a {c.Breaker} A breaker.",
                    subject
                );
            var amps = c.Load.Actual.Value;
            if (appliance is not null && CircuitDeriver.LargestFor(a.Edition, appliance, amps) is { } largest && c.Breaker > largest)
            {
                var motor = appliance.MotorLoad;
                yield return CheckList.Make(
                    a,
                    motor ? "wire.motor" : "wire.nonMotor",
                    $"Circuit {c.Number}: {c.Breaker} A is over {largest} A for one {(motor ? "motor" : "appliance")} of {amps:0.0} A.",
                    subject
                );
            }

            if (c.Ground is { Enough: false } ground)
                yield return CheckList.Make(
                    a,
                    "wire.ground",
                    $"Circuit {c.Number}: the ground in {c.Cable} cable is {ground.There ?? "missing"} AWG; {ground.Needed} is needed.",
                    subject
                );
        }
    }
}
