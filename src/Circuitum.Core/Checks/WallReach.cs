using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Geometry;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Checks;

/// <summary>Wall spaces that no receptacle reaches, by the code and by what a job or a room asks for beyond it.</summary>
internal static class WallReach
{
    internal static IEnumerable<(RoomShape Room, string Words, FindingFix Fix)> Missed(JobAnalysis a, bool code)
    {
        var limit = a.Edition.Number("wallReachIn").Length;
        foreach (var shape in a.House.Rooms)
        {
            var byCode = a.Edition.Traits(shape.Room.Kind).WallSpaces;
            var reach = ReceptacleRules.Reach(a.Job, a.Edition, shape.Room);
            if (code ? !byCode : reach >= limit && byCode || !byCode && shape.Room.ReceptacleReach is null)
                continue;
            foreach (var space in WallSpaces.Of(shape, a.Job, a.Edition.Number("wallSpaceLeastIn").Length))
            {
                if (Spaces.TooFar(a, shape, space, reach, false) is not { } far || (byCode && far.Inches > limit) != code)
                    continue;
                yield return (
                    shape,
                    $"{shape.Room.Name}: a wall space of {LengthText.Show(space.Length, a.Units)} has {far.Words}; the limit is "
                        + $"{LengthText.Show(code ? limit : reach, a.Units)}.",
                    Spaces.Add(a, shape, space, code ? limit : reach, false)
                );
            }
        }
    }
}
