using Circuitum.Core.Analysis;
using Circuitum.Core.Commands;

namespace Circuitum.Core.Checks;

/// <summary>Breakers of a family that the panel takes.</summary>
internal sealed class PanelMixedRule : CheckedRule
{
    internal override string Id => "panel.mixed";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a) => a.Panels.SelectMany(at => In(a, at));

    private IEnumerable<Finding> In(JobAnalysis a, PanelAnalysis at)
    {
        var panel = at.Panel;
        foreach (var row in at.Schedule.Where(r => r.Circuit is not null && !r.SecondPole && !panel.Takes(r.Family)))
            yield return Breach(
                a,
                $"The breaker of circuit {row.Circuit!.Number} is of {row.Family}; {PanelNames.Of(a, at)} takes "
                    + (
                        panel.BreakerFamily.Length > 0
                            ? string.Join(", ", panel.AlsoTakes.Prepend(panel.BreakerFamily))
                            : "a family that is not named yet"
                    )
                    + ".",
                Subject.Circuit(row.Circuit.Number),
                Subject.Panel(panel.Id)
            ) with
            {
                Fix = new("Take one of the panel's family", new SetBreakerFamily(row.Circuit.Number, null)),
            };
    }
}
