using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>No switch in a tub or shower, nothing hanging over it.</summary>
internal sealed class BoxWetRule : CheckedRule
{
    internal override string Id => "box.wet";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        foreach (var (shape, wet, box, inches) in TubSpace.Near(a))
        {
            // Nearer it may stand where it is protected, and then it asks for that by itself.
            var apart = a.Edition.Number("switchFromTubGuardedIn") is { Value: > 0 } guarded
                ? guarded
                : a.Edition.Number("switchFromTubIn");
            var onCord = a.Edition.CordSwitches && box.Gangs.Length > 0 && box.Gangs.All(g => g.Control == SwitchControl.Cord);
            if (box.Kind == BoxKind.Switch && !onCord && (inches <= 0 || inches < apart))
                yield return Breach(
                    a,
                    inches <= 0
                        ? $"{shape.Room.Name}: the switch {box.Id} stands inside the space of the {TubSpace.Name(wet)}."
                        : $"{shape.Room.Name}: the switch {box.Id} stands {TubSpace.Say(a, inches)} from the {TubSpace.Name(wet)}; "
                            + $"{apart} is the least.",
                    Subject.Box(box.Id)
                );
            if (box.Fixture is LightStyle.Pendant or LightStyle.Fan && inches < a.Edition.Number("hangingZoneIn"))
                yield return Breach(
                    a,
                    $"{shape.Room.Name}: {box.Id} hangs {TubSpace.Say(a, inches)} from the {TubSpace.Name(wet)}; no hanging light or fan "
                        + $"within {a.Edition.Number("hangingZoneIn")} across and {a.Edition.Number("tubZoneUpIn")} up.",
                    Subject.Box(box.Id)
                );
        }
    }
}
