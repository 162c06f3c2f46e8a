using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;

namespace Circuitum.Core.Checks;

/// <summary>A neutral at each switch of lights.</summary>
internal sealed class SwitchNeutralRule : CheckedRule
{
    internal override string Id => "switch.neutral";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        foreach (var box in a.Job.Decisions.Boxes.Where(b => b.Gangs.Length > 0))
        {
            if (
                a.CircuitOf(box.Id) is { } c
                && !BoxCables.In(c, box.Id).Any(e => e.Conductors > 2 || c.Load.Connection == Connection.OneLine)
            )
                yield return Breach(
                    a,
                    $"{a.House[box.Room].Room.Name}: no neutral comes to {box.Id}.",
                    Subject.Box(box.Id),
                    Subject.Circuit(c.Number)
                );
        }
    }
}
