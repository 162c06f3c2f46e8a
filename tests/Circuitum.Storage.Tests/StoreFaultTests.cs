using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace Circuitum.Storage.Tests;

/// <summary>What a store does when something about it is wrong, and what it keeps.</summary>
public sealed class StoreFaultTests : IDisposable
{
    private readonly string folder = Directory.CreateTempSubdirectory("circuitum-").FullName;

    public void Dispose()
    {
        SqliteConnection.ClearAllPools();
        Directory.Delete(folder, true);
    }

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

    private string File => JobStore.FileIn(folder);

    private void Sql(string command, string? file = null)
    {
        using var db = new SqliteConnection($"Data Source={file ?? File};Pooling=False");
        db.Open();
        using var c = db.CreateCommand();
        c.CommandText = command;
        c.ExecuteNonQuery();
    }

    private async Task<string> Refused(string? directory = null) =>
        (await Should.ThrowAsync<StoreException>(() => JobStore.OpenAsync(directory ?? folder))).Message;

    private async Task<string> WithAJob()
    {
        await using var store = await JobStore.OpenAsync(folder);
        return await store.CreateAsync(Named("One"), "new");
    }

    [Fact]
    public async Task A_database_of_a_newer_version_is_left_as_it_is_with_a_sentence()
    {
        await WithAJob();
        SqliteConnection.ClearAllPools();
        Sql("INSERT INTO \"__EFMigrationsHistory\" VALUES ('29990101000000_Later', '10.0.0'); PRAGMA wal_checkpoint(TRUNCATE)");
        var before = await System.IO.File.ReadAllBytesAsync(File);
        (await Refused()).ShouldContain("newer version");
        (await System.IO.File.ReadAllBytesAsync(File)).ShouldBe(before);
    }

    [Fact]
    public async Task A_file_that_is_no_database_is_left_as_it_is_with_a_sentence()
    {
        var text = string.Concat(Enumerable.Repeat("This is a shopping list. ", 400));
        await System.IO.File.WriteAllTextAsync(File, text);
        (await Refused()).ShouldContain("none of this program");
        (await System.IO.File.ReadAllTextAsync(File)).ShouldBe(text);
    }

    [Fact]
    public async Task A_directory_that_cannot_be_made_is_told()
    {
        await System.IO.File.WriteAllTextAsync(Path.Combine(folder, "file"), "");
        (await Refused(Path.Combine(folder, "file", "data"))).ShouldContain("cannot be made");
    }

    [Fact]
    public async Task A_second_program_is_told_who_holds_the_directory_and_a_dead_ones_lock_holds_nothing()
    {
        using (StoreLock.Take(folder))
        {
            Should.Throw<StoreException>(() => StoreLock.Take(folder)).Message.ShouldContain($"process {Environment.ProcessId} since");
        }

        using var again = StoreLock.Take(folder);
        await WithAJob();
        Sql(
            "CREATE TABLE IF NOT EXISTS \"__EFMigrationsLock\" (Id INTEGER PRIMARY KEY, Timestamp TEXT); INSERT OR REPLACE "
                + "INTO \"__EFMigrationsLock\" VALUES (1, '2020-01-01'); DELETE FROM \"__EFMigrationsHistory\" WHERE MigrationId "
                + "LIKE '%_Nudges'; ALTER TABLE Revisions DROP COLUMN Nudge; ALTER TABLE Jobs DROP COLUMN Deleted"
        );
        await using var store = await JobStore.OpenAsync(folder).WaitAsync(TimeSpan.FromSeconds(20));
        (await store.ListAsync()).Count.ShouldBe(1);
    }

    [Fact]
    public async Task The_copy_before_an_upgrade_is_kept_beside_earlier_ones_and_nobody_else_may_read_any()
    {
        await WithAJob();
        for (var n = 0; n < 2; n++)
        {
            SqliteConnection.ClearAllPools();
            Sql(
                "DELETE FROM \"__EFMigrationsHistory\" WHERE MigrationId LIKE '%_Nudges'; ALTER TABLE Revisions DROP COLUMN "
                    + "Nudge; ALTER TABLE Jobs DROP COLUMN Deleted"
            );
            await using var store = await JobStore.OpenAsync(folder);
        }

        var copies = Directory
            .GetFiles(folder, "circuitum.db.before-*")
            .Where(f => !f.EndsWith("-wal", StringComparison.Ordinal) && !f.EndsWith("-shm", StringComparison.Ordinal))
            .ToList();
        copies.Count.ShouldBe(2);
        if (OperatingSystem.IsWindows())
            return;
        foreach (var file in copies.Append(File))
            System.IO.File.GetUnixFileMode(file).ShouldBe(UnixFileMode.UserRead | UnixFileMode.UserWrite, file);
    }

    [Fact]
    public async Task A_damaged_last_state_opens_at_the_last_one_that_can_be_read()
    {
        var id = await WithAJob();
        await using var store = await JobStore.OpenAsync(folder);
        await store.SaveAsync(id, 1, Named("Two"), "rename");
        await store.SaveAsync(id, 2, Named("Three"), "rename");
        Sql("UPDATE Revisions SET Packed = NULL, Document = '{\"half\": ' WHERE Number = 3");
        var job = (await store.GetAsync(id)).ShouldNotBeNull();
        job.Job.Name.ShouldBe("Two");
        job.Notice.ShouldContain("cannot be read any more");
        (await store.DocumentAsync(id)).ShouldBe("{\"half\": ");

        // From there work goes on, and what was damaged stays where it is.
        (await store.SaveAsync(id, job.Stamp, Named("Four"), "rename", from: job.Revision)).ShouldBeTrue();
        (await store.GetAsync(id))!.ShouldSatisfyAllConditions(
            j => j.Job.Name.ShouldBe("Four"),
            j => j.Notice.ShouldBeEmpty(),
            j => j.Undo.ShouldBe("rename")
        );
        Sql("UPDATE Revisions SET Packed = X'28B52FFD00', Document = ''");
        (await Should.ThrowAsync<StoreException>(() => store.GetAsync(id))).Message.ShouldContain("No state of the job");
    }

    [Fact]
    public async Task Nudges_of_one_thing_are_one_state_and_one_undo()
    {
        var id = await WithAJob();
        await using var store = await JobStore.OpenAsync(folder);
        for (var n = 1; n <= 20; n++)
            (await store.SaveAsync(id, n, Named($"Nudge {n}"), "move box", "box:a")).ShouldBeTrue();
        (await store.SaveAsync(id, 21, Named("Other"), "move box", "box:b")).ShouldBeTrue();
        Count().ShouldBe(3);
        await store.UndoAsync(id, 22);
        (await store.GetAsync(id))!.Job.Name.ShouldBe("Nudge 20");
        await store.UndoAsync(id, 23);
        (await store.GetAsync(id))!.Job.Name.ShouldBe("One");

        // What a paper shows is not written over.
        await store.SaveAsync(id, 24, Named("Five"), "move box", "box:a");
        await store.IssueAsync(id, 25, "Rough");
        await store.SaveAsync(id, 25, Named("Six"), "move box", "box:a");
        (await store.IssuedJobAsync(id, 1))!.Name.ShouldBe("Five");
    }

    private long Count()
    {
        using var db = new SqliteConnection($"Data Source={File};Pooling=False");
        db.Open();
        using var c = db.CreateCommand();
        c.CommandText = "SELECT COUNT(*) FROM Revisions";
        return (long)c.ExecuteScalar()!;
    }

    [Fact]
    public async Task A_job_put_away_comes_back_as_it_was()
    {
        var id = await WithAJob();
        await using var store = await JobStore.OpenAsync(folder);
        (await store.PutAwayAsync(id, true)).ShouldBeTrue();
        (await store.ListAsync()).ShouldBeEmpty();
        (await store.GetAsync(id)).ShouldBeNull();
        (await store.DeletedAsync()).Single().Name.ShouldBe("One");
        (await store.PutAwayAsync(id, false)).ShouldBeTrue();
        (await store.GetAsync(id))!.Job.Name.ShouldBe("One");
        (await store.PutAwayAsync("none", true)).ShouldBeFalse();
    }

    [Fact]
    public async Task Eight_jobs_of_one_name_at_once_get_eight_ids()
    {
        await WithAJob();
        var ids = await Task.WhenAll(
            Enumerable
                .Range(0, 8)
                .Select(async _ =>
                {
                    await using var own = JobStore.Connect(folder);
                    return await own.CreateAsync(Named("One"), "new");
                })
        );
        ids.Distinct().Count().ShouldBe(8);
    }

    [Fact]
    public async Task A_set_issued_twice_by_a_double_click_is_one_set()
    {
        var id = await WithAJob();
        await using var store = await JobStore.OpenAsync(folder);
        for (var n = 0; n < 30; n++)
            (await store.IssueAsync(id, 1, "Permit")).ShouldBeTrue();
        (await store.IssuedAsync(id)).Count.ShouldBe(1);
        (await store.IssueAsync(id, 1, "Rough")).ShouldBeTrue();
        (await store.IssuedAsync(id)).Count.ShouldBe(2);
    }

    [Theory]
    [InlineData(13, "disk is full")]
    [InlineData(8, "cannot be written to")]
    [InlineData(14, "cannot be written to")]
    [InlineData(5, "Another program holds")]
    [InlineData(10, "did not take")]
    [InlineData(11, "damaged")]
    public void What_the_disk_says_is_told_as_that(int code, string words) =>
        StoreException.Of(new DbUpdateException("", new SqliteException("", code))).Message.ShouldContain(words);
}
