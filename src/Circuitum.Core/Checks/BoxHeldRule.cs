using Circuitum.Core.Analysis;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Checks;

/// <summary>Boxes that wait for something.</summary>
internal sealed class BoxHeldRule : CheckedRule
{
    internal override string Id => "box.held";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        foreach (var box in a.Job.Decisions.Boxes)
        {
            if (box.Held is { } held)
                yield return Breach(
                    a,
                    $"{a.House[box.Room].Room.Name}: {box.Id} waits for {held.WaitsFor}{(held.Ask.Length > 0 ? $"; ask {held.Ask}" : "")}. "
                        + $"Leave {LengthText.Show(held.Slack, a.Units)} of slack.",
                    Subject.Box(box.Id)
                );
        }
    }
}
