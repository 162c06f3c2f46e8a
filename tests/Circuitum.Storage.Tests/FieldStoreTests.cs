using Circuitum.Core.Field;
using Circuitum.Core.Jobs;

namespace Circuitum.Storage.Tests;

/// <summary>What is said in the field is added, once, beside the revisions; pictures are in a copy of the database.</summary>
public sealed class FieldStoreTests : IAsyncLifetime
{
    private static readonly DateTime Noon = new(2026, 5, 4, 12, 0, 0, DateTimeKind.Utc);

    private readonly string folder = Directory.CreateTempSubdirectory("circuitum-").FullName;
    private JobStore store = null!;
    private string id = "";

    public async Task InitializeAsync()
    {
        store = await JobStore.OpenAsync(folder);
        id = await store.CreateAsync(new Job { Name = "One" }, "new");
    }

    public async Task DisposeAsync()
    {
        await store.DisposeAsync();
        Directory.Delete(folder, true);
    }

    private static FieldEntry Entry(string name) => new(name, "set/hall.r1", FieldSaid.Done, "", "", "Ann", Noon);

    [Fact]
    public async Task The_same_entry_is_one_and_keeps_its_number()
    {
        var first = await store.AddFieldAsync(id, Entry("entry-0001"));
        var again = await store.AddFieldAsync(id, Entry("entry-0001") with { Value = "other words" });
        (first!.Number, again!.Number, again.Value).ShouldBe((1, 1, ""));
        (await store.AddFieldAsync("nowhere", Entry("entry-0002"))).ShouldBeNull();
        (await store.FieldAsync(id)).Single().At.ShouldBe(Noon);
    }

    [Fact]
    public async Task Entries_of_ten_phones_at_once_all_have_numbers_of_their_own()
    {
        var all = await Task.WhenAll(
            Enumerable
                .Range(0, 10)
                .Select(async phone =>
                {
                    await using var own = JobStore.Connect(folder);
                    var numbers = new List<int>();
                    for (var i = 0; i < 5; i++)
                        numbers.Add((await own.AddFieldAsync(id, Entry($"entry-{phone}-{i}")))!.Number);
                    return numbers;
                })
        );
        all.SelectMany(n => n).Order().ShouldBe(Enumerable.Range(1, 50));
    }

    [Fact]
    public async Task An_undo_at_the_desk_takes_nothing_back_that_was_said()
    {
        await store.SaveAsync(id, 1, new Job { Name = "Two" }, "rename");
        await store.AddFieldAsync(id, Entry("entry-0001"));
        (await store.UndoAsync(id, 2)).ShouldBeTrue();
        (await store.FieldAsync(id)).Count.ShouldBe(1);
    }

    [Fact]
    public async Task A_copy_of_the_database_holds_the_pictures()
    {
        byte[] bytes = [.. Enumerable.Range(0, 5000).Select(i => (byte)i)];
        (await store.AddPhotoAsync(id, Entry("photo-0001"), new(bytes, [1, 2], 40, 30))).ShouldBe(1);
        (await store.AddPhotoAsync(id, Entry("photo-0001"), new([9], [9], 1, 1))).ShouldBe(1);
        var other = Directory.CreateTempSubdirectory("circuitum-").FullName;
        JobStore.Backup(folder, JobStore.FileIn(other));
        await using (var copy = await JobStore.OpenAsync(other))
        {
            (await copy.PhotoAsync(id, 1, small: false)).ShouldBe(bytes);
            (await copy.PhotoAsync(id, 1, small: true)).ShouldBe([1, 2]);
            (await copy.PhotosAsync(id)).Single().Size.ShouldBe(5002);
        }

        Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
        Directory.Delete(other, true);
    }
}
