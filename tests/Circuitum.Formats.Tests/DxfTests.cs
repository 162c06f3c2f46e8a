using System.Globalization;
using System.Text;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Planning;
using Circuitum.Core.Review;
using Circuitum.Formats.Dxf;

namespace Circuitum.Formats.Tests;

public class DxfTests
{
    private static Job Demo(string name) => JobFile.Read(File.ReadAllText(Path.Combine(Repository(), "demo", name))).Job!;

    private static string Repository()
    {
        var at = new DirectoryInfo(AppContext.BaseDirectory);
        while (!File.Exists(Path.Combine(at!.FullName, "Circuitum.slnx")))
            at = at.Parent;
        return at.FullName;
    }

    private static DxfDrawing Drawing(string text)
    {
        var reading = DxfReader.Read(Encoding.UTF8.GetBytes(text));
        reading.Problem.ShouldBe("");
        return reading.Drawing!;
    }

    private static string Problem(string text)
    {
        var reading = DxfReader.Read(Encoding.UTF8.GetBytes(text));
        reading.Drawing.ShouldBeNull();
        return reading.Problem;
    }

    private static string File1(params string[] entities) =>
        $"  0\nSECTION\n  2\nENTITIES\n{string.Concat(entities)}  0\nENDSEC\n  0\nEOF\n";

    private static string Line(string layer, double x1, double y1, double x2, double y2) =>
        string.Create(CultureInfo.InvariantCulture, $"  0\nLINE\n  8\n{layer}\n 10\n{x1}\n 20\n{y1}\n 11\n{x2}\n 21\n{y2}\n");

    private static Job Empty => new() { Name = "Read back", Storeys = [new Storey { Id = "first", Name = "First" }] };

    private static string Outline(Room room)
    {
        // The same ring may begin at another corner.
        var first = room.Outline.Select((p, i) => (p, i)).OrderBy(x => x.p.Y).ThenBy(x => x.p.X).First().i;
        return string.Join(" ", Enumerable.Range(0, room.Outline.Length).Select(i => room.Outline[(first + i) % room.Outline.Length]));
    }

    private static IEnumerable<string> Doors(Job job) =>
        HouseShape.Of(job) is var house
            ? job
                .Openings.Select(o =>
                {
                    var (p, q) = (house[o.Room].On(o.Wall, o.From), house[o.Room].On(o.Wall, o.From + o.Width));
                    var hinge = o.Kind == OpeningKind.Hinged ? (o.Hinge == End.Start ? p : q).ToString() : "";
                    var ends = new[] { p, q }.OrderBy(x => x.X).ThenBy(x => x.Y);
                    return $"{o.Kind} {string.Join(" ", ends)} {hinge} {job.RoomById(o.Room)!.Name} to "
                        + $"{(o.To == Opening.Outside ? o.To : job.RoomById(o.To)!.Name)} {o.SwingsIn}";
                })
                .Order(StringComparer.Ordinal)
            : [];

    [Theory]
    [InlineData("tamarack-row.json", 0)]
    [InlineData("tamarack-row.json", 1)]
    [InlineData("gull-cottage.json", 0)]
    [InlineData("larch-siding.json", 0)]
    [InlineData("larch-siding.json", 1)]
    public void What_is_written_is_read_back_the_same(string demo, int storey)
    {
        var job = Demo(demo);
        job = job with { Rooms = [.. job.Rooms.Select((r, i) => r with { CeilingHeight = Length.Inches(90 + (i * 3.5)) })] };
        var id = job.Storeys[storey].Id;
        var drawing = Drawing(DxfWriter.Write(Analyzer.Analyze(job), id));
        drawing.InchesPerUnit.ShouldBe(job.Units == LengthUnits.Metric ? 1 / 25.4 : 1);
        var import = DxfPlan.Import(drawing, DxfChoice.Guess(drawing), Empty, "first");
        import.Problem.ShouldBe("");
        var kept = job.Rooms.Where(r => r.Storey == id).ToList();
        import
            .Job!.Rooms.Select(r => $"{r.Name} {r.Kind} {r.CeilingHeight}: {Outline(r)}")
            .Order(StringComparer.Ordinal)
            .ShouldBe(kept.Select(r => $"{r.Name} {r.Kind} {r.CeilingHeight}: {Outline(r)}").Order(StringComparer.Ordinal));
        var part = job with { Rooms = [.. kept], Openings = [.. job.Openings.Where(o => kept.Any(r => r.Id == o.Room))] };
        Doors(import.Job).Except(Doors(part)).ShouldBe([]);
        Doors(part).Except(Doors(import.Job)).ShouldBe([]);
    }

    [Theory]
    [InlineData("gull-cottage.json", 0)]
    [InlineData("tamarack-row.json", 1)]
    public void Rooms_are_found_between_wall_lines_alone(string demo, int storey)
    {
        var job = Demo(demo);
        var id = job.Storeys[storey].Id;
        var drawing = Drawing(DxfWriter.Write(Analyzer.Analyze(job), id));
        var guess = DxfChoice.Guess(drawing);
        var import = DxfPlan.Import(drawing, guess with { Rooms = [] }, Empty, "first");
        import.Problem.ShouldBe("");
        var kept = job.Rooms.Where(r => r.Storey == id && !r.Kind.OpenAir()).ToList();
        import
            .Job!.Rooms.Select(r => $"{r.Name}: {Outline(r)}")
            .Order(StringComparer.Ordinal)
            .ShouldBe(kept.Select(r => $"{r.Name}: {Outline(r)}").Order(StringComparer.Ordinal));
        import
            .Job.Openings.Count(o => o.Kind == OpeningKind.Hinged)
            .ShouldBe(job.Openings.Count(o => o.Kind == OpeningKind.Hinged && kept.Any(r => r.Id == o.Room || r.Id == o.To)));
        import.Report.ShouldContain(r => r.Contains("between the lines on WALLS", StringComparison.Ordinal));
    }

    [Fact]
    public void Single_line_walls_in_metres_are_taken_as_partitions()
    {
        string[] lines =
        [
            Line("W", 0, 0, 8, 0),
            Line("W", 8, 0, 8, 4),
            Line("W", 8, 4, 0, 4),
            Line("W", 0, 4, 0, 0),
            Line("W", 4, 0, 4, 4),
        ];
        var drawing = Drawing("  0\nSECTION\n  2\nHEADER\n  9\n$INSUNITS\n 70\n6\n  0\nENDSEC\n" + File1(lines));
        var import = DxfPlan.Import(drawing, DxfChoice.Guess(drawing) with { Walls = ["W"] }, Empty, "first");
        import.Job!.Rooms.Length.ShouldBe(2);
        import.Report.ShouldContain(r => r.Contains("single lines", StringComparison.Ordinal));
        new RoomShape(import.Job.Rooms[0]).AreaSqFt.ShouldBe((4 - 0.1143) * (4 - 0.1143) * 10.7639, 0.2);
        HouseShape.Of(import.Job).Facing(HouseShape.Of(import.Job)[import.Job.Rooms[0].Id], 1).Length.ShouldBe(1);
    }

    [Fact]
    public void Blocks_are_laid_out_turned_and_scaled()
    {
        const string Block =
            "  0\nSECTION\n  2\nBLOCKS\n  0\nBLOCK\n  2\nD\n 10\n0\n 20\n0\n  0\nLINE\n  8\n0\n 10\n0\n 20\n0\n 11\n1\n "
            + "21\n0\n  0\nARC\n  8\n0\n 10\n0\n 20\n0\n 40\n1\n 50\n0\n 51\n90\n  0\nENDBLK\n  0\nENDSEC\n";
        var drawing = Drawing(Block + File1("  0\nINSERT\n  8\nDOORS\n  2\nD\n 10\n100\n 20\n50\n 41\n30\n 42\n30\n 50\n90\n"));
        drawing
            .Paths.Single()
            .ShouldSatisfyAllConditions(
                p => p.Layer.ShouldBe("DOORS"),
                p => p.Points[1].X.ShouldBe(100, 1e-6),
                p => p.Points[1].Y.ShouldBe(80, 1e-6)
            );
        drawing
            .Arcs.Single()
            .ShouldSatisfyAllConditions(a => a.Radius.ShouldBe(30, 1e-6), a => a.From.ShouldBe(90, 1e-6), a => a.To.ShouldBe(180, 1e-6));
    }

    [Fact]
    public void The_report_says_what_was_not_taken()
    {
        var drawing = Drawing(
            File1(
                Line("WALL", 0, 0, 200, 0),
                Line("WALL", 200, 0, 200, 150),
                Line("WALL", 200, 150, 0, 150),
                Line("WALL", 0, 150, 0, 0),
                Line("NOTES", 5, 5, 9, 9),
                "  0\nHATCH\n  8\nWALL\n",
                "  0\nHATCH\n  8\nWALL\n",
                Line("WALL", double.NaN, 0, 1, 1)
            )
        );
        var import = DxfPlan.Import(drawing, DxfChoice.Guess(drawing), Empty, "first");
        import.Job!.Rooms.Length.ShouldBe(1);
        import.Report.ShouldContain("Not taken: 2 HATCH.");
        import.Report.ShouldContain(r => r.Contains("a number that is none", StringComparison.Ordinal));
        import.Report.ShouldContain(r => r.Contains("NOTES (1)", StringComparison.Ordinal));
        DxfPlan.Import(drawing, DxfChoice.Guess(drawing), import.Job, "first").Problem.ShouldContain("has rooms already");
        DxfPlan.Import(drawing, DxfChoice.Guess(drawing) with { Walls = [] }, Empty, "first").Problem.ShouldContain("Choose the layers");
        DxfPlan
            .Import(drawing, DxfChoice.Guess(drawing) with { Walls = ["NOTES"] }, Empty, "first")
            .Problem.ShouldContain("No closed room");
        DxfPlan
            .Import(drawing, DxfChoice.Guess(drawing) with { InchesPerUnit = double.NaN }, Empty, "first")
            .Problem.ShouldContain("Units");
    }

    [Fact]
    public void Bad_files_get_a_sentence()
    {
        Problem("hello\nworld\n").ShouldContain("not a DXF");
        Problem("").ShouldContain("breaks off");
        Problem("  0\nSECTION\n  2\nENTITIES\n  0\nLINE\n  8\nW\n").ShouldContain("breaks off");
        Problem(File1()).ShouldContain("no line, arc or text");
        Problem("  0\nSECTION\n  2\nENTITIES\nnonsense\n1\n").ShouldContain("Line 5");
        DxfReader.Read([1, 2, 0, 3]).Problem.ShouldContain("binary");
        Problem(
                "  0\nSECTION\n  2\nBLOCKS\n  0\nBLOCK\n  2\nA\n  0\nINSERT\n  2\nA\n  0\nENDBLK\n  0\nENDSEC\n"
                    + File1("  0\nINSERT\n  2\nA\n")
            )
            .ShouldContain("a block holds itself");
        var bomb = new StringBuilder("  0\nSECTION\n  2\nBLOCKS\n");
        for (var i = 0; i < 5; i++)
        {
            var inside = Enumerable.Repeat(i == 0 ? Line("W", 0, 0, 1, 1) : $"  0\nINSERT\n  2\nB{i - 1}\n", 30);
            bomb.Append($"  0\nBLOCK\n  2\nB{i}\n").AppendJoin("", inside).Append("  0\nENDBLK\n");
        }

        Problem(bomb + "  0\nENDSEC\n" + File1("  0\nINSERT\n  2\nB4\n")).ShouldContain("500,000");
    }

    [Fact]
    public async Task A_million_entities_and_a_huge_file_are_refused_with_bounded_memory()
    {
        Problem(File1(string.Concat(Enumerable.Repeat("  0\nX\n", 1_000_000)))).ShouldContain("500,000");
        await using var endless = new Endless();
        (await DxfReader.ReadAsync(endless)).Problem.ShouldContain("larger than 12 MB");
        endless.Given.ShouldBeLessThan(DxfReader.MostBytes + 200_000);
    }

    [Fact]
    public void Five_megabytes_of_furniture_hide_no_room()
    {
        var text = DxfWriter.Write(Analyzer.Analyze(Demo("tamarack-row.json")), "first");
        var more = new StringBuilder();
        for (var i = 0; more.Length < 5_000_000; i++)
            more.Append(
                Line(i % 20 == 0 ? "WALLS" : "FURNITURE", 3000 + (i % 300 * 7), i / 300 * 5, 3003 + (i % 300 * 7), (i / 300 * 5) + 3)
            );
        var drawing = Drawing(text.Replace("  0\nENDSEC\n  0\nEOF", $"{more}  0\nENDSEC\n  0\nEOF", StringComparison.Ordinal));
        var import = DxfPlan.Import(drawing, DxfChoice.Guess(drawing) with { Rooms = [] }, Empty, "first");
        import.Problem.ShouldBe("");
        import.Job!.Rooms.Length.ShouldBeGreaterThan(9);
    }

    [Theory]
    [InlineData("Owner's bedroom", RoomKind.Bedroom)]
    [InlineData("BATH 2", RoomKind.Bathroom)]
    [InlineData("W.I. Closet", RoomKind.Closet)]
    [InlineData("Two car garage", RoomKind.Garage)]
    [InlineData("Something", RoomKind.Living)]
    public void Kinds_are_guessed_by_name(string name, RoomKind kind)
    {
        var drawing = Drawing(
            File1(
                Line("WALL", 0, 0, 200, 0),
                Line("WALL", 200, 0, 200, 150),
                Line("WALL", 200, 150, 0, 150),
                Line("WALL", 0, 150, 0, 0),
                $"  0\nTEXT\n  8\nT\n 10\n50\n 20\n50\n  1\n{name}\n"
            )
        );
        DxfPlan
            .Import(drawing, DxfChoice.Guess(drawing), Empty, "first")
            .Job!.Rooms.Single()
            .ShouldSatisfyAllConditions(r => r.Kind.ShouldBe(kind), r => r.Name.ShouldBe(name));
    }

    [Theory]
    [InlineData("CLG 9'-0\"", 108.0)]
    [InlineData("9'-6\" CLG.", 114.0)]
    [InlineData("CH = 2.7 m", 106.3)]
    [InlineData("C.H. 8'", 96.0)]
    [InlineData("Ceiling height: 10'-1 1/2\"", 121.5)]
    [InlineData("Kitchen", null)]
    [InlineData("CLG", null)]
    [InlineData("CLG FAN 52\"", null)]
    [InlineData("CH 200'", null)]
    [InlineData("12'-6\" x 11'-0\"", null)]
    [InlineData("CHINA CABINET 6'", null)]
    public void A_ceiling_height_is_told_by_its_note(string note, double? inches)
    {
        var height = CeilingNote.Of(note);
        (height is null).ShouldBe(inches is null);
        if (inches is { } expected)
            height!.Value.InInches.ShouldBe(expected, 0.1);
    }

    private sealed class Endless : MemoryStream
    {
        public long Given { get; private set; }

        public override ValueTask<int> ReadAsync(Memory<byte> buffer, CancellationToken cancellationToken = default)
        {
            buffer.Span.Fill((byte)'7');
            Given += buffer.Length;
            return ValueTask.FromResult(buffer.Length);
        }
    }
}
