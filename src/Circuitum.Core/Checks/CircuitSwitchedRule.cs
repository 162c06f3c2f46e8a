using Circuitum.Core.Analysis;
using Circuitum.Core.Commands;

namespace Circuitum.Core.Checks;

/// <summary>A light is on its switch's circuit.</summary>
internal sealed class CircuitSwitchedRule : CheckedRule
{
    internal override string Id => "circuit.switched";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        foreach (var box in a.Job.Decisions.Boxes.Where(b => b.Gangs.Length > 0))
        {
            if (a.CircuitOf(box.Id) is not { } own)
                continue;
            foreach (var light in box.Gangs.SelectMany(g => g.Lights).Distinct())
            {
                if (a.CircuitOf(light) is { } other && other.Number != own.Number)
                    yield return Breach(
                        a,
                        $"{light} is on circuit {other.Number}, its switch {box.Id} on circuit {own.Number}: the switched wire "
                            + "and its neutral would part ways.",
                        Subject.Box(light),
                        Subject.Box(box.Id)
                    ) with
                    {
                        Fix = new("Put the light on the switch's circuit", new AssignBox(light, own.Number)),
                    };
            }
        }
    }
}
