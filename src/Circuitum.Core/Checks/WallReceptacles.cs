using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Checks;

/// <summary>210.52(A): reach along wall spaces, and the closer reach that a job or a room asks for.</summary>
internal sealed class WallReceptacles : ICheck
{
    public ImmutableArray<string> Rules => ["box.closer", "box.wall"];

    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        foreach (var shape in a.House.Rooms.Where(r => a.Edition.Traits(r.Room.Kind).WallSpaces || r.Room.ReceptacleReach is not null))
        {
            var code = Length.Inches(a.Edition.Number("wallReachIn"));
            var reach = ReceptacleRules.Reach(a.Job, a.Edition, shape.Room);
            foreach (var space in WallSpaces.Of(shape, a.Job, Length.Inches(a.Edition.Number("wallSpaceLeastIn"))))
            {
                if (Spaces.TooFar(a, shape, space, reach, false) is not { } far)
                    continue;
                var must = far.Inches > code && a.Edition.Traits(shape.Room.Kind).WallSpaces;
                yield return CheckList.Make(
                    a,
                    must ? "box.wall" : "box.closer",
                    $"{shape.Room.Name}: a wall space of {LengthText.Show(space.Length)} has {far.Words}; the limit is "
                        + $"{LengthText.Show(must ? code : reach)}.",
                    Subject.Room(shape.Room.Id)
                ) with
                {
                    Fix = Spaces.Add(a, shape, space, must ? code : reach, false),
                };
            }
        }
    }
}
