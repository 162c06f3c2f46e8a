using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.BoxLayout;

/// <summary>Lights over counters, basins and in closets.</summary>
internal static class WorkLightRules
{
    internal static void Kitchen(Draft draft, RoomShape shape)
    {
        var near = new List<(Point At, double Clear)>();
        foreach (var island in draft.Job.Counters.Where(c => c.Room == shape.Room.Id && IslandRules.IsIsland(c)))
        {
            var (w, n, e, s) = Places.Box(shape, island.Spot);
            var along = e - w >= s - n;
            var length = Math.Max(e - w, s - n);
            var count = Math.Clamp((int)Math.Round(length / LightRules.PendantPitch.InInches), 1, 5);
            for (var i = 0; i < count; i++)
            {
                var share = ((2 * i) + 1) / (2.0 * count);
                var p = along
                    ? new Point(Length.Inches(w + ((e - w) * share)), Length.Inches((n + s) / 2))
                    : new Point(Length.Inches((w + e) / 2), Length.Inches(n + ((s - n) * share)));
                LightRules.Put(draft, shape, p, LightStyle.Pendant);
                near.Add((p, 44));
            }
        }

        foreach (var (wall, from, to, depth) in CounterRuns(draft.Job, shape))
        {
            var count = Math.Max(1, (int)Math.Round((to - from).InInches / LightRules.CounterPitch.InInches));
            for (var i = 0; i < count; i++)
            {
                var p = shape.On(wall, from + Length.Inches((to - from).InInches * ((2 * i) + 1) / (2.0 * count)), depth.InInches);
                if (!shape.Contains(p) || near.Any(x => x.At.InchesTo(p) < 24))
                    continue;
                LightRules.Put(draft, shape, p, LightStyle.Recessed);
                near.Add((p, 40));
            }
        }

        LightRules.Grid(draft, shape, draft.Job.Preferences.RecessedSpacing, LightStyle.Recessed, p =>
            near.All(x => x.At.InchesTo(p) >= x.Clear)
        );
    }

    /// <summary>How many lights an unfinished basement has by its area, where a rule says so; none where none does.</summary>
    internal static int BasementLights(CodeEdition edition, RoomShape shape) =>
        edition.InForce("box.basementLight")
            ? (int)Math.Ceiling((shape.AreaSqFt * FloorArea.SqMInSqFt / edition.Number("basementLightSqM")) - 1e-9)
            : 0;

    // Counters that stand side by side on a wall, the range or the sink between them included, are lit as one.
    internal static IEnumerable<(int Wall, Length From, Length To, Length Depth)> CounterRuns(Job job, RoomShape shape)
    {
        foreach (
            var wall in job
                .Counters.Where(c => c.Room == shape.Room.Id && c.Spot.Wall is not null && !c.Peninsula)
                .GroupBy(c => c.Spot.Wall!.Value)
                .OrderBy(g => g.Key)
        )
        {
            var runs = wall.Select(c => (c.Spot.From, To: c.Spot.From + c.Spot.Width, c.Spot.Depth)).OrderBy(r => r.From).ToList();
            var (from, to, depth) = runs[0];
            foreach (var run in runs.Skip(1))
            {
                if (run.From <= to + Length.Inches(40))
                {
                    (to, depth) = (Length.Max(to, run.To), Length.Max(depth, run.Depth));
                    continue;
                }

                yield return (wall.Key, from, to, depth);
                (from, to, depth) = run;
            }

            yield return (wall.Key, from, to, depth);
        }
    }

    internal static void Bathroom(Draft draft, RoomShape shape)
    {
        var basins = draft
            .Job.Fixtures.Where(f => f.Room == shape.Room.Id && f.Kind == FixtureKind.Basin && f.Spot.Wall is not null)
            .ToList();
        foreach (var basin in basins)
            draft.Add(
                new Box
                {
                    Kind = BoxKind.Light,
                    Room = shape.Room.Id,
                    Wall = basin.Spot.Wall,
                    Along = BesideWindow(shape, basin.Spot.Wall!.Value, basin.Spot.From + (basin.Spot.Width / 2)),
                    Height = VanityHeight,
                    Fixture = LightStyle.Vanity,
                }
            );
        if (shape.AreaSqFt >= 50 || basins.Count == 0)
            LightRules.Put(draft, shape, shape.Centre, null);
    }

    // Over the mirror; where a window is in its place, beside the window on the nearer side that is wall.
    private static Length BesideWindow(RoomShape shape, int wall, Length along)
    {
        var jamb = LightRules.BesideJamb;
        var window = shape.Openings.FirstOrDefault(o => o.Wall == wall && along > o.From - jamb && along < o.To + jamb);
        if (window is null || !ReceptacleSpots.InOpeningAt(shape, wall, along, VanityHeight, jamb.InInches))
            return along;
        return new[] { window.From - jamb, window.To + jamb }
            .Where(a => a >= jamb && a <= shape.Walls[wall].Length - jamb && !ReceptacleSpots.InOpeningAt(shape, wall, a, VanityHeight, 0))
            .OrderBy(a => (a - along).Abs())
            .Select(a => (Length?)a)
            .FirstOrDefault()
            ?? along;
    }

    private static readonly Length VanityHeight = Length.Inches(78);

    internal static void Closet(Draft draft, RoomShape shape)
    {
        var best = shape.Centre;
        var most =
            shape.InchesToWall(best) >= LightRules.CanFromWall ? Math.Min(ClosetLight.ClearInches(shape, best), 24) : double.MinValue;
        foreach (var p in Places.Spread(shape, 16).Where(p => shape.InchesToWall(p) >= LightRules.CanFromWall))
        {
            var worth = Math.Min(ClosetLight.ClearInches(shape, p), 24) - (p.InchesTo(shape.Centre) / 100);
            if (worth > most)
                (best, most) = (p, worth);
        }

        if (most > double.MinValue && ClosetLight.ClearInches(shape, best) >= draft.Edition.Number("closetClearRecessedIn"))
            LightRules.Put(draft, shape, best, LightStyle.Recessed);
        else if (shape.Openings.FirstOrDefault(o => o.IsDoorway) is { } door)
            draft.Add(
                new Box
                {
                    Kind = BoxKind.Light,
                    Room = shape.Room.Id,
                    Wall = door.Wall,
                    Along = door.From + (door.Opening.Width / 2),
                    Height = Length.Min(Length.Inches(88), shape.Room.CeilingHeight),
                    Fixture = LightStyle.Wall,
                }
            );
    }
}
