using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Field;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Training;

/// <summary>An inspection to practise: one wall, or a walk from room to room to the panel, with mistakes to be found.</summary>
internal static class InspectionWalk
{
    private const int Rooms = 6;
    private const int Panels = 2;
    private const int SeenInOnePlace = 4;

    /// <summary>A wall of a room, with one thing wrong in it.</summary>
    internal static Question? Wall(JobAnalysis a, Random random)
    {
        if (Trainer.Pick(random, [.. a.House.Rooms.Where(r => !r.Room.Kind.OpenAir())]) is not { } room)
            return null;
        var wall = random.Next(room.Walls.Length);
        var inside = WallCables.Of(a, room, wall);
        if (inside.Cables.Length == 0 || inside.Holes.Length == 0)
            return null;
        Sighting[] seen = [.. Sightings.InWall(a, inside)];
        var wrong = random.Next(seen.Length);
        return new(
            Exercise.Wall,
            $"The {LabelWriter.Facing(room, wall)} wall of {room.Room.Name} before it is closed. What does the inspector fail?",
            [$"{inside.Cables.Length} cables, {inside.Holes.Length} holes by the plan"],
            [.. seen.Select((s, i) => new Choice(i == wrong ? s.Bad : s.Good, i == wrong)).OrderBy(_ => random.Next())],
            $"{Sentence(seen[wrong].Why)}"
        );
    }

    /// <summary>A walk through the house; each mistake says why it fails.</summary>
    internal static Question? House(JobAnalysis a, Random random)
    {
        var inspection = random.Next(2) == 0 ? Inspection.RoughIn : Inspection.Final;
        var rough = inspection == Inspection.RoughIn;
        var rooms = BoxSchedule.Of(a);
        var stops = Enumerable
            .Range(0, rooms.Length)
            .OrderBy(_ => random.Next())
            .Take(Rooms)
            .Order()
            .Select(i => rooms[i])
            .Select(r => (Place: r.Room.Room.Name, Seen: Some(random, rough ? Sightings.InRoom(a, r) : FinalSightings.InRoom(a, r))))
            .Concat(
                a.Panels.Take(Panels)
                    .Select(p => (Place: p.Panel.Name, Seen: Some(random, rough ? Sightings.AtPanel(p) : FinalSightings.AtPanel(p))))
            )
            .Where(s => s.Seen.Length > 1)
            .ToList();
        var all = stops.SelectMany(s => s.Seen.Select(x => (s.Place, Seen: x))).ToList();
        if (stops.Count < 3)
            return null;
        var mistakes = Enumerable.Range(0, all.Count).OrderBy(_ => random.Next()).Take(2 + random.Next(stops.Count - 1)).ToHashSet();
        return new(
            Exercise.Walk,
            $"{CheckOff.Name(inspection)}: a walk through {CheckOff.Count(stops.Count, "place", "places")}. Fail what would not pass.",
            [$"{all.Count} things are seen; how many of them are wrong is not told."],
            [
                .. all.Select(
                    (x, i) =>
                        mistakes.Contains(i)
                            ? new Choice(x.Seen.Bad, true, x.Place, Sentence(x.Seen.Why))
                            : new Choice(x.Seen.Good, false, x.Place)
                ),
            ],
            $"{CheckOff.Count(mistakes.Count, "thing", "things")} would be failed. What the local inspector passes is for that "
                + "person to say."
        );
    }

    // The same thing is seen once in a place, such as staples in one of its walls.
    private static ImmutableArray<Sighting> Some(Random random, IEnumerable<Sighting> seen) =>
        [.. seen.OrderBy(_ => random.Next()).DistinctBy(s => s.Why).Take(SeenInOnePlace)];

    private static string Sentence(string why) => $"{char.ToUpperInvariant(why[0])}{why[1..]}.";
}
