using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Checks;

/// <summary>Wall and counter spaces that no receptacle reaches.</summary>
internal static class Spaces
{
    internal static (Length Inches, string Words)? TooFar(JobAnalysis a, RoomShape shape, WallSpace space, Length reach, bool counter)
    {
        var held = ReceptacleSpots.Held(a.Job.Decisions.Boxes, a.Job, a.Edition, shape, space, counter).ToList();
        if (held.Count == 0)
            return (new Length(long.MaxValue / 4), "no receptacle");
        var far = Cover.Farthest(space.Length, held);
        return far > reach ? (far, $"a point {LengthText.Show(far, a.Units)} from a receptacle") : null;
    }

    internal static FindingFix Add(JobAnalysis a, RoomShape shape, WallSpace space, Length reach, bool counter)
    {
        // One that is missing is added where it serves best; for more the room is proposed, as for a room without any.
        if (!a.Job.Decisions.Boxes.Any(b => b.Kind == BoxKind.Receptacle && b.Room == shape.Room.Id))
            return BoxFixes.Propose(shape);
        if (ReceptacleSpots.Missing(a.Job, a.Edition, a.Job.Decisions.Boxes, shape, space, reach, counter) is not [var only])
            return BoxFixes.Propose(shape);
        var (wall, along) = shape.FromPerimeter(space.Start + only);
        return BoxFixes.AddReceptacle(shape, wall, along);
    }
}
