using Circuitum.Formats.Supply;
using Circuitum.Storage.Archive;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace Circuitum.Storage;

/// <content>Jobs that come and go as a whole.</content>
public sealed partial class JobStore
{
    internal JobDatabase Database => db;

    /// <summary>Copies the live database into a file that is not there yet: one state of it, while others go on writing.</summary>
    public static void Backup(string directory, string to)
    {
        using var from = new SqliteConnection($"Data Source={FileIn(directory)};Mode=ReadWrite;Pooling=False;Default Timeout=60");
        from.Open();
        using var copy = from.CreateCommand();
        copy.CommandText = "VACUUM INTO $to";
        copy.Parameters.AddWithValue("$to", to);
        copy.ExecuteNonQuery();
        if (!OperatingSystem.IsWindows())
            File.SetUnixFileMode(to, UnixFileMode.UserRead | UnixFileMode.UserWrite);
    }

    /// <summary>Adds a job that was read from an archive, as one write.</summary>
    internal async Task<string> AddAsync(ReadJob read, CancellationToken cancel)
    {
        db.ChangeTracker.Clear();
        await using var at = await db.Database.BeginTransactionAsync(cancel).ConfigureAwait(false);
        var id = await CreateAsync(read.Present, "import", cancel).ConfigureAwait(false);
        db.ChangeTracker.Clear();
        await db.Revisions.Where(r => r.JobId == id).ExecuteDeleteAsync(cancel).ConfigureAwait(false);
        await db
            .Jobs.Where(j => j.Id == id)
            .ExecuteUpdateAsync(j => j.SetProperty(x => x.Head, read.Head.Head).SetProperty(x => x.Stamp, read.Head.Head), cancel)
            .ConfigureAwait(false);
        foreach (var state in read.Lists.States)
        {
            var row = new RevisionRow
            {
                JobId = id,
                Number = state.Number,
                Parent = state.Parent,
                Title = state.Title,
                About = state.About,
                By = state.By,
                Made = state.Made,
                Named = state.Named,
                Stepped = state.Stepped,
                SteppedBy = state.SteppedBy ?? "",
            };
            await Pack(row, read.Document(state), cancel).ConfigureAwait(false);
            db.Revisions.Add(row);

            // The next one is packed against it.
            await Written(() => db.SaveChangesAsync(cancel)).ConfigureAwait(false);
            db.ChangeTracker.Clear();
        }

        AddLists(id, read);
        await AddOrdersAsync(id, read, cancel).ConfigureAwait(false);
        await Written(() => db.SaveChangesAsync(cancel)).ConfigureAwait(false);
        foreach (var p in read.Lists.Pictures)
        {
            db.Pictures.Add(
                new PictureRow
                {
                    JobId = id,
                    Hash = p.Hash,
                    MediaType = p.MediaType,
                    Bytes = read.Picture(p),
                }
            );
            await Written(() => db.SaveChangesAsync(cancel)).ConfigureAwait(false);
            db.ChangeTracker.Clear();
        }

        foreach (var p in read.Lists.Photos)
        {
            AddPhoto(id, p, read.Photo(p, false), read.Photo(p, true));
            await Written(() => db.SaveChangesAsync(cancel)).ConfigureAwait(false);
            db.ChangeTracker.Clear();
        }

        await at.CommitAsync(cancel).ConfigureAwait(false);
        return id;
    }

    private void AddLists(string id, ReadJob read)
    {
        foreach (var s in read.Lists.Sets)
            db.Issues.Add(
                new IssueRow
                {
                    JobId = id,
                    Number = s.Number,
                    Name = s.Name,
                    Revision = s.State,
                    Stamp = s.Stamp,
                    Issued = s.Issued,
                }
            );
        foreach (var f in read.Lists.Field)
            db.Field.Add(
                new FieldRow
                {
                    JobId = id,
                    Number = f.Number,
                    EntryId = f.Id,
                    Task = f.Task,
                    State = f.State,
                    Value = f.Value,
                    Mark = f.Mark,
                    By = f.By,
                    At = f.At,
                    Received = f.Received,
                }
            );
    }

    // An order belongs to one job: where its key is known already it stays with that one. None is sent because a file says so.
    private async Task AddOrdersAsync(string id, ReadJob read, CancellationToken cancel)
    {
        foreach (var order in read.Lists.Orders.Select(o => SupplyJson.ReadOrder(o.GetRawText())).DistinctBy(o => o.Key).Index())
        {
            var (index, said) = order;
            if (!await db.Orders.AnyAsync(o => o.Key == said.Key, cancel).ConfigureAwait(false))
                db.Orders.Add(
                    new OrderRow
                    {
                        JobId = id,
                        Number = index + 1,
                        Key = said.Key,
                        Waiting = false,
                        Document = SupplyJson.Write(said with { Number = index + 1 }),
                    }
                );
        }
    }

    private void AddPhoto(string id, ArchivePhoto p, byte[] full, byte[] small)
    {
        db.Photos.Add(
            new PhotoRow
            {
                JobId = id,
                Number = p.Number,
                EntryId = p.Id,
                Task = p.Task,
                Wide = p.Wide,
                Tall = p.Tall,
                Size = full.Length + small.Length,
                By = p.By,
                At = p.At,
                InchesPerPixel = p.InchesPerPixel,
            }
        );
        db.PhotoBytes.Add(
            new PhotoBytesRow
            {
                JobId = id,
                Number = p.Number,
                Full = full,
                Small = small,
            }
        );
    }

    /// <summary>Deletes a job that was archived, with all that belongs to it; only a backup has it then.</summary>
    /// <returns>Whether there was such a job among the archived ones.</returns>
    public Task<bool> DeleteAsync(string id, CancellationToken cancel = default) =>
        Written(async () => await db.Jobs.Where(j => j.Id == id && j.Deleted != null).ExecuteDeleteAsync(cancel).ConfigureAwait(false) > 0);
}
