using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Storage.Tests;

public sealed class JobStoreTests : IAsyncLifetime
{
    private readonly string folder = Directory.CreateTempSubdirectory("circuitum-").FullName;
    private JobStore store = null!;
    private string id = "";

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

    public async Task InitializeAsync()
    {
        store = await JobStore.OpenAsync(folder);
        id = await store.CreateAsync(Named("One"), "new");
    }

    public async Task DisposeAsync()
    {
        await store.DisposeAsync();
        Directory.Delete(folder, true);
    }

    private async Task<StoredJob> Now() => (await store.GetAsync(id)).ShouldNotBeNull();

    [Fact]
    public async Task What_is_saved_is_there_for_another_connection()
    {
        (await store.SaveAsync(id, 1, Named("Two"), "rename")).ShouldBeTrue();
        await using var other = JobStore.Connect(folder);
        (await other.GetAsync(id))!.Job.Name.ShouldBe("Two");
    }

    [Fact]
    public async Task Undo_and_redo_walk_the_revisions()
    {
        await store.SaveAsync(id, 1, Named("Two"), "rename");
        (await Now()).Undo.ShouldBe("rename");
        (await store.UndoAsync(id, 2)).ShouldBeTrue();
        (await Now()).ShouldSatisfyAllConditions(
            j => j.Job.Name.ShouldBe("One"),
            j => j.Undo.ShouldBeNull(),
            j => j.Redo.ShouldBe("rename")
        );
        (await store.ListAsync()).Single().Name.ShouldBe("One", "the list names it as it stands");
        (await store.UndoAsync(id, 3)).ShouldBeFalse();
        (await store.RedoAsync(id, 3)).ShouldBeTrue();
        (await Now()).Job.Name.ShouldBe("Two");
        await store.UndoAsync(id, 4);
        await store.SaveAsync(id, 5, Named("Three"), "other");
        (await Now()).ShouldSatisfyAllConditions(j => j.Job.Name.ShouldBe("Three"), j => j.Redo.ShouldBeNull());
    }

    [Fact]
    public async Task A_stale_edit_changes_nothing()
    {
        await store.SaveAsync(id, 1, Named("Two"), "rename");
        (await store.SaveAsync(id, 1, Named("Lost"), "rename")).ShouldBeFalse();
        (await Now()).Job.Name.ShouldBe("Two");
    }

    [Fact]
    public async Task Of_two_edits_at_once_one_wins_and_none_is_half_made()
    {
        var results = await Task.WhenAll(
            Enumerable
                .Range(0, 6)
                .Select(async n =>
                {
                    await using var own = JobStore.Connect(folder);
                    return await own.SaveAsync(id, 1, Named($"N{n}"), "rename");
                })
        );
        results.Count(r => r).ShouldBe(1);
        (await Now()).Stamp.ShouldBe(2);
    }

    [Fact]
    public async Task Jobs_of_one_name_get_ids_of_their_own_and_a_backup_opens()
    {
        (await store.CreateAsync(Named("One"), "new")).ShouldBe("one-2");
        (await store.CreateAsync(Named("=<b>"), "new")).ShouldBe("b");
        var copy = Directory.CreateDirectory(Path.Combine(folder, "copy")).FullName;
        JobStore.Backup(folder, JobStore.FileIn(copy));
        await using var other = await JobStore.OpenAsync(copy);
        (await other.ListAsync()).Count.ShouldBe(3);
    }

    [Fact]
    public async Task An_issued_set_keeps_the_job_as_it_was_then()
    {
        (await store.IssueAsync(id, 1, "Permit")).ShouldBeTrue();
        (await store.IssueAsync(id, 7, "Stale")).ShouldBeFalse();
        await store.SaveAsync(id, 1, Named("Two"), "rename");
        await store.UndoAsync(id, 2);
        await store.SaveAsync(id, 3, Named("Three"), "rename");
        (await store.IssueAsync(id, 4, "Rough")).ShouldBeTrue();
        (await store.IssuedAsync(id)).Select(s => (s.Number, s.Name, s.Stamp)).ShouldBe([(2, "Rough", 4), (1, "Permit", 1)]);
        (await store.IssuedJobAsync(id, 1))!.Name.ShouldBe("One");
        (await store.IssuedJobAsync(id, 2))!.Name.ShouldBe("Three");
        (await store.IssuedJobAsync(id, 3)).ShouldBeNull();
    }
}
