using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;

namespace Circuitum.Core.Checks;

/// <summary>A switch at each level of a long flight of stairs.</summary>
internal sealed class BoxStairsRule : CheckedRule
{
    internal override string Id => "box.stairs";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        var switched = SwitchedLights.Of(a);
        foreach (var flight in StairRules.Flights(a.House).Where(f => StairRules.NeedsBoth(a.Edition, f)))
        {
            var lights = SwitchedLights.In(a, flight.Upper);
            if (!lights.Exists(l => switched.Contains(l.Id)))
                continue;
            var levels = a
                .Job.Decisions.Boxes.Where(b => b.Gangs.Any(g => lights.Exists(l => g.Lights.Contains(l.Id))))
                .Select(b => a.House[b.Room].Room.Storey)
                .Distinct()
                .ToList();
            if (levels.Count > 1)
                continue;
            var dark = flight.Ends.FirstOrDefault(e => !levels.Contains(e.Room.Storey));
            yield return Breach(a, $"The light of {flight.Upper.Room.Name} has a switch at one level only.", Subject.Box(lights[0].Id)) with
            {
                Fix = dark is null ? BoxFixes.Propose(flight.Upper) : SwitchedLights.SwitchIn(a, dark),
            };
        }
    }
}
