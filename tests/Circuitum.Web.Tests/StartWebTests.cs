using System.Diagnostics;
using System.Net;
using System.Net.Sockets;

namespace Circuitum.Web.Tests;

/// <summary>The program as it is started, in a process of its own.</summary>
public sealed class StartWebTests : IDisposable
{
    private readonly string folder = Directory.CreateTempSubdirectory("circuitum-").FullName;

    // Built beside these tests, in the same configuration, perhaps for one platform.
    private static readonly string Program = Directory.GetFiles(
        AppContext.BaseDirectory.Replace(
            Path.Combine("tests", "Circuitum.Web.Tests"),
            Path.Combine("src", "Circuitum.Web"),
            StringComparison.Ordinal
        ),
        "Circuitum.Web.dll",
        SearchOption.AllDirectories
    )[0];

    private readonly List<Process> started = [];

    public void Dispose()
    {
        foreach (var p in started)
        {
            if (!p.HasExited)
                p.Kill();
            p.WaitForExit();
            p.Dispose();
        }

        Directory.Delete(folder, true);
    }

    private Process Start(string arguments, params (string Name, string Value)[] environment)
    {
        var start = new ProcessStartInfo("dotnet", $"\"{Program}\" {arguments}")
        {
            RedirectStandardOutput = true,
            RedirectStandardError = true,
        };
        foreach (var (name, value) in environment)
            start.Environment[name] = value;
        var process = Process.Start(start)!;
        started.Add(process);
        return process;
    }

    private static int FreePort()
    {
        using var listener = new TcpListener(IPAddress.Loopback, 0);
        listener.Start();
        return ((IPEndPoint)listener.LocalEndpoint).Port;
    }

    private static async Task<string> Up(Process process)
    {
        while (await process.StandardOutput.ReadLineAsync() is { } line)
        {
            if (line.Contains("Circuitum is at", StringComparison.Ordinal))
                return line;
        }

        throw new InvalidOperationException(await process.StandardError.ReadToEndAsync());
    }

    private async Task Ends(string arguments, string sentence)
    {
        var process = Start(arguments);
        var said = await process.StandardError.ReadToEndAsync();
        await process.WaitForExitAsync();
        said.ShouldSatisfyAllConditions(
            s => s.ShouldContain(sentence),
            s => s.ShouldNotContain("   at "),
            s => s.ShouldNotContain("Unhandled")
        );
        process.ExitCode.ShouldBe(2, arguments);
    }

    [Fact]
    public async Task What_cannot_start_ends_with_2_and_a_sentence()
    {
        await Ends($"--port abc --data \"{folder}\"", "--port: 'abc'");
        await Ends($"--port 70000 --data \"{folder}\"", "--port");
        await File.WriteAllTextAsync(Path.Combine(folder, "file"), "");
        await Ends($"--port {FreePort()} --data \"{Path.Combine(folder, "file", "x")}\"", "cannot be made");
        using var taken = new TcpListener(IPAddress.Loopback, 0);
        taken.Start();
        await Ends($"--port {((IPEndPoint)taken.LocalEndpoint).Port} --data \"{Path.Combine(folder, "a")}\"", "port is taken");
        var shopping = Directory.CreateDirectory(Path.Combine(folder, "b")).FullName;
        await File.WriteAllTextAsync(Path.Combine(shopping, "circuitum.db"), string.Concat(Enumerable.Repeat("Milk and bread. ", 300)));
        await Ends($"--port {FreePort()} --data \"{shopping}\"", "none of this program");
    }

    [Fact]
    public async Task One_directory_is_held_by_one_program_and_only_this_machine_is_listened_to()
    {
        var (port, other) = (FreePort(), FreePort());
        var keys = Directory.CreateDirectory(Path.Combine(folder, "data", "keys")).FullName;
        await File.WriteAllTextAsync(Path.Combine(keys, "key-1.xml"), "<key half");
        var first = Start(
            $"--port {port} --data \"{Path.Combine(folder, "data")}\"",
            ("Kestrel__Endpoints__Open__Url", $"http://0.0.0.0:{other}"),
            ("ASPNETCORE_URLS", $"http://0.0.0.0:{other}")
        );
        (await Up(first)).ShouldContain($"http://127.0.0.1:{port}");
        using var web = new HttpClient();
        (await web.GetStringAsync($"http://127.0.0.1:{port}/health")).ShouldBe("ok");
        await Should.ThrowAsync<HttpRequestException>(() => web.GetAsync($"http://127.0.0.1:{other}/health"));
        await Ends($"--port {other} --data \"{Path.Combine(folder, "data")}\"", $"process {first.Id}");

        // A key file that cannot be read was put aside: forms have a token.
        (await web.GetStringAsync($"http://127.0.0.1:{port}/")).ShouldContain("__RequestVerificationToken");
        if (OperatingSystem.IsWindows())
            return;
        File.GetUnixFileMode(Path.Combine(folder, "data", "circuitum.db")).ShouldBe(UnixFileMode.UserRead | UnixFileMode.UserWrite);
    }
}
