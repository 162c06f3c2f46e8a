using Circuitum.Core.Analysis;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Checks;

/// <summary>What a circuit of socket-outlets serves, against what its form may serve by count and by floor.</summary>
internal static class SocketLimits
{
    /// <summary>A sentence for each limit that is passed.</summary>
    /// <param name="a">The house.</param>
    /// <param name="c">The circuit.</param>
    /// <param name="form">What it is called: ring or radial.</param>
    internal static IEnumerable<string> Passed(JobAnalysis a, CircuitAnalysis c, string form)
    {
        var key = form.ToLowerInvariant();
        var most = a.Edition.Number($"{key}PointsMost").Whole;
        if (c.Board!.Points > most)
            yield return $"{form} {c.Number} serves {c.Board.Points} points; {most} are the most.";
        var area = a.Edition.Number($"{key}AreaSqM") / FloorArea.SqMInSqFt;
        var floor = c.Boxes.Select(b => b.Room).Distinct().Sum(r => a.House[r].AreaSqFt);
        if (area > 0 && floor > area)
            yield return $"{form} {c.Number} serves {FloorArea.Show(floor, a.Units)} of floor; "
                + $"{FloorArea.Show(area, a.Units)} are the most.";
    }
}
