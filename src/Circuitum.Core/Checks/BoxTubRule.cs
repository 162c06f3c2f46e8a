using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Commands;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Checks;

/// <summary>Receptacles clear of tub and shower.</summary>
internal sealed class BoxTubRule : CheckedRule
{
    internal override string Id => "box.tub";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        var across = a.Edition.Number("tubZoneIn");
        foreach (var (shape, wet, box, inches) in TubSpace.Near(a))
        {
            if (box.Kind is not (BoxKind.Receptacle or BoxKind.Provision) || !ReceptacleSpots.InTubZone(a.Edition, inches))
                continue;

            // In a bath that is smaller than the zone, the farthest wall is where a receptacle may still stand.
            var farthest = shape.Walls.Max(w => Places.InchesTo(shape, wet.Spot, w.A));
            if (farthest < across && inches > farthest - 12)
                continue;
            yield return Breach(
                a,
                $"{shape.Room.Name}: {box.Id} stands {TubSpace.Say(a, inches)} from the {TubSpace.Name(wet)}; "
                    + (
                        across > 0
                            ? $"the zone reaches {LengthText.Show(Length.Inches(across), a.Units)}"
                            : "none may stand inside or over it"
                    )
                    + ".",
                Subject.Box(box.Id)
            ) with
            {
                Fix = Aside(a, shape, wet, box),
            };
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
