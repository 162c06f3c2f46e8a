using Circuitum.Core.BoxLayout;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Entry;

/// <summary>The floor of a room while it is furnished: what is free along its walls, and what is put there.</summary>
internal sealed class FloorRoom
{
    // Between a door jamb and what stands beside it, its casing.
    private const double CasingInches = 3;

    private readonly List<(double W, double N, double E, double S)> taken = [];

    /// <summary>Looks at a room as it stands.</summary>
    internal FloorRoom(Job job, string room)
    {
        Job = job;
        Shape = HouseShape.Of(job)[room];
        foreach (var spot in Spots(job, room))
            taken.Add(Places.Box(Shape, spot));
        foreach (var o in Shape.Openings.Where(o => o.Opening.Kind != OpeningKind.Window))
            taken.Add(Swing(o));
    }

    /// <summary>The job so far.</summary>
    internal Job Job { get; private set; }

    /// <summary>The room.</summary>
    internal RoomShape Shape { get; }

    /// <summary>Stretches of wall in front of which the floor is free, long ones first; windows do not count.</summary>
    internal List<(int Wall, Length From, Length To)> Free(double deepInches)
    {
        var free = new List<(int Wall, Length From, Length To)>();
        foreach (var wall in Shape.Walls)
        {
            Length? from = null;
            var step = Length.Inches(1);
            for (var at = Length.Zero; at + step <= wall.Length; at += step)
            {
                var clear = IsFree(Box(wall.Index, at, step, deepInches));
                if (clear)
                    from ??= at;
                if (from is { } began && (!clear || at + step + step > wall.Length))
                {
                    free.Add((wall.Index, began, clear ? at + step : at));
                    from = null;
                }
            }
        }

        return [.. free.OrderByDescending(f => f.To - f.From).ThenBy(f => f.Wall)];
    }

    /// <summary>The same without what has a window over it, for what wants a mirror.</summary>
    internal List<(int Wall, Length From, Length To)> FreeOfWindows(double deepInches)
    {
        var clear = new List<(int Wall, Length From, Length To)>();
        foreach (var (wall, from, to) in Free(deepInches))
        {
            var at = from;
            foreach (var window in Shape.Openings.Where(o => o.Wall == wall && o.To > from && o.From < to).OrderBy(o => o.From))
            {
                clear.Add((wall, at, window.From));
                at = Length.Max(at, window.To);
            }

            clear.Add((wall, at, to));
        }

        return [.. clear.Where(c => c.To > c.From).OrderByDescending(c => c.To - c.From).ThenBy(c => c.Wall)];
    }

    /// <summary>Puts a fixture against a wall.</summary>
    internal void Put(FixtureKind kind, int wall, Length from, Length? wide = null)
    {
        var (usual, deep) = ThingSizes.Of(kind);
        var id = Names.Free($"{kind}", Job.Fixtures.Select(f => f.Id));
        var made = new Fixture
        {
            Id = id,
            Kind = kind,
            Room = Shape.Room.Id,
            Spot = Spot(wall, from, wide ?? usual, deep),
        };
        Job = Job with { Fixtures = Job.Fixtures.Add(made) };
    }

    /// <summary>What the room usually has for a use, and does not have yet.</summary>
    internal ApplianceType? Missing(PieceUse use) => AllMissing(use).FirstOrDefault();

    /// <summary>All that the room usually has for a use, and does not have yet.</summary>
    internal IEnumerable<ApplianceType> AllMissing(PieceUse use) =>
        CodeLibrary
            .Furniture.Where(f => f.Room == Shape.Room.Kind && f.Piece == use)
            .Where(f => !Job.Appliances.Any(a => a.Room == Shape.Room.Id && f.IsDoneBy(a.Type)))
            .Select(f => CodeLibrary.Appliances[f.Type])
            .ToList();

    /// <summary>Puts an appliance against a wall.</summary>
    internal void Put(ApplianceType type, int wall, Length from)
    {
        var (wide, deep) = ThingSizes.Of(type);
        Add(type, Spot(wall, from, wide, deep));
    }

    /// <summary>Hangs an appliance from the ceiling, its middle at a place.</summary>
    internal void Hang(ApplianceType type, Point at) => Add(type, Furnishing.Hung(Shape, type, at));

    /// <summary>Puts a counter along a wall.</summary>
    internal void PutCounter(int wall, Length from, Length to)
    {
        var id = Names.Free("counter", Job.Counters.Select(c => c.Id));
        var made = new Counter
        {
            Id = id,
            Room = Shape.Room.Id,
            Spot = Spot(wall, from, to - from, ThingSizes.CounterDepth),
        };
        Job = Job with { Counters = Job.Counters.Add(made) };
    }

    /// <summary>Whether such a fixture is in the room already.</summary>
    internal bool Has(FixtureKind kind) => Job.Fixtures.Any(f => f.Room == Shape.Room.Id && f.Kind == kind);

    private void Add(ApplianceType type, Spot spot)
    {
        var made = new Appliance
        {
            Id = Names.Free(type.Id, Job.Appliances.Select(a => a.Id)),
            Type = type.Id,
            Room = Shape.Room.Id,
            Spot = spot,
        };
        Job = Job with { Appliances = Job.Appliances.Add(made) };
    }

    private Spot Spot(int wall, Length from, Length wide, Length deep)
    {
        taken.Add(Box(wall, from, wide, deep.InInches));
        return new()
        {
            Wall = wall,
            From = from,
            Width = wide,
            Depth = deep,
        };
    }

    private bool IsFree((double W, double N, double E, double S) box) =>
        !taken.Exists(t => t.W < box.E - 0.1 && box.W < t.E - 0.1 && t.N < box.S - 0.1 && box.N < t.S - 0.1) && IsInside(box);

    // All four corners, drawn in by a hair, lie in the room.
    private bool IsInside((double W, double N, double E, double S) box) =>
        new[] { (box.W + 0.2, box.N + 0.2), (box.E - 0.2, box.N + 0.2), (box.E - 0.2, box.S - 0.2), (box.W + 0.2, box.S - 0.2) }.All(c =>
            Shape.Contains(new(Length.Inches(c.Item1), Length.Inches(c.Item2)))
        );

    private (double W, double N, double E, double S) Box(int wall, Length from, Length wide, double deep) =>
        Places.Box(
            Shape,
            new()
            {
                Wall = wall,
                From = from,
                Width = wide,
                Depth = Length.Inches(deep),
            }
        );

    // In front of a door nothing stands, as deep as its leaf is wide where it swings in, a step otherwise.
    private (double W, double N, double E, double S) Swing(RoomOpening o)
    {
        const double Step = 24;
        var casing = Length.Inches(CasingInches);
        var deep = o.Opening.Kind == OpeningKind.Hinged && o.SwingsIn ? o.Opening.Width.InInches : Step;
        return Box(o.Wall, o.From - casing, o.Opening.Width + casing + casing, Math.Max(Step, deep));
    }

    private static IEnumerable<Spot> Spots(Job job, string room) =>
        [
            .. job.Fixtures.Where(f => f.Room == room && f.Bottom is null).Select(f => f.Spot),
            .. job.Counters.Where(c => c.Room == room).Select(c => c.Spot),
            .. job.Appliances.Where(a => a.Room == room && !CodeLibrary.Appliances[a.Type].Overhead).Select(a => a.Spot),
        ];
}
