using System.Diagnostics;
using System.Globalization;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Microsoft.Data.Sqlite;

namespace Circuitum.Storage.Tests;

/// <summary>
/// Starts that are cut off. In the suite a few of them, because the goal takes ten minutes: CIRCUITUM_KILLS=200 kills 200 first
/// starts and 50 upgrades.
/// </summary>
public sealed class StartTests : IDisposable
{
    private readonly string folder = Directory.CreateTempSubdirectory("circuitum-starts-").FullName;

    private readonly string job;

    private static readonly int Kills = int.TryParse(
        Environment.GetEnvironmentVariable("CIRCUITUM_KILLS"),
        CultureInfo.InvariantCulture,
        out var n
    )
        ? n
        : 6;

    public StartTests()
    {
        job = Path.Combine(folder, "job.json");
        File.WriteAllText(
            job,
            Formats.JobFile.Write(
                new Job
                {
                    Name = "One",
                    Storeys =
                    [
                        new Storey
                        {
                            Id = "first",
                            Name = "First",
                            Floor = Length.Zero,
                        },
                    ],
                }
            )
        );
    }

    public void Dispose()
    {
        SqliteConnection.ClearAllPools();
        Directory.Delete(folder, true);
    }

    private Process Start(string data, string before = "")
    {
        var program = Path.Combine(AppContext.BaseDirectory, "circuitum.dll");
        var start =
            before.Length == 0
                ? new ProcessStartInfo("dotnet", [program, "import", job, "--data", data])
                : new ProcessStartInfo("bash", ["-c", $"{before} exec dotnet \"{program}\" import \"{job}\" --data \"{data}\""]);
        (start.RedirectStandardOutput, start.RedirectStandardError) = (true, true);
        return Process.Start(start)!;
    }

    // Waits for the first sign of the database, so that the kill falls into the work on it, and a moment longer.
    private async Task KillAtRandom(string data, Random random, Func<bool> begun)
    {
        using var process = Start(data);
        while (!process.HasExited && !begun())
            await Task.Delay(1);
        await Task.Delay(random.Next(0, 400));
        process.Kill(entireProcessTree: true);
        await process.WaitForExitAsync();
    }

    [Fact]
    public async Task A_first_start_that_is_killed_at_any_moment_is_followed_by_one_that_works()
    {
        var random = new Random(8);
        for (var n = 0; n < Kills; n++)
        {
            var data = Path.Combine(folder, $"first-{n}");
            await KillAtRandom(data, random, () => Directory.Exists(data) && Directory.EnumerateFiles(data).Any());
            await using var store = await JobStore.OpenAsync(data).WaitAsync(TimeSpan.FromSeconds(20));
            await store.CreateAsync(
                new Job
                {
                    Name = "After",
                    Storeys =
                    [
                        new Storey
                        {
                            Id = "first",
                            Name = "First",
                            Floor = Length.Zero,
                        },
                    ],
                },
                "new"
            );
            (await store.ListAsync()).ShouldContain(j => j.Name == "After", $"start {n}");
        }
    }

    [Fact]
    public async Task An_upgrade_that_is_killed_at_any_moment_is_followed_by_one_that_works()
    {
        var random = new Random(9);
        var old = Path.Combine(folder, "old");
        await using (var store = await JobStore.OpenAsync(old))
        {
            await store.CreateAsync(
                new Job
                {
                    Name = "Kept",
                    Storeys =
                    [
                        new Storey
                        {
                            Id = "first",
                            Name = "First",
                            Floor = Length.Zero,
                        },
                    ],
                },
                "new"
            );
        }

        SqliteConnection.ClearAllPools();
        using (var db = new SqliteConnection($"Data Source={JobStore.FileIn(old)};Pooling=False"))
        {
            db.Open();
            using var c = db.CreateCommand();
            c.CommandText =
                "DELETE FROM \"__EFMigrationsHistory\" WHERE MigrationId LIKE '%_Nudges'; ALTER TABLE Revisions DROP COLUMN "
                + "Nudge; ALTER TABLE Jobs DROP COLUMN Deleted; PRAGMA wal_checkpoint(TRUNCATE)";
            c.ExecuteNonQuery();
        }

        for (var n = 0; n < Kills / 4; n++)
        {
            var data = Directory.CreateDirectory(Path.Combine(folder, $"upgrade-{n}")).FullName;
            File.Copy(JobStore.FileIn(old), JobStore.FileIn(data));
            await KillAtRandom(data, random, () => Directory.EnumerateFiles(data).Count() > 1);
            await using var store = await JobStore.OpenAsync(data).WaitAsync(TimeSpan.FromSeconds(20));
            (await store.ListAsync()).ShouldContain(j => j.Name == "Kept", $"upgrade {n}");
        }
    }

    // A limit on the size of files is what a full disk looks like to the database.
    [Fact]
    public async Task A_disk_that_takes_no_more_is_told_and_nothing_is_lost()
    {
        if (OperatingSystem.IsWindows())
            return;
        var data = Path.Combine(folder, "full");
        await using (var store = await JobStore.OpenAsync(data))
            await store.CreateAsync(
                new Job
                {
                    Name = "Kept",
                    Storeys =
                    [
                        new Storey
                        {
                            Id = "first",
                            Name = "First",
                            Floor = Length.Zero,
                        },
                    ],
                },
                "new"
            );
        SqliteConnection.ClearAllPools();
        using var process = Start(data, "trap '' XFSZ; ulimit -f 1; export DOTNET_EnableWriteXorExecute=0;");
        var said = await process.StandardError.ReadToEndAsync();
        await process.WaitForExitAsync();
        process.ExitCode.ShouldBe(2);
        said.ShouldSatisfyAllConditions(s => s.ShouldContain("Nothing was changed"), s => s.ShouldNotContain("   at "));
        await using var after = await JobStore.OpenAsync(data);
        (await after.ListAsync()).Select(j => j.Name).ShouldBe(["Kept"]);
    }
}
