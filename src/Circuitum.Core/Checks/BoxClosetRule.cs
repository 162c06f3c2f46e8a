using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Checks;

/// <summary>A light in a closet clear of the storage space.</summary>
internal sealed class BoxClosetRule : CheckedRule
{
    internal override string Id => "box.closet";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        foreach (
            var light in a.Job.Decisions.Boxes.Where(b =>
                b.Kind == BoxKind.Light && !b.Outside && a.House[b.Room].Room.Kind == RoomKind.Closet
            )
        )
        {
            var (clear, needed) = (
                ClosetLight.ClearInches(a.House[light.Room], Places.Of(a.House, light)),
                ClosetLight.Needed(a.Edition, light)
            );
            if (clear < needed - 0.01)
                yield return Breach(
                    a,
                    $"{a.House[light.Room].Room.Name}: the light {light.Id} is "
                        + $"{LengthText.Near(Math.Max(0, clear), a.Units, whole: true)} clear of the storage "
                        + $"space; a {(light.Fixture == LightStyle.Recessed ? "recessed" : "surface")} one needs "
                        + $"{LengthText.NearNumber(needed, a.Units, whole: true)}.",
                    Subject.Box(light.Id)
                ) with
                {
                    Fix = Clear(a, light, clear),
                };
        }
    }

    // A recessed one needs less room; else it moves to the clearest place, if that is clear enough.
    private static FindingFix? Clear(JobAnalysis a, Box light, double clear)
    {
        if (light.Wall is not null)
            return null;
        if (light.Fixture != LightStyle.Recessed && clear >= a.Edition.Number("closetClearRecessedIn"))
            return BoxFixes.Change("Make it a recessed one", light.Id, new() { Fixture = LightStyle.Recessed });
        var closet = a.House[light.Room];
        var best = Places.Spread(closet, 16).MaxBy(p => ClosetLight.ClearInches(closet, p));
        return ClosetLight.ClearInches(closet, best) >= ClosetLight.Needed(a.Edition, light) + 0.5
            ? BoxFixes.MoveTo("Move it clear of the shelves", light.Id, best)
            : null;
    }
}
