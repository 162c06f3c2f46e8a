using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>A board in the open.</summary>
internal sealed class BoardWeatherRule : CheckedRule
{
    internal override string Id => "board.weather";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        foreach (var panel in a.Job.Panels.Where(p => a.House[p.Room].Room.Kind.OpenAir()))
            yield return Breach(a, $"{panel.Name} hangs in the open: its enclosure is for that place.", Subject.Panel(panel.Id));
    }
}
