using System.Diagnostics;
using System.Globalization;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Microsoft.Data.Sqlite;

namespace Circuitum.Storage.Tests;

/// <summary>Copies of the database: whole while it is written to, never over anything, and back again.</summary>
public sealed class BackupTests : IDisposable
{
    private readonly string folder = Directory.CreateTempSubdirectory("circuitum-").FullName;

    private static readonly int Kills = int.TryParse(
        Environment.GetEnvironmentVariable("CIRCUITUM_KILLS"),
        CultureInfo.InvariantCulture,
        out var n
    )
        ? n
        : 6;

    public void Dispose()
    {
        SqliteConnection.ClearAllPools();
        Directory.Delete(folder, true);
    }

    private string In(string name) => Path.Combine(folder, name);

    private static Job Named(string name) =>
        new()
        {
            Name = name,
            Storeys =
            [
                new Storey
                {
                    Id = "first",
                    Name = "First",
                    Floor = Length.Zero,
                },
            ],
        };

    [Fact]
    public async Task A_backup_of_a_live_database_opens_and_holds_a_whole_state()
    {
        await using var store = await JobStore.OpenAsync(In("data"));
        var id = await store.CreateAsync(Named("One"), "new");
        using var ended = new CancellationTokenSource();
        var writing = Task.Run(async () =>
        {
            await using var other = JobStore.Connect(In("data"));
            for (var n = 1; !ended.IsCancellationRequested; n++)
                (await other.SaveAsync(id, n, Named($"State {n}"), "rename")).ShouldBeTrue();
        });
        for (var n = 0; n < 5; n++)
        {
            var facts = await Backups.MakeAsync(In("data"), In($"{n}.db"));
            (facts.Jobs, facts.Unreadable.Length).ShouldBe((1, 0));
            (await Backups.VerifyAsync(In($"{n}.db"))).ShouldBe(facts);
        }

        await ended.CancelAsync();
        await writing;
        Directory.GetFiles(folder).Select(Path.GetFileName).Order().ShouldBe(["0.db", "1.db", "2.db", "3.db", "4.db"]);
        (await Should.ThrowAsync<StoreException>(() => Backups.MakeAsync(In("data"), In("0.db")))).Message.ShouldContain("there already");
        (await Should.ThrowAsync<StoreException>(() => Backups.MakeAsync(In("none"), In("x.db")))).Message.ShouldContain("no database");
        (await Should.ThrowAsync<StoreException>(() => Backups.MakeAsync(In("data"), In("nowhere/x.db")))).ShouldNotBeNull();
    }

    [Fact]
    public async Task It_is_restored_into_an_empty_place_and_beside_a_taken_one_with_what_differs()
    {
        await using var store = await JobStore.OpenAsync(In("data"));
        var one = await store.CreateAsync(Named("One"), "new");
        var two = await store.CreateAsync(Named("Two"), "new");
        await Backups.MakeAsync(In("data"), In("a.db"));
        await store.SaveAsync(one, 1, Named("One, later"), "rename");
        await store.PutAwayAsync(two, true);
        await store.CreateAsync(Named("Three"), "new");

        var now = new DateTime(2026, 11, 20, 12, 0, 0, DateTimeKind.Utc);
        var (empty, nothing) = await Backups.RestoreAsync(In("a.db"), In("empty"), now);
        (empty, nothing.Count).ShouldBe((In("empty"), 0));
        await using var restored = JobStore.Connect(empty);
        (await restored.ListAsync()).Select(j => j.Name).Order().ShouldBe(["One", "Two"]);

        var (beside, different) = await Backups.RestoreAsync(In("a.db"), In("data"), now);
        beside.ShouldBe(In("data-restored-20261120-120000"));
        different
            .Select(d => $"{d.Name}: {d.Words}")
            .ShouldBe(["One, later: change 2 here, 1 in the backup", "Three: not in the backup", "Two: archived here"], ignoreOrder: true);
        (await store.ListAsync()).Count.ShouldBe(2, "what was there stays");
        (await Backups.RestoreAsync(In("a.db"), In("data"), now)).Directory.ShouldBe(In("data-restored-20261120-120000-2"));
    }

    [Fact]
    public async Task What_is_no_backup_is_told_and_nothing_is_made()
    {
        await File.WriteAllTextAsync(In("no.db"), "no database");
        (
            await Should.ThrowAsync<StoreException>(() => Backups.RestoreAsync(In("no.db"), In("data"), DateTime.UtcNow))
        ).Message.ShouldContain("no backup");
        Directory.Exists(In("data")).ShouldBeFalse();
        await using (var store = await JobStore.OpenAsync(In("live")))
        {
            for (var n = 0; n < 60; n++)
                await store.CreateAsync(Named($"House {n}"), "new");
        }

        await Backups.MakeAsync(In("live"), In("a.db"));
        var bytes = await File.ReadAllBytesAsync(In("a.db"));
        new Random(2).NextBytes(bytes.AsSpan(20_000, 6000));
        await File.WriteAllBytesAsync(In("broken.db"), bytes);
        await Should.ThrowAsync<StoreException>(() => Backups.VerifyAsync(In("broken.db")));
    }

    [Fact]
    public void The_oldest_go_and_one_always_stays()
    {
        Directory.CreateDirectory(In("backups"));
        foreach (var day in Enumerable.Range(1, 20))
            File.WriteAllText(In($"backups/{Backups.NameAt(new(2026, 11, day, 3, 0, 0, DateTimeKind.Utc))}"), "");
        File.WriteAllText(In("backups/circuitum-20261130-030000.db.part"), "");
        var now = new DateTime(2026, 11, 20, 3, 0, 0, DateTimeKind.Utc);
        Backups.Keep(In("backups"), 14, now);
        Backups
            .List(In("backups"))
            .Select(f => f.Name)
            .ShouldBe(Enumerable.Range(7, 14).Reverse().Select(d => $"circuitum-202611{d:00}-030000.db"));
        Backups.Keep(In("backups"), 0, now);
        Backups.List(In("backups")).Single().Name.ShouldBe("circuitum-20261120-030000.db");
        Backups.List(In("none")).ShouldBeEmpty();
    }

    // A clock that was years ahead and was put right: what it made goes first, and never what is made now.
    [Fact]
    public void What_a_wrong_clock_made_goes_before_what_a_right_one_makes()
    {
        Directory.CreateDirectory(In("backups"));
        foreach (var year in Enumerable.Range(2031, 5))
            File.WriteAllText(In($"backups/{Backups.NameAt(new(year, 1, 1, 3, 0, 0, DateTimeKind.Utc))}"), "");
        for (var day = 1; day <= 6; day++)
        {
            var now = new DateTime(2026, 11, day, 3, 0, 0, DateTimeKind.Utc);
            File.WriteAllText(In($"backups/{Backups.NameAt(now)}"), "");
            Backups.Keep(In("backups"), 4, now);
            Backups.List(In("backups")).ShouldContain(f => f.Name == Backups.NameAt(now));
        }

        Backups.List(In("backups")).Select(f => f.Name[..17]).ShouldAllBe(name => name.StartsWith("circuitum-202611"));
    }

    // The disk is full at any length of the file that is written: told as that, nothing half is left, the jobs are as they were.
    [Theory]
    [InlineData(1)]
    [InlineData(40)]
    [InlineData(120)]
    public async Task On_a_full_disk_no_half_of_a_backup_is_left(int blocks)
    {
        await using (var store = await JobStore.OpenAsync(In("data")))
        {
            for (var n = 0; n < 30; n++)
                await store.CreateAsync(Named($"House {n}"), "new");
        }

        SqliteConnection.ClearAllPools();
        var command =
            $"trap '' XFSZ; ulimit -f {blocks}; export DOTNET_EnableWriteXorExecute=0; exec dotnet \"{Program}\" backup "
            + $"\"{In("full.db")}\" --data \"{In("data")}\"";
        using var process = Process.Start(
            new ProcessStartInfo("bash", ["-c", command]) { RedirectStandardOutput = true, RedirectStandardError = true }
        )!;
        var told = await process.StandardError.ReadToEndAsync();
        await process.WaitForExitAsync();
        process.ExitCode.ShouldNotBe(0);
        told.ShouldNotContain("   at ");
        told.ShouldContain("disk", Case.Insensitive);
        Directory.GetFiles(folder, "full*").ShouldBeEmpty();
        (await Backups.VerifyAsync(JobStore.FileIn(In("data")))).Jobs.ShouldBe(30);
    }

    private static readonly string Program = Path.Combine(AppContext.BaseDirectory, "circuitum.dll");

    // A backup or a restore that is cut off leaves nothing that looks like one that is whole.
    [Fact]
    public async Task Killed_at_any_moment_it_leaves_a_whole_backup_or_none_and_the_database_as_it_was()
    {
        await using (var store = await JobStore.OpenAsync(In("data")))
        {
            for (var n = 0; n < 30; n++)
                await store.CreateAsync(Named($"House {n}"), "new");
        }

        await Backups.MakeAsync(In("data"), In("good.db"));
        var random = new Random(11);
        for (var n = 0; n < Kills; n++)
        {
            var (file, to) = (In($"k{n}.db"), In($"to{n}"));
            await Killed(random, ["backup", file, "--data", In("data")], () => File.Exists(file + ".part"));
            if (File.Exists(file))
                (await Backups.VerifyAsync(file)).Jobs.ShouldBe(30);
            await Killed(random, ["restore", In("good.db"), "--data", to], () => Directory.Exists(to));
            if (!File.Exists(JobStore.FileIn(to)))
                (await Backups.RestoreAsync(In("good.db"), to, DateTime.UtcNow)).Directory.ShouldBe(to);
            await using var restored = await JobStore.OpenAsync(to);
            (await restored.ListAsync()).Count.ShouldBe(30);
        }

        (await Backups.VerifyAsync(JobStore.FileIn(In("data")))).Jobs.ShouldBe(30);
    }

    private static async Task Killed(Random random, string[] args, Func<bool> begun)
    {
        var start = new ProcessStartInfo("dotnet", [Program, .. args]) { RedirectStandardOutput = true, RedirectStandardError = true };
        using var process = Process.Start(start)!;
        while (!process.HasExited && !begun())
            await Task.Delay(1);
        await Task.Delay(random.Next(0, 120));
        process.Kill(entireProcessTree: true);
        await process.WaitForExitAsync();
    }
}
