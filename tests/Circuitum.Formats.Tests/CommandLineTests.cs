using System.Diagnostics;
using System.Text.Json.Nodes;

namespace Circuitum.Formats.Tests;

public sealed class CommandLineTests : IDisposable
{
    private readonly string folder = Directory.CreateTempSubdirectory("circuitum-").FullName;

    public void Dispose() => Directory.Delete(folder, true);

    private static (int Code, string Out, string Error) Run(params string[] args)
    {
        var start = new ProcessStartInfo("dotnet") { RedirectStandardOutput = true, RedirectStandardError = true };
        start.ArgumentList.Add(Path.Combine(AppContext.BaseDirectory, "circuitum.dll"));
        foreach (var a in args) start.ArgumentList.Add(a);
        using var process = Process.Start(start)!;
        var error = process.StandardError.ReadToEndAsync();
        var text = process.StandardOutput.ReadToEnd();
        process.WaitForExit();
        return (process.ExitCode, text, error.Result);
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
        Run("check", demo).Code.ShouldBe(1);
        Run("plan", demo, "--out", planned).Code.ShouldBe(0);
        Run("check", planned).ShouldSatisfyAllConditions(r => r.Code.ShouldBe(0), r => r.Out.ShouldContain("0 must"));
        Run("export", planned, "--as", "schedule-csv").Out.ShouldStartWith("Space,Circuit,Label");
        Run("export", planned, "--as", "plan-svg").Out.ShouldStartWith("<svg");
        Run("export", planned, "--as", "job-json").Out.ShouldBe(System.IO.File.ReadAllText(planned));
        var analysis = JsonNode.Parse(Run("analyze", planned).Out)!;
        foreach (var name in new[] { "outlets", "circuits", "panel", "loads", "findings" }) analysis[name].ShouldNotBeNull(name);
        analysis["circuits"]![0]!["protection"]!["devices"]![0]!["covers"]!.AsArray().Count.ShouldBe(1);
        analysis["loads"]!["optional"]!["amperes"]!.GetValue<double>().ShouldBeInRange(100, 200);
    }

    [Fact]
    public void Bad_input_ends_with_2_and_changes_nothing()
    {
        var bad = File("bad.json", "{");
        var output = File("out.json", "before");
        foreach (var args in new[] { new[] { "plan", bad, "--out", output }, ["check", bad], ["analyze", bad], ["check", Path.Combine(folder, "none.json")], ["frobnicate"], ["export", bad] })
        {
            var (code, text, error) = Run(args);
            code.ShouldBe(2, string.Join(' ', args));
            text.ShouldBeEmpty();
            error.ShouldNotBeEmpty();
            error.ShouldNotContain("   at ");
        }

        System.IO.File.ReadAllText(output).ShouldBe("before");
    }
}
