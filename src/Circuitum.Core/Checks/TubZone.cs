using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Commands;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Checks;

/// <summary>406.9(C), 404.4 and 410.10(D): what keeps clear of tubs and showers.</summary>
internal sealed class TubZone : ICheck
{
    public ImmutableArray<string> Rules => ["box.tub", "box.wet"];

    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        var (across, up) = (a.Edition.Number("tubZoneIn"), Length.Inches(a.Edition.Number("tubZoneUpIn")));
        foreach (var wet in a.Job.Fixtures.Where(f => f.Kind is FixtureKind.Tub or FixtureKind.Shower))
        {
            var shape = a.House[wet.Room];
            var what = wet.Kind.ToString().ToLowerInvariant();

            // In a bath that is smaller than the zone, the farthest wall is where a receptacle may still stand.
            var farthest = shape.Walls.Max(w => Places.InchesTo(shape, wet.Spot, w.A));
            foreach (var box in a.Job.Decisions.Boxes.Where(b => b.Room == wet.Room && !b.Outside && b.Height <= up))
            {
                var inches = Places.InchesTo(shape, wet.Spot, Places.Of(a.House, box));
                var far = LengthText.Show(Length.Inches(inches).RoundTo(Length.Inches(1)));
                if (
                    box.Kind is BoxKind.Receptacle or BoxKind.Provision
                    && ReceptacleSpots.InTubZone(a.Edition, inches)
                    && !(farthest < across && inches > farthest - 12)
                )
                    yield return CheckList.Make(
                        a,
                        "box.tub",
                        $"{shape.Room.Name}: {box.Id} stands {far} from the {what}; "
                            + (
                                across > 0
                                    ? $"the zone reaches {LengthText.Show(Length.Inches(across))}"
                                    : "none may stand inside or over it"
                            )
                            + ".",
                        Subject.Box(box.Id)
                    ) with
                    {
                        Fix = Aside(a, shape, wet, box),
                    };
                if (box.Kind == BoxKind.Switch && inches <= 0)
                    yield return CheckList.Make(
                        a,
                        "box.wet",
                        $"{shape.Room.Name}: the switch {box.Id} stands inside the space of the {what}.",
                        Subject.Box(box.Id)
                    );
                if (box.Fixture is LightStyle.Pendant or LightStyle.Fan && inches < a.Edition.Number("hangingZoneIn"))
                    yield return CheckList.Make(
                        a,
                        "box.wet",
                        $"{shape.Room.Name}: {box.Id} hangs {far} from the {what}; no hanging light or fan within "
                            + $"{a.Edition.Say("hangingZoneIn")} across and {a.Edition.Say("tubZoneUpIn")} up.",
                        Subject.Box(box.Id)
                    );
            }
        }
    }

    // Along its own wall to the nearest place out of the zone.
    private static FindingFix? Aside(JobAnalysis a, RoomShape shape, Fixture wet, Box box)
    {
        if (box.Wall is not { } wall)
            return null;
        for (var inches = 2; inches < 240; inches += 2)
        {
            foreach (var along in new[] { box.Along + Length.Inches(inches), box.Along - Length.Inches(inches) })
            {
                if (
                    along < Length.Inches(4)
                    || along > shape.Walls[wall].Length - Length.Inches(4)
                    || ReceptacleSpots.InOpening(shape, wall, along, 3)
                )
                    continue;
                if (!ReceptacleSpots.InTubZone(a.Edition, Places.InchesTo(shape, wet.Spot, shape.On(wall, along))))
                    return new("Move it out of the zone", new MoveBox(box.Id, wall, along.RoundTo(Length.Inches(1)), null));
            }
        }

        return null;
    }
}
