using System.Diagnostics;
using System.Reflection;
using System.Text.Json.Nodes;

namespace Circuitum.Formats.Tests;

public sealed class CommandLineTests : IDisposable
{
    private readonly string folder = Directory.CreateTempSubdirectory("circuitum-").FullName;

    public void Dispose() => Directory.Delete(folder, true);

    // As a person starts it: a process of its own.
    private static (int Code, string Out, string Error) Started(params string[] args)
    {
        var start = new ProcessStartInfo("dotnet") { RedirectStandardOutput = true, RedirectStandardError = true };
        start.ArgumentList.Add(Path.Combine(AppContext.BaseDirectory, "circuitum.dll"));
        foreach (var a in args)
            start.ArgumentList.Add(a);
        using var process = Process.Start(start)!;
        var error = process.StandardError.ReadToEndAsync();
        var text = process.StandardOutput.ReadToEnd();
        process.WaitForExit();
        return (process.ExitCode, text, error.Result);
    }

    // The same program in this process, because each start costs as much as ten commands.
    private static (int Code, string Out, string Error) Run(params string[] args)
    {
        var (console, complaints) = (Console.Out, Console.Error);
        using var text = new StringWriter();
        using var error = new StringWriter();
        try
        {
            Console.SetOut(text);
            Console.SetError(error);
            var code = (int)Assembly.Load("circuitum").EntryPoint!.Invoke(null, [args])!;
            return (code, text.ToString(), error.ToString());
        }
        finally
        {
            Console.SetOut(console);
            Console.SetError(complaints);
        }
    }

    private string File(string name, string text)
    {
        var path = Path.Combine(folder, name);
        System.IO.File.WriteAllText(path, text);
        return path;
    }

    [Fact]
    public void Plan_check_export_and_analyze_the_demo_job()
    {
        var planned = Path.Combine(folder, "planned.json");
        var demo = Path.Combine(JobFileTests.Root(), "demo", "tamarack-row.json");
        Started("check", demo).Code.ShouldBe(1);
        Run("plan", demo, "--out", planned).Code.ShouldBe(0);
        Run("check", planned).ShouldSatisfyAllConditions(r => r.Code.ShouldBe(0), r => r.Out.ShouldContain("0 must"));
        Run("export", planned, "--as", "schedule-csv").Out.ShouldStartWith("Space,Circuit,Label");
        Run("export", planned, "--as", "plan-svg").Out.ShouldStartWith("<svg");
        Run("export", planned, "--as", "job-json").Out.ShouldBe(System.IO.File.ReadAllText(planned));
        Run("export", planned, "--as", "home-runs-csv").Out.ShouldStartWith("Circuit,Label,Panel");
        foreach (var (form, begins) in new[] { ("lists-xlsx", "PK"), ("breaker-stickers-pdf", "%PDF-"), ("make-up-pdf", "%PDF-") })
        {
            var paper = Path.Combine(folder, form);
            Run("export", planned, "--as", form, "--size", "a4", "--out", paper).Code.ShouldBe(0, form);
            var bytes = System.Text.Encoding.Latin1.GetString(System.IO.File.ReadAllBytes(paper));
            bytes.ShouldStartWith(begins);
            if (begins[0] == '%')
                bytes.ShouldContain("[0 0 595 842]");
        }

        var analysis = JsonNode.Parse(Run("analyze", planned).Out)!;
        foreach (var name in new[] { "outlets", "circuits", "panel", "loads", "findings" })
            analysis[name].ShouldNotBeNull(name);
        analysis["circuits"]![0]!["protection"]!["devices"]![0]!["covers"]!.AsArray().Count.ShouldBe(1);
        analysis["loads"]!["optional"]!["amperes"]!.GetValue<double>().ShouldBeInRange(100, 200);
    }

    [Fact]
    public void Bad_input_ends_with_2_and_changes_nothing()
    {
        var bad = File("bad.json", "{");
        var output = File("out.json", "before");
        foreach (
            var args in new[]
            {
                new[] { "plan", bad, "--out", output },
                ["check", bad],
                ["analyze", bad],
                ["check", Path.Combine(folder, "none.json")],
                ["frobnicate"],
                ["export", bad],
            }
        )
        {
            var (code, text, error) = args[0] == "check" ? Started(args) : Run(args);
            code.ShouldBe(2, string.Join(' ', args));
            text.ShouldBeEmpty();
            error.ShouldNotBeEmpty();
            error.ShouldNotContain("   at ");
        }

        System.IO.File.ReadAllText(output).ShouldBe("before");
    }

    [Fact]
    public void The_bench_answers_in_json_and_tells_what_is_wrong()
    {
        var (code, text, _) = Run(
            "bench",
            "wire",
            "--family",
            "us-2023",
            "--amps",
            "31",
            "--volts",
            "240",
            "--material",
            "cu",
            "--insulation",
            "90",
            "--terminations",
            "75",
            "--method",
            "conduit",
            "--current-carrying",
            "4",
            "--ambient-c",
            "30",
            "--feet",
            "74",
            "--max-drop",
            "3"
        );
        code.ShouldBe(0);
        var result = JsonNode.Parse(text)!["result"]!;
        (result["size"]!.GetValue<string>(), result["breaker"]!.GetValue<int>()).ShouldBe(("8", 35));
        JsonNode.Parse(Run("bench", "circuit", "--breaker", "20", "--fixed", "9.5c", "--fixed", "7.0", "--lights", "60").Out)!["result"]![
            "passes"
        ]!
            .GetValue<bool>()
            .ShouldBeFalse();
        JsonNode.Parse(Run("bench", "reels", "--cuts", "96,84,71", "--coil", "250").Out)!["result"]!["coils"]!.GetValue<int>().ShouldBe(2);
        Started("bench", "wire", "--amps", "much")
            .ShouldSatisfyAllConditions(
                r => r.Code.ShouldBe(2),
                r => r.Error.ShouldContain("--amps: 'much' is not a number."),
                r => r.Out.ShouldBeEmpty()
            );
        Run("bench", "moon").Code.ShouldBe(2);
    }
}
