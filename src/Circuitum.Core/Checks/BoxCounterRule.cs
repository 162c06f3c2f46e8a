using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Checks;

/// <summary>Receptacles along counters.</summary>
internal sealed class BoxCounterRule : CheckedRule
{
    internal override string Id => "box.counter";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        var reach = a.Edition.Number("counterReachIn").Length;
        foreach (var shape in a.House.Rooms)
        {
            foreach (var space in WallSpaces.Counters(shape, a.Job, a.Edition.Number("counterLeastIn").Length))
            {
                if (Spaces.TooFar(a, shape, space, reach, true) is { } far)
                    yield return Breach(
                        a,
                        $"{shape.Room.Name}: a counter space of {LengthText.Show(space.Length, a.Units)} has {far.Words}; the limit is "
                            + $"{LengthText.Show(reach, a.Units)}.",
                        Subject.Room(shape.Room.Id)
                    ) with
                    {
                        Fix = Spaces.Add(a, shape, space, reach, true),
                    };
            }
        }
    }
}
