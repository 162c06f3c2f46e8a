using System.Collections.Immutable;
using System.Text;
using Circuitum.Core.Analysis;
using Circuitum.Core.Bench;
using Circuitum.Core.Jobs;
using Circuitum.Core.Planning;
using Circuitum.Core.Review;
using Circuitum.Formats;
using Circuitum.Formats.Dxf;
using Circuitum.Formats.Exports;
using Circuitum.Storage;

namespace Circuitum.Cli;

/// <summary>What the commands do. Each gives the exit code: 0 well, 1 a must finding, 2 bad input.</summary>
internal static class Work
{
    internal static async Task<int> Plan(FileInfo file, FileInfo? output, CancellationToken cancel) =>
        await Read(file, cancel) is { } job
            ? await Write(output, JobFile.Write(Planner.PlanAll(job, Core.Circuits.PlanEffort.Full)), cancel)
            : 2;

    internal static async Task<int> Analyze(FileInfo file, FileInfo? output, CancellationToken cancel) =>
        await Read(file, cancel) is { } job ? await Write(output, AnalysisJson.Write(Analyzer.Analyze(job)), cancel) : 2;

    internal static async Task<int> Check(FileInfo file, CancellationToken cancel)
    {
        if (await Read(file, cancel) is not { } job)
            return 2;
        var analysis = Analyzer.Analyze(job);
        foreach (var f in analysis.Findings)
            Console.WriteLine($"{f.Severity.ToString().ToLowerInvariant(), -6} {f.RuleId, -22} {f.Citation, -22} {f.Sentence}");
        var must = analysis.Findings.Count(f => f.Severity == Severity.Must);
        Console.WriteLine(
            $"{must} must, {analysis.Findings.Count(f => f.Severity == Severity.Should)} should, "
                + $"{analysis.Findings.Count(f => f.Severity == Severity.Note)} note"
        );
        return must > 0 ? 1 : 0;
    }

    internal static async Task<int> Export(
        FileInfo file,
        string form,
        FileInfo? output,
        string? storey,
        Formats.Documents.PaperSize size,
        CancellationToken cancel
    )
    {
        if (await Read(file, cancel) is not { } job)
            return 2;
        if (ExportList.ByForm(form) is not { } export)
            return Fail($"--as: there is no form '{form}'. There are: {string.Join(", ", ExportList.All.Select(e => e.Form))}.");
        var of = storey ?? job.Storeys.FirstOrDefault()?.Id;
        if (export.OfStorey && job.StoreyById(of) is null)
            return Fail($"--storey: there is no storey '{of}'. It has: {string.Join(", ", job.Storeys.Select(s => s.Id))}.");
        var bytes = export.Write(new(Analyzer.Analyze(job)) { Storey = of, Size = size });
        return export.IsText ? await Write(output, Encoding.UTF8.GetString(bytes), cancel) : await WriteBytes(output, bytes, cancel);
    }

    internal static async Task<int> ReadDrawing(FileInfo file, FileInfo? output, Layers layers, CancellationToken cancel)
    {
        DxfReading reading;
        try
        {
            await using var stream = file.OpenRead();
            reading = await DxfReader.ReadAsync(stream, cancel);
        }
        catch (Exception e) when (e is IOException or UnauthorizedAccessException)
        {
            return Fail($"{file.Name}: it cannot be read. {e.Message}");
        }

        if (reading.Drawing is not { } drawing)
            return Fail(reading.Problem);
        var job = new Job
        {
            Name = Path.GetFileNameWithoutExtension(file.Name),
            Storeys = [new Storey { Id = "first", Name = "First floor" }],
        };
        var import = DxfPlan.Import(drawing, layers.Choose(drawing), job, "first");
        foreach (var line in import.Report)
            await Console.Error.WriteLineAsync(line);
        return import.Job is null ? Fail(import.Problem) : await Write(output, JobFile.Write(import.Job), cancel);
    }

    internal static async Task<int> Import(FileInfo file, DirectoryInfo? data, CancellationToken cancel)
    {
        if (file.Extension.Equals(".zip", StringComparison.OrdinalIgnoreCase))
            return await StoreWork.Import(file, data, cancel);
        if (await Read(file, cancel) is not { } job)
            return 2;
        await using var store = await JobStore.OpenAsync(data?.FullName ?? "data", cancel);
        Console.WriteLine(await store.CreateAsync(job, "import", cancel));
        return 0;
    }

    internal static int Bench(BenchQuestion question, IEnumerable<(string Name, string Value)> told)
    {
        try
        {
            Console.WriteLine(BenchJson.Write(question, BenchDesk.Ask(question, told)));
            return 0;
        }
        catch (BenchException e)
        {
            return Fail($"--{e.Message}");
        }
    }

    private static async Task<Job?> Read(FileInfo file, CancellationToken cancel)
    {
        try
        {
            await using var stream = file.OpenRead();
            var reading = await JobFile.ReadAsync(stream, cancel);
            foreach (var problem in reading.Problems)
                await Console.Error.WriteLineAsync(problem.ToString());
            return reading.Job;
        }
        catch (Exception e) when (e is IOException or UnauthorizedAccessException)
        {
            Fail($"{file.Name}: it cannot be read. {e.Message}");
            return null;
        }
    }

    private static async Task<int> WriteBytes(FileInfo? output, byte[] bytes, CancellationToken cancel)
    {
        if (output is null)
        {
            await using var console = Console.OpenStandardOutput();
            await console.WriteAsync(bytes, cancel);
            return 0;
        }

        try
        {
            await File.WriteAllBytesAsync(output.FullName, bytes, cancel);
            return 0;
        }
        catch (Exception e) when (e is IOException or UnauthorizedAccessException)
        {
            return Fail($"--out: {output.Name} cannot be written. {e.Message}");
        }
    }

    private static async Task<int> Write(FileInfo? output, string text, CancellationToken cancel)
    {
        if (output is null)
        {
            await Console.Out.WriteAsync(text);
            return 0;
        }

        try
        {
            await File.WriteAllTextAsync(output.FullName, text, cancel);
            return 0;
        }
        catch (Exception e) when (e is IOException or UnauthorizedAccessException)
        {
            return Fail($"--out: {output.Name} cannot be written. {e.Message}");
        }
    }

    private static int Fail(string sentence)
    {
        Console.Error.WriteLine(sentence);
        return 2;
    }
}

/// <summary>Layers and units as they were typed; what was not is guessed.</summary>
internal sealed record Layers(string[]? Rooms, string[]? Walls, string[]? Doors, string[]? Windows, string? Units)
{
    internal DxfChoice Choose(DxfDrawing drawing)
    {
        var guess = DxfChoice.Guess(drawing);
        var inches = Units switch
        {
            "in" => 1,
            "ft" => 12,
            "mm" => 1 / Circuitum.Core.Measure.Length.MillimetresInInch,
            "cm" => 1 / 2.54,
            "m" => 1 / 0.0254,
            _ => guess.InchesPerUnit,
        };
        return new(Of(Rooms, guess.Rooms), Of(Walls, guess.Walls), Of(Doors, guess.Doors), Of(Windows, guess.Windows), inches);
    }

    private static ImmutableHashSet<string> Of(string[]? typed, ImmutableHashSet<string> guess) =>
        typed is { Length: > 0 } ? [.. typed] : guess;
}
