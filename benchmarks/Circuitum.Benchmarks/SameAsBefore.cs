using System.Security.Cryptography;
using System.Text;
using System.Text.Json.Nodes;
using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;
using Circuitum.Core.Planning;
using Circuitum.Core.Review;
using Circuitum.Formats;
using Circuitum.Formats.Drawings;
using Circuitum.Formats.Dxf;
using Circuitum.Generated;

namespace Circuitum.Benchmarks;

/// <summary>
/// What comes out for the demo houses, the starters and 300 made-up houses, a line for each house and file, so that two versions of
/// the program can be held against each other: <c>same FILE</c> writes the lines, <c>same FILE --against OLD</c> compares them.
/// </summary>
internal static class SameAsBefore
{
    private const int MadeUp = 300;

    /// <summary>Writes the lines, and tells in what they differ from older ones.</summary>
    /// <returns>0 when nothing differs, else 1.</returns>
    internal static int Run(string file, string? against)
    {
        var lines = Houses().AsParallel().AsOrdered().SelectMany(h => Outputs(h.Name, h.Job())).ToList();
        File.WriteAllLines(file, lines);
        Console.WriteLine($"{lines.Count} lines");
        if (against is null)
            return 0;
        var old = File.ReadAllLines(against).ToHashSet();
        var other = lines.Where(l => !old.Contains(l)).ToList();
        foreach (var line in other.Take(30))
            Console.WriteLine($"differs: {line[..line.LastIndexOf(' ')]}");
        var gone = old.Count - (lines.Count - other.Count);
        Console.WriteLine($"{other.Count} differ, {gone - other.Count} are gone");
        return other.Count == 0 && gone == 0 ? 0 : 1;
    }

    private static IEnumerable<(string Name, Func<Job> Job)> Houses()
    {
        var demo = Demo();
        foreach (var path in Directory.GetFiles(demo, "*.json", SearchOption.AllDirectories).Order(StringComparer.Ordinal))
            yield return (Path.GetRelativePath(demo, path), () => JobFile.Read(File.ReadAllText(path)).Job!);
        for (var seed = 0; seed < MadeUp; seed++)
        {
            var made = seed;
            yield return ($"house-{made}", () => GeneratedHouse.MakeWithShed(made));
        }
    }

    private static List<string> Outputs(string name, Job begun)
    {
        var job = Planner.PlanAll(begun);
        var a = Analyzer.Analyze(job);
        List<(string Kind, string Text)> all =
        [
            ("begun-analysis", Analysis(Analyzer.Analyze(begun))),
            ("job", JobFile.Write(job)),
            ("analysis", Analysis(a)),
            (
                "findings",
                string.Join(
                    '\n',
                    a.Findings.Select(f => $"{f.RuleId} {f.Severity} {f.Citation} {f.Sentence} {string.Join(',', f.Subjects)}")
                )
            ),
            ("schedule-csv", ScheduleCsv.Write(a)),
            ("schedule-svg", SvgWriter.Text(PanelDrawing.Of(a))),
            ("boxes-csv", BoxScheduleCsv.Write(a)),
            .. Lists.Names.Select(list => (list, Lists.Csv(a, list))),
            ("reasons", string.Join('\n', Reasons(a))),
        ];
        foreach (var storey in job.Storeys)
        {
            all.Add(($"dxf-{storey.Id}", DxfWriter.Write(a, storey.Id)));
            foreach (var stage in Enum.GetValues<PlanStage>())
                all.Add(($"svg-{storey.Id}-{stage}", PlanSvg.Draw(a, new PlanView(storey.Id, stage, StandAlone: true))));
        }

        return [.. all.Select(x => $"{name} {x.Kind} {Convert.ToHexString(SHA256.HashData(Encoding.UTF8.GetBytes(x.Text)))[..16]}")];
    }

    // How an edit that would clear a finding is written down may change; that there is one, and what it is called, not.
    private static string Analysis(JobAnalysis a)
    {
        var whole = JsonNode.Parse(AnalysisJson.Write(a))!;
        foreach (var fix in whole["findings"]!.AsArray().Select(f => f!["fix"]).OfType<JsonObject>())
        {
            fix.Remove("edit");
            fix.Remove("fields");
        }

        return whole.ToJsonString();
    }

    private static IEnumerable<string> Reasons(JobAnalysis a)
    {
        string[] whole = ["service.standard", "service.optional", "neutral", "conductors", "cable", "spaces", "area", "plan", "legs"];
        string[] circuit = ["load", "wire", "drop", "expected", "ground", "run", "protection", "division"];
        var keys = whole
            .Concat(a.Circuits.SelectMany(c => circuit.Select(k => $"circuit.{c.Number}.{k}")))
            .Concat(a.Job.Decisions.Boxes.SelectMany(b => new[] { $"box.{b.Id}.load", $"box.{b.Id}.fill" }))
            .Concat(a.Job.Rooms.SelectMany(r => new[] { $"room.{r.Id}.area", $"room.{r.Id}.spaces" }))
            .Concat(a.Panels.SelectMany(p => new[] { $"feeder.{p.Panel.Id}", $"legs.{p.Panel.Id}" }));
        return keys.Select(k => $"{k}: {Told(a.Why(k), 0)}");
    }

    private static string Told(Core.Explain.Derivation? d, int depth) =>
        d is null || depth > 8
            ? ""
            : $"{d.What}|{d.Result}|{d.Formula}|{d.Because}|{d.Citation}[{string.Join(';', d.Steps.Select(s => Told(s, depth + 1)))}]";

    private static string Demo()
    {
        var at = new DirectoryInfo(AppContext.BaseDirectory);
        while (at is not null && !Directory.Exists(Path.Combine(at.FullName, "demo", "starters")))
            at = at.Parent;
        return Path.Combine(at!.FullName, "demo");
    }
}
