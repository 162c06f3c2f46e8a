using Circuitum.Core.Jobs;
using Circuitum.Formats;
using Circuitum.Storage;
using Microsoft.EntityFrameworkCore;

namespace Circuitum.Postgres.Tests;

/// <summary>
/// The store on another engine, to know what a service for many firms would have to change. Not part of the suite: it wants a server,
/// told with CIRCUITUM_POSTGRES, such as <c>Host=/tmp/pg;Username=me;Database=circuitum</c>. What is in that database goes.
/// </summary>
public sealed class OtherEngineTests
{
    private static JobStore Store(string by = "") => JobStore.Over(new JobDatabase(Options()), by);

    private static DbContextOptions<JobDatabase> Options() =>
        new DbContextOptionsBuilder<JobDatabase>()
            .UseNpgsql(
                Environment.GetEnvironmentVariable("CIRCUITUM_POSTGRES")
                    ?? throw new InvalidOperationException("Say with CIRCUITUM_POSTGRES which server to try.")
            )
            .Options;

    private static async Task Empty()
    {
        await using var db = new JobDatabase(Options());
        await db.Database.EnsureDeletedAsync();
        await db.Database.EnsureCreatedAsync();
    }

    private static Job Named(string name) => new() { Name = name, Storeys = [new Storey { Id = "first", Name = "First" }] };

    [Fact]
    public async Task A_job_is_made_edited_undone_named_and_listed_with_its_history()
    {
        await Empty();
        await using var store = Store("Ada");
        var id = await store.CreateAsync(Named("One"), "new");
        (await store.SaveAsync(id, 1, Named("Two"), "rename")).ShouldBeTrue();
        (await store.SaveAsync(id, 1, Named("Late"), "rename")).ShouldBeFalse();
        (await store.UndoAsync(id, 2)).ShouldBeTrue();
        (await store.GetAsync(id))!.Job.Name.ShouldBe("One");
        (await store.RedoAsync(id, 3)).ShouldBeTrue();
        (await store.GetAsync(id))!.Job.Name.ShouldBe("Two");
        (await store.ListAsync()).Single().Name.ShouldBe("Two");
        (await store.HistoryAsync(id)).Count.ShouldBe(2);
        (await store.HistoryAsync(id))[0].By.ShouldBe("Ada");
        await store.ThinAsync(id, DateTime.UtcNow);
        await store.PutAwayAsync(id, true);
        (await store.DeleteAsync(id)).ShouldBeTrue();
        (await store.ListAsync()).ShouldBeEmpty();
    }

    [Fact]
    public async Task Of_many_who_edit_the_same_state_one_is_answered_with_yes()
    {
        await Empty();
        string id;
        await using (var store = Store())
            id = await store.CreateAsync(Named("One"), "new");
        var answers = await Task.WhenAll(
            Enumerable
                .Range(0, 8)
                .Select(async n =>
                {
                    await using var store = Store();
                    return await store.SaveAsync(id, 1, Named($"By {n}"), "rename");
                })
        );
        answers.Count(a => a).ShouldBe(1);
        await using var after = Store();
        JobFile.Write((await after.GetAsync(id))!.Job).ShouldContain("By ");
    }
}
