using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Planning;
using Circuitum.Formats;
using Microsoft.Data.Sqlite;

namespace Circuitum.Storage.Tests;

/// <summary>The states of a job: small on disk, the same again, thinned out as is said.</summary>
public sealed class HistoryTests : IDisposable
{
    private readonly string folder = Directory.CreateTempSubdirectory("circuitum-").FullName;

    public void Dispose()
    {
        SqliteConnection.ClearAllPools();
        Directory.Delete(folder, true);
    }

    private static Job Demo()
    {
        var file = Path.Combine(AppContext.BaseDirectory, "demo", "tamarack-row.json");
        return Planner.PlanAll(JobFile.Read(File.ReadAllText(file)).Job.ShouldNotBeNull());
    }

    // One box somewhere a little further along its wall.
    private static Job Moved(Job job, Random random)
    {
        var boxes = job.Decisions.Boxes;
        var on = boxes.Index().Where(b => b.Item is { Wall: not null } && b.Item.Along > Length.Feet(2)).Select(b => b.Index).ToList();
        var at = on[random.Next(on.Count)];
        return job with
        {
            Decisions = job.Decisions with
            {
                Boxes = boxes.SetItem(at, boxes[at] with { Along = boxes[at].Along + Length.Inches(random.Next(-3, 3)) }),
            },
        };
    }

    private void Sql(string text)
    {
        using var db = new SqliteConnection($"Data Source={JobStore.FileIn(folder)};Pooling=False");
        db.Open();
        using var c = db.CreateCommand();
        c.CommandText = text;
        c.ExecuteNonQuery();
    }

    [Fact]
    public async Task A_thousand_edits_of_the_demo_take_less_than_8_MB_and_each_is_as_it_was()
    {
        var (random, job) = (new Random(5), Demo());
        await using var store = await JobStore.OpenAsync(folder);
        var id = await store.CreateAsync(job, "new");
        var written = new Dictionary<int, string>();
        var stamp = 1;
        for (var n = 0; n < 1000; n++)
        {
            job = Moved(job, random);
            (await store.SaveAsync(id, stamp++, job, "move box")).ShouldBeTrue();
            written[await store.HeadAsync(id)] = JobFile.Write(job);

            // Now and then a way that is not gone on.
            if (n % 37 == 0 && await store.UndoAsync(id, stamp))
            {
                stamp++;
                job = (await store.GetAsync(id))!.Job;
            }
        }

        foreach (var (number, text) in written.Where(w => w.Key % 13 == 0 || w.Key > 990))
            JobFile.Write((await store.RevisionAsync(id, number)).ShouldNotBeNull()).ShouldBe(text, $"state {number}");
        Sql("PRAGMA wal_checkpoint(TRUNCATE)");
        new FileInfo(JobStore.FileIn(folder)).Length.ShouldBeLessThan(8_000_000);
    }

    [Fact]
    public async Task Old_states_are_thinned_out_and_what_stays_is_as_it_was()
    {
        var (random, job) = (new Random(8), Demo());
        await using var store = await JobStore.OpenAsync(folder);
        var id = await store.CreateAsync(job, "new");
        var now = new DateTime(2026, 11, 20, 12, 0, 0, DateTimeKind.Utc);
        var made = new Dictionary<int, DateTime> { [1] = now.AddDays(-30) };
        var texts = new Dictionary<int, string> { [1] = JobFile.Write(job) };
        for (var n = 2; n <= 240; n++)
        {
            job = Moved(job, random);
            await store.SaveAsync(id, n - 1, job, "move box");
            texts[n] = JobFile.Write(job);
            made[n] = now.AddHours(-30 * 24.0 * (240 - n) / 240 * (240 - n) / 240);
        }

        await store.NameRevisionAsync(id, 40, "before the kitchen moved");
        foreach (var (number, at) in made)
            Sql($"UPDATE Revisions SET Made = '{at:yyyy-MM-dd HH:mm:ss}' WHERE Number = {number}");
        Sql($"INSERT INTO Issues (JobId, Number, Name, Revision, Stamp, Issued) VALUES ('{id}', 1, 'Permit', 77, 77, '2026-11-01')");
        (await store.ThinAsync(id, now)).ShouldBeGreaterThan(50);

        var left = await store.HistoryAsync(id, most: 1000);
        var numbers = left.Select(r => r.Number).ToHashSet();
        var wanted = made.Where(m => now - m.Value <= TimeSpan.FromDays(1)).Select(m => m.Key).ToHashSet();
        foreach (var hour in made.Where(m => now - m.Value > TimeSpan.FromDays(1)).GroupBy(m => Slot(now, m.Value)))
            wanted.Add(hour.Max(m => m.Key));
        wanted.UnionWith([40, 77, 240]);
        numbers.ShouldBe(wanted, ignoreOrder: true);
        foreach (var r in left)
        {
            (r.Parent == 0 || numbers.Contains(r.Parent)).ShouldBeTrue($"{r.Number} follows {r.Parent}");
            JobFile
                .Write((await store.RevisionAsync(id, r.Number)).ShouldNotBeNull($"{r.Number}"))
                .ShouldBe(texts[r.Number], $"{r.Number}");
        }

        (await store.IssuedJobAsync(id, 1)).ShouldNotBeNull();
        (await store.ThinAsync(id, now)).ShouldBe(0);

        // Undo still walks back, over what is left.
        (await store.UndoAsync(id, 240)).ShouldBeTrue();
        (await store.GetAsync(id))!.Job.ShouldNotBeNull();
    }

    private static string Slot(DateTime now, DateTime made) =>
        now - made > TimeSpan.FromDays(7) ? $"{made:yyyyMMdd}" : $"{made:yyyyMMddHH}";

    [Fact]
    public async Task States_of_an_older_program_are_packed_and_stay_as_they_were()
    {
        var job = Demo();
        await using var store = await JobStore.OpenAsync(folder);
        var id = await store.CreateAsync(job, "new");
        var text = JobFile.Write(job);
        for (var n = 1; n < 70; n++)
            await store.SaveAsync(id, n, job with { Name = $"R{n}" }, "rename");
        Sql($"UPDATE Revisions SET Packed = NULL, Base = 0, Document = replace('{text.Replace("'", "''")}', '{job.Name}', 'R' || Number)");
        (await store.CompactAsync(id)).ShouldBe(70);
        (await store.CompactAsync(id)).ShouldBe(0);
        foreach (var number in new[] { 1, 2, 31, 33, 70 })
            (await store.RevisionAsync(id, number))!.Name.ShouldStartWith($"R{number}");
    }

    [Fact]
    public async Task Who_did_what_is_kept_with_the_state()
    {
        await using var store = await JobStore.OpenAsync(folder);
        var id = await store.CreateAsync(Demo(), "new");
        await using var olga = JobStore.Connect(folder, "Olga Owner");
        await olga.SaveAsync(id, 1, Demo() with { Name = "Other" }, "edit room", about: "kitchen");
        var list = await store.HistoryAsync(id);
        list.Select(r => (r.Number, r.By, r.Title, r.About)).ShouldBe([(2, "Olga Owner", "edit room", "kitchen"), (1, "", "new", "")]);
        (await store.NameRevisionAsync(id, 9, "none")).ShouldBeFalse();
    }

    [Fact]
    public async Task Who_undid_a_state_and_who_took_it_up_again_is_kept_with_it()
    {
        await using var store = await JobStore.OpenAsync(folder);
        var id = await store.CreateAsync(Demo(), "new");
        await store.SaveAsync(id, 1, Demo() with { Name = "Other" }, "edit room");
        await using var pia = JobStore.Connect(folder, "Pia Planner");
        await using var olga = JobStore.Connect(folder, "Olga Owner");
        (await pia.UndoAsync(id, 2)).ShouldBeTrue();
        (await store.HistoryAsync(id)).Select(r => (r.Number, r.SteppedBy)).ShouldBe([(2, "Pia Planner"), (1, "")]);
        (await store.HistoryAsync(id))[1].Stepped.ShouldBeNull();
        (await olga.RedoAsync(id, 3)).ShouldBeTrue();
        var again = (await store.HistoryAsync(id))[0];
        (again.SteppedBy, again.By).ShouldBe(("Olga Owner", ""));
        again.Stepped.ShouldNotBeNull();
    }

    // A set is issued of a state that another thins out in the same moment: it is kept, or it was never issued.
    [Fact]
    public async Task A_state_that_is_issued_while_others_thin_out_is_kept()
    {
        await using var store = await JobStore.OpenAsync(folder);
        var id = await store.CreateAsync(Demo(), "new");
        for (var n = 1; n <= 40; n++)
            await store.SaveAsync(id, n, Demo() with { Name = $"R{n + 1}" }, "edit");
        await using var other = JobStore.Connect(folder);
        var thins = Task.Run(async () =>
        {
            for (var n = 0; n < 40; n++)
                await other.ThinAsync(id, DateTime.UtcNow.AddDays(30));
        });
        for (var stamp = 41; stamp < 81; stamp++)
        {
            (await store.IssueAsync(id, stamp, $"set {stamp}")).ShouldBeTrue();
            await store.SaveAsync(id, stamp, Demo() with { Name = $"R{stamp + 1}" }, "edit");
        }

        await thins;
        foreach (var set in await store.IssuedAsync(id))
            (await store.IssuedJobAsync(id, set.Number)).ShouldNotBeNull().Name.ShouldBe(set.Stamp == 1 ? "Tamarack Row" : $"R{set.Stamp}");
    }

    // Thinned out and edited at once, as when two people work and the clock tidies up: no state is written against one that went.
    [Fact]
    public async Task Thinned_out_while_others_edit_nothing_is_lost()
    {
        var (random, job) = (new Random(3), Demo());
        await using var store = await JobStore.OpenAsync(folder);
        var id = await store.CreateAsync(job, "new");
        for (var n = 1; n < 40; n++)
            await store.SaveAsync(id, n, job with { Name = $"R{n}" }, "rename");
        using var ended = new CancellationTokenSource();
        var thinning = Task.Run(async () =>
        {
            await using var other = JobStore.Connect(folder);
            while (!ended.IsCancellationRequested)
                await other.ThinAsync(id, DateTime.UtcNow.AddDays(40 + random.Next(3)));
        });
        for (var n = 40; n < 160; n++)
        {
            (await store.SaveAsync(id, n, job with { Name = $"R{n}" }, "rename")).ShouldBeTrue();
            (await store.GetAsync(id))!.ShouldSatisfyAllConditions(j => j.Job.Name.ShouldBe($"R{n}"), j => j.Notice.ShouldBeEmpty());
        }

        await ended.CancelAsync();
        await thinning;
        foreach (var state in await store.HistoryAsync(id, most: 1000))
            (await store.RevisionAsync(id, state.Number)).ShouldNotBeNull($"{state.Number}");
    }
}
