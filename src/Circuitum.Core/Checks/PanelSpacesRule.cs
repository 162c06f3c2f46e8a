using Circuitum.Core.Analysis;

namespace Circuitum.Core.Checks;

/// <summary>A space for every breaker.</summary>
internal sealed class PanelSpacesRule : CheckedRule
{
    internal override string Id => "panel.spaces";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        if (a.Panels.Length == 0 && a.Circuits.Length > 0)
            yield return Breach(a, "The job has no panel. Put one on a wall.");
        foreach (var at in a.Panels)
        {
            var (panel, name) = (at.Panel, PanelNames.Of(a, at));
            var placed = at.Schedule.Select(r => r.Circuit?.Number).OfType<int>().ToHashSet();
            var without = a
                .Circuits.Where(c => c.Boxes.Length > 0 && c.Panel == panel.Id && !placed.Contains(c.Number))
                .Select(c => c.Number)
                .ToList();
            if (without.Count > 0)
                yield return Breach(a, $"Without a space in {name}: circuit {string.Join(", ", without)}.", Subject.Panel(panel.Id));
            foreach (var fed in a.Panels.Where(p => p.Feeder?.From == panel.Id && at.Schedule.All(r => r.Feeder != p.Feeder)))
                yield return Breach(
                    a,
                    $"Without a space in {name}: the feeder of {fed.Panel.Name}.",
                    Subject.Panel(panel.Id),
                    Subject.Panel(fed.Panel.Id)
                );
        }
    }
}
