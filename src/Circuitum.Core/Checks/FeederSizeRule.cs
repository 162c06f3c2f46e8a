using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Checks;

/// <summary>Wire and breaker of a feeder against its load and what it feeds.</summary>
internal sealed class FeederSizeRule : CheckedRule
{
    internal override string Id => "feeder.size";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        foreach (var at in a.Panels.Where(p => p.Feeder is not null))
        {
            foreach (var words in Wrong(a, at.Panel, at.Feeder!))
                yield return Breach(a, words, Subject.Panel(at.Panel.Id));
        }
    }

    private static IEnumerable<string> Wrong(JobAnalysis a, Panel panel, Feeder feeder)
    {
        if (!(feeder.Load.Current <= new Amperes(feeder.Breaker)))
            yield return $"The load of {panel.Name}, {feeder.Load.Current.Value:0.0} A, is over its feeder's breaker of "
                + $"{feeder.Breaker} A.";
        var cable = panel.FeederMethod == FeederMethod.Cable;
        if (feeder.Wire is null)
            yield return $"No {(cable ? "cable" : "wire")} for the feeder of {panel.Name} carries {feeder.Breaker} A. "
                + $"{(cable ? "Run it in conduit, or of aluminum." : "Use a smaller breaker.")}";
        if (feeder.Breaker > panel.MainBreaker)
            yield return $"{panel.Name} is made for {panel.MainBreaker} A; its feeder has a breaker of {feeder.Breaker} A.";
        if (a.PanelById(feeder.From) is { } parent && feeder.Breaker > parent.Rating)
            yield return $"The feeder of {panel.Name} has a breaker of {feeder.Breaker} A, {parent.Panel.Name} itself only "
                + $"{parent.Rating} A.";
    }
}
