using Circuitum.Storage;
using Circuitum.Web.Work;
using Microsoft.Extensions.Configuration;
using Microsoft.Extensions.Logging.Abstractions;
using Microsoft.Extensions.Time.Testing;

namespace Circuitum.Web.Tests;

/// <summary>Backups by a clock that goes on, back and ahead.</summary>
public sealed class BackupClockTests : IDisposable
{
    private readonly string folder = Directory.CreateTempSubdirectory("circuitum-").FullName;

    public void Dispose()
    {
        Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
        Directory.Delete(folder, true);
    }

    [Fact]
    public async Task A_clock_that_was_put_back_neither_stops_backups_nor_makes_them_all_the_time()
    {
        await using (var store = await JobStore.OpenAsync(folder))
            await store.CreateAsync(new() { Name = "One" }, "new");
        var right = DateTimeOffset.UtcNow;
        var clock = new FakeTimeProvider(right);
        var desk = new BackupDesk(folder, new ConfigurationBuilder().Build(), clock, NullLogger<BackupDesk>.Instance);
        desk.IsDue.ShouldBeFalse();
        clock.Advance(TimeSpan.FromHours(25));
        desk.IsDue.ShouldBeTrue();

        // A backup of years ahead is there, then the clock is put right.
        (await desk.MakeAsync(default)).Problem.ShouldBe("");
        File.SetLastWriteTimeUtc(desk.All[0].FullName, right.UtcDateTime.AddYears(5));
        desk.IsDue.ShouldBeTrue();
        clock.Advance(TimeSpan.FromSeconds(1));
        (await desk.MakeAsync(default)).Problem.ShouldBe("");
        File.SetLastWriteTimeUtc(desk.All[0].FullName, clock.GetUtcNow().UtcDateTime);
        desk.IsDue.ShouldBeFalse();
        clock.Advance(TimeSpan.FromHours(23));
        desk.IsDue.ShouldBeFalse();
        clock.Advance(TimeSpan.FromHours(2));
        desk.IsDue.ShouldBeTrue();
    }
}
