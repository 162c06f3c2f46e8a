using Circuitum.Core.Analysis;

namespace Circuitum.Core.Checks;

/// <summary>Breakers that switch a separate building off.</summary>
internal sealed class FeederDisconnectRule : CheckedRule
{
    internal override string Id => "feeder.disconnect";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        var most = a.Edition.Number("disconnectsMost").Whole;
        foreach (var at in a.Panels.Where(p => p is { Feeder.ToBuilding: true, Panel.MainLugs: true }))
        {
            var handles = at.Schedule.Count(r => !r.Free && !r.SecondPole);
            if (handles > most)
                yield return Breach(
                    a,
                    $"{at.Panel.Name} has {handles} breakers and no main; {(most == 1 ? "one" : $"{most} at most")} may switch the "
                        + "building off.",
                    Subject.Panel(at.Panel.Id)
                );
        }
    }
}
