using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Checks;

/// <summary>Feeders: load, wire, breaker, drop, and what a panel in another building needs.</summary>
internal sealed class FeederChecks : ICheck
{
    public ImmutableArray<string> Rules => ["feeder.building", "feeder.disconnect", "feeder.size", "wire.drop"];

    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        foreach (var at in a.Panels.Where(p => p.Feeder is not null))
        {
            var (panel, feeder, subject) = (at.Panel, at.Feeder!, Subject.Panel(at.Panel.Id));
            if (!(feeder.Load.Current <= new Amperes(feeder.Breaker)))
                yield return CheckList.Make(
                    a,
                    "feeder.size",
                    $"The load of {panel.Name}, {feeder.Load.Current.Value:0.0} A, is over its feeder's breaker of {feeder.Breaker} A.",
                    subject
                );
            if (feeder.Wire is null)
                yield return CheckList.Make(
                    a,
                    "feeder.size",
                    $"No {(panel.FeederMethod == FeederMethod.Cable ? "cable" : "wire")} for the feeder of {panel.Name} carries "
                        + $"{feeder.Breaker} A. "
                        + $"{(panel.FeederMethod == FeederMethod.Cable ? "Run it in conduit, or of aluminum." : "Use a smaller breaker.")}",
                    subject
                );
            if (feeder.Breaker > panel.MainBreaker)
                yield return CheckList.Make(
                    a,
                    "feeder.size",
                    $"{panel.Name} is made for {panel.MainBreaker} A; its feeder has a breaker of {feeder.Breaker} A.",
                    subject
                );
            if (a.PanelById(feeder.From) is { } parent && feeder.Breaker > parent.Rating)
                yield return CheckList.Make(
                    a,
                    "feeder.size",
                    $"The feeder of {panel.Name} has a breaker of {feeder.Breaker} A, {parent.Panel.Name} itself only {parent.Rating} A.",
                    subject
                );
            var worst = a.Circuits.Where(c => c.Panel == panel.Id).OrderByDescending(c => c.DropPercent).FirstOrDefault();
            if (worst is not null && worst.DropPercent + feeder.DropPercent > a.Edition.Number("dropPercentInAll"))
                yield return CheckList.Make(
                    a,
                    "wire.drop",
                    $"The feeder of {panel.Name} drops {feeder.DropPercent:0.0} percent and circuit {worst.Number} "
                        + $"{worst.DropPercent:0.0}: more than {a.Edition.Say("dropPercentInAll")} together.",
                    subject,
                    Subject.Circuit(worst.Number)
                );
            var (handles, most) = (at.Schedule.Count(r => !r.Free && !r.SecondPole), (int)a.Edition.Number("disconnectsMost"));
            if (feeder.ToBuilding && panel.MainLugs && handles > most)
                yield return CheckList.Make(
                    a,
                    "feeder.disconnect",
                    $"{panel.Name} has {handles} breakers and no main; {(most == 1 ? "one" : $"{most} at most")} may switch the "
                        + "building off.",
                    subject
                );
            if (feeder.ToBuilding)
                yield return CheckList.Make(
                    a,
                    "feeder.building",
                    $"{panel.Name} is in a building of its own: "
                        + $"{(panel.MainLugs ? "a main breaker or another disconnect there" : "its main breaker is the disconnect")}, "
                        + "a grounding electrode, and neutral and ground apart.",
                    subject
                );
        }
    }
}
