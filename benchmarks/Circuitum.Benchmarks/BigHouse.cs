using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

/// <summary>A generated house of 60 rooms in a grid with 400 openings.</summary>
internal static class BigHouse
{
    private const int Columns = 10;

    /// <summary>The house.</summary>
    /// <param name="count">How many rooms, in rows of ten.</param>
    internal static Job Make(int count = 60)
    {
        var rooms = Enumerable.Range(0, count).Select(i => Rect(i, i % Columns * 162, i / Columns * 138)).ToList();
        var openings = new List<Opening>();
        for (var i = 0; i < count; i++)
        {
            var right = i % Columns < Columns - 1 ? $"r{i + 1}" : Opening.Outside;
            var below = i + Columns < count ? $"r{i + Columns}" : Opening.Outside;
            foreach (var (from, kind) in new[] { (6, OpeningKind.Hinged), (50, OpeningKind.Cased), (92, OpeningKind.Pocket) })
                Add(i, 1, from, kind, right);
            foreach (var (from, kind) in new[] { (6, OpeningKind.Hinged), (60, OpeningKind.Cased), (110, OpeningKind.Pocket) })
                Add(i, 2, from, kind, below);
            if (i < Columns)
                foreach (var from in new[] { 10, 60, 110 })
                    Add(i, 0, from, OpeningKind.Window, Opening.Outside);
            if (i % Columns == 0)
                foreach (var from in new[] { 6, 50 })
                    Add(i, 3, from, OpeningKind.Window, Opening.Outside);
        }

        return new Job
        {
            Name = "Big house",
            Storeys = [new Storey { Id = "first", Name = "First" }],
            Rooms = [.. rooms],
            Openings = [.. openings.Take(400 * count / 60)],
            Panels =
            [
                new Panel
                {
                    Id = "main",
                    Name = "Main",
                    Room = "r0",
                    Along = Length.Inches(47),
                    BreakerFamily = "A",
                },
            ],
        };

        void Add(int room, int wall, int from, OpeningKind kind, string to) =>
            openings.Add(
                new Opening
                {
                    Id = $"o{openings.Count}",
                    Kind = to == Opening.Outside ? OpeningKind.Window : kind,
                    Room = $"r{room}",
                    Wall = wall,
                    From = Length.Inches(from),
                    Width = Length.Inches(30),
                    To = to,
                }
            );
    }

    private static Room Rect(int i, double x, double y) =>
        new()
        {
            Id = $"r{i}",
            Name = $"Room {i}",
            Storey = "first",
            Kind = (RoomKind)new[] { (int)RoomKind.Bedroom, (int)RoomKind.Living, (int)RoomKind.Office, (int)RoomKind.Den }[i % 4],
            Outline = [P(x, y), P(x + 156, y), P(x + 156, y + 132), P(x, y + 132)],
        };

    private static Point P(double x, double y) => new(Length.Inches(x), Length.Inches(y));
}
