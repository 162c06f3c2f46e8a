using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Entry;

/// <summary>
/// Furnishes a kitchen along the two walls that suit best: the sink under the window with the dishwasher beside it, the refrigerator at the
/// end, the range on the other wall with its hood.
/// </summary>
internal static class KitchenFurniture
{
    private const double LeastRunInches = 48;
    private const double WorthOfWindowInches = 60;
    private const double LeastForRefrigeratorInches = 108;
    private const double LeastForRangeInches = 54;

    // Beside a range at the end of a counter there is room to put down a pan.
    private static readonly Length AtEnd = Length.Inches(12);

    private readonly record struct Run(int Wall, Length From, Length To)
    {
        internal Length Size => To - From;
        internal Length Middle => (From + To) / 2;
    }

    /// <summary>Puts in what is missing; a sentence when there is no wall for it.</summary>
    internal static string Put(FloorRoom floor)
    {
        var runs = Runs(floor);
        if (runs.Count == 0)
            return "There is no wall of 4 ft that is free for a counter.";
        var main = runs.MaxBy(r => r.Size.InInches + (Window(floor, r) is null ? 0 : WorthOfWindowInches));
        var counter = main;
        if (floor.Missing(PieceUse.Cold) is { } cold && main.Size.InInches >= LeastForRefrigeratorInches)
        {
            // At the end that is no corner with another run: there the counter goes round.
            var (wide, _) = ThingSizes.Of(cold);
            var atStart = main.From > Length.Zero || !Turns(floor, main, atStart: true);
            var from = atStart ? main.From : main.To - wide;
            floor.Put(cold, main.Wall, from);
            counter = atStart ? main with { From = from + wide } : main with { To = from };
        }

        if (!floor.Job.Counters.Any(c => c.Room == floor.Shape.Room.Id && c.Spot.Wall is not null))
            floor.PutCounter(counter.Wall, counter.From, counter.To);
        Sink(floor, counter);
        Cooking(floor, counter);
        if (floor.Missing(PieceUse.Cold) is not { } left)
            return "";
        var (needs, deep) = ThingSizes.Of(left);
        if (Runs(floor, deep.InInches, needs.InInches) is not [var rest, ..])
            return $"There is no wall left that is free for a {left.Name.ToLowerInvariant()}.";
        floor.Put(left, rest.Wall, rest.From);
        return "";
    }

    private static List<Run> Runs(FloorRoom floor) => Runs(floor, ThingSizes.CounterDepth.InInches, LeastRunInches);

    private static List<Run> Runs(FloorRoom floor, double deep, double least) =>
        [.. floor.Free(deep).Select(f => new Run(f.Wall, f.From, f.To)).Where(r => r.Size.InInches >= least)];

    // Whether the wall at its corner has room for a counter as well.
    private static bool Turns(FloorRoom floor, Run run, bool atStart)
    {
        var count = floor.Shape.Walls.Length;
        var next = (run.Wall + (atStart ? count - 1 : 1)) % count;
        var touches = atStart ? run.From == Length.Zero : run.To == floor.Shape.Walls[run.Wall].Length;
        return touches
            && Runs(floor).Exists(r => r.Wall == next && (atStart ? r.To == floor.Shape.Walls[next].Length : r.From == Length.Zero));
    }

    private static void Sink(FloorRoom floor, Run counter)
    {
        var (wide, _) = ThingSizes.Of(FixtureKind.Sink);
        if (floor.Has(FixtureKind.Sink) || counter.Size < wide)
            return;
        var middle = Window(floor, counter) ?? counter.Middle;
        var from = Within(counter, middle - (wide / 2), wide);
        floor.Put(FixtureKind.Sink, counter.Wall, from);
        if (floor.Missing(PieceUse.WashingUp) is not { } washer)
            return;
        var (room, _) = ThingSizes.Of(washer);
        var gap = Length.Inches(3);
        if (from + wide + gap + room <= counter.To)
            floor.Put(washer, counter.Wall, from + wide + gap);
        else if (from - gap - room >= counter.From)
            floor.Put(washer, counter.Wall, from - gap - room);
    }

    // On another wall with counter at both sides where there is one, else at the end of the counter that is farther from the sink.
    private static void Cooking(FloorRoom floor, Run counter)
    {
        if (floor.Missing(PieceUse.Cooking) is not { } range)
            return;
        var (wide, _) = ThingSizes.Of(range);
        var other = Runs(floor, ThingSizes.CounterDepth.InInches, LeastForRangeInches).Find(r => r.Wall != counter.Wall);
        int wall;
        Length from;
        if (other.Size.Units > 0)
        {
            floor.PutCounter(other.Wall, other.From, other.To);
            (wall, from) = (other.Wall, Within(other, other.Middle - (wide / 2), wide));
        }
        else
        {
            var sink = floor.Job.Fixtures.LastOrDefault(f => f.Room == floor.Shape.Room.Id && f.Kind == FixtureKind.Sink)?.Spot;
            var beforeSink = sink is { Wall: { } at } && at == counter.Wall && sink.From + (sink.Width / 2) > counter.Middle;
            (wall, from) = (counter.Wall, Within(counter, beforeSink ? counter.From + AtEnd : counter.To - AtEnd - wide, wide));
        }

        floor.Put(range, wall, from);
        if (floor.Missing(PieceUse.OverCooking) is { } hood)
            floor.Put(hood, wall, from);
    }

    private static Length Within(Run run, Length from, Length wide) =>
        Length.Max(run.From, Length.Min(from.RoundTo(Length.Inches(0.5)), run.To - wide));

    private static Length? Window(FloorRoom floor, Run run) =>
        floor
            .Shape.Openings.Where(o => o.Wall == run.Wall && o.Opening.Kind == OpeningKind.Window)
            .Select(o => (Length?)(o.From + (o.Opening.Width / 2)))
            .Where(m => m > run.From && m < run.To)
            .FirstOrDefault();
}
