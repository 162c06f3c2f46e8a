using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>No socket-outlet in a bathroom.</summary>
internal sealed class BoardBathroomRule : CheckedRule
{
    internal override string Id => "board.bathroom";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        foreach (var box in a.Job.Decisions.Boxes.Where(b => b.Kind is BoxKind.Receptacle && a.Job.KindAt(b) == RoomKind.Bathroom))
        {
            var shape = a.House[box.Room];
            var inches = a
                .Job.Fixtures.Where(f => f.Room == box.Room && f.Kind is FixtureKind.Tub or FixtureKind.Shower)
                .Select(f => Places.InchesTo(shape, f.Spot, Places.Of(a.House, box)))
                .DefaultIfEmpty(0)
                .Min();
            if (inches < a.Edition.Number("socketFromTubIn"))
                yield return Breach(
                    a,
                    $"{box.Id} is a socket-outlet in {shape.Room.Name}; none within {a.Edition.Number("socketFromTubIn")} of tub or shower "
                        + "but a shaver unit.",
                    Subject.Box(box.Id)
                );
        }
    }
}
