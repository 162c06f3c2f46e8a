using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Checks;

/// <summary>The edits that clear findings about boxes.</summary>
internal static class BoxFixes
{
    internal static FindingFix Propose(RoomShape room) =>
        new($"Propose the boxes of {room.Room.Name}", "propose-boxes", [("room", room.Room.Id)]);

    internal static FindingFix AddReceptacle(RoomShape room, int wall, Length along) =>
        new(
            "Add a receptacle there",
            "add-box",
            [("kind", nameof(BoxKind.Receptacle)), ("room", room.Room.Id), ("wall", $"{wall}"), ("along", LengthText.Print(along))]
        );

    internal static FindingFix MoveTo(string title, string box, Point at) =>
        new(title, "move-box", [("box", box), ("x", Inches(at.X)), ("y", Inches(at.Y))]);

    internal static FindingFix Set(string title, string box, string field, string value) =>
        new(title, "set-box", [("box", box), ("field", field), ("value", value)]);

    private static string Inches(Length length) => length.InInches.ToString("0.##", System.Globalization.CultureInfo.InvariantCulture);
}

internal static class Spaces
{
    internal static (Length Inches, string Words)? TooFar(JobAnalysis a, RoomShape shape, WallSpace space, Length reach, bool counter)
    {
        var held = ReceptacleRules.Held(a.Job.Decisions.Boxes, a.Job, a.Edition, shape, space, counter).ToList();
        if (held.Count == 0)
            return (new Length(long.MaxValue / 4), "no receptacle");
        var far = Cover.Farthest(space.Length, held);
        return far > reach ? (far, $"a point {LengthText.Show(far)} from a receptacle") : null;
    }

    internal static FindingFix Add(JobAnalysis a, RoomShape shape, WallSpace space, Length reach, bool counter)
    {
        // One that is missing is added where it serves best; for more the room is proposed, as for a room without any.
        if (!a.Job.Decisions.Boxes.Any(b => b.Kind == BoxKind.Receptacle && b.Room == shape.Room.Id))
            return BoxFixes.Propose(shape);
        if (ReceptacleRules.Missing(a.Job, a.Edition, a.Job.Decisions.Boxes, shape, space, reach, counter) is not [var only])
            return BoxFixes.Propose(shape);
        var (wall, along) = shape.FromPerimeter(space.Start + only);
        return BoxFixes.AddReceptacle(shape, wall, along);
    }
}
