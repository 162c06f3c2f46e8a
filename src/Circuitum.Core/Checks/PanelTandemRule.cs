using Circuitum.Core.Analysis;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>Two breakers in one space only where the listing allows it.</summary>
internal sealed class PanelTandemRule : CheckedRule
{
    internal override string Id => "panel.tandem";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a) => a.Panels.SelectMany(at => In(a, at));

    private IEnumerable<Finding> In(JobAnalysis a, PanelAnalysis at)
    {
        foreach (var row in at.Schedule.Where(r => r.Half != TandemHalf.Whole && r.Circuit is not null))
        {
            var (c, need) = (row.Circuit!, PanelDeriver.Need(a.Job, row.Circuit!));
            var why =
                !at.Panel.TakesTandem(row.Space) ? $", which does not take a tandem by {PanelNames.Of(a, at)}'s listing."
                : need.FitsHalf ? null
                : $"; with {(c.Pair is null ? "protection at its breaker" : "a shared neutral")} it needs a whole one.";
            if (why is null)
                continue;
            yield return Breach(
                a,
                $"Circuit {c.Number} is in half of space {row.Space}{why}",
                Subject.Circuit(c.Number),
                Subject.Panel(at.Panel.Id)
            ) with
            {
                Fix = FreeSpace.In(at, a.Job.Decisions.Spaces, need with { Protective = true }) is { } whole
                    ? new($"Move it to space {whole.Space}", new MoveBreaker(c.Number, whole.Space))
                    : null,
            };
        }
    }
}
