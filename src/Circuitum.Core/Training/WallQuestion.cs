using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Training;

/// <summary>What an inspector finds in a wall: its work as planned, with one thing done wrong.</summary>
internal static class WallQuestion
{
    internal static Question? Make(JobAnalysis a, Random random)
    {
        if (Trainer.Pick(random, [.. a.House.Rooms.Where(r => !r.Room.Kind.OpenAir())]) is not { } room)
            return null;
        var wall = random.Next(room.Walls.Length);
        var inside = WallCables.Of(a, room, wall);
        if (inside.Cables.Length == 0 || inside.Holes.Length == 0)
            return null;
        var p = a.Job.Preferences;
        (string Good, string Bad, string Why)[] facts =
        [
            (
                $"first staple {LengthText.Show(p.StapleFromBox)} from the box",
                $"first staple {LengthText.Show(p.StapleFromBox + Length.Inches(6))} from the box",
                "a cable is secured near each box"
            ),
            (
                $"staples every {LengthText.Show(p.StapleEvery)}",
                $"staples every {LengthText.Show(p.StapleEvery + Length.Feet(2))}",
                "a cable is secured at least every 4-1/2 ft"
            ),
            (
                "holes 1-1/2\" from the face of the stud",
                "holes 1\" from the face of the stud, no plate",
                "nearer than 1-1/4\" it takes a plate"
            ),
            ("6\" of free conductor in each box", "4\" of free conductor in one box", "at least 6\" of free conductor"),
            ("sheath 1/4\" into each box", "sheath ends before one box", "the sheath comes at least 1/4\" into the box"),
            ("boxes proud of the stud by the board", "one box flush with the stud", "its edge has to meet the finished wall"),
            ("grounds joined in every box", "a ground folded back, not joined", "every ground of a box is joined"),
        ];
        var wrong = random.Next(facts.Length);
        return new(
            Exercise.Wall,
            $"The {LabelWriter.Facing(room, wall)} wall of {room.Room.Name} before it is closed. What does the inspector fail?",
            [$"{inside.Cables.Length} cables, {inside.Holes.Length} holes by the plan"],
            [.. facts.Select((f, i) => new Choice(i == wrong ? f.Bad : f.Good, i == wrong)).OrderBy(_ => random.Next())],
            $"{char.ToUpperInvariant(facts[wrong].Why[0])}{facts[wrong].Why[1..]}."
        );
    }
}
