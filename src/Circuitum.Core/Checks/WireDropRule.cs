using Circuitum.Core.Analysis;

namespace Circuitum.Core.Checks;

/// <summary>Voltage drop of a circuit, and of a circuit with its feeder.</summary>
internal sealed class WireDropRule : CheckedRule
{
    internal override string Id => "wire.drop";

    internal override IEnumerable<Finding> InCircuit(JobAnalysis a, CircuitAnalysis c)
    {
        if (c.Wire is not null && c.DropPercent > (c.Board?.DropLimit ?? a.Edition.Number("dropPercentBranch")))
            yield return Breach(
                a,
                $"Circuit {c.Number} drops {c.DropPercent:0.0} percent at its farthest load.",
                Subject.Circuit(c.Number)
            );
    }

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        foreach (var at in a.Panels.Where(p => p.Feeder is not null))
        {
            var (panel, feeder) = (at.Panel, at.Feeder!);
            var worst = a.Circuits.Where(c => c.Panel == panel.Id).OrderByDescending(c => c.DropPercent).FirstOrDefault();
            if (worst is not null && worst.DropPercent + feeder.DropPercent > a.Edition.Number("dropPercentInAll"))
                yield return Breach(
                    a,
                    $"The feeder of {panel.Name} drops {feeder.DropPercent:0.0} percent and circuit {worst.Number} "
                        + $"{worst.DropPercent:0.0}: more than {a.Edition.Number("dropPercentInAll")} together.",
                    Subject.Panel(panel.Id),
                    Subject.Circuit(worst.Number)
                );
        }
    }
}
