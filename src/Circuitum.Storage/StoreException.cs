using System.Data.Common;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace Circuitum.Storage;

/// <summary>Something about the store that a person has to know; the message is a whole sentence.</summary>
public sealed class StoreException(string sentence, Exception? inner = null) : IOException(sentence, inner)
{
    // SQLite's result codes that have a sentence of their own.
    private const int Busy = 5,
        Locked = 6,
        ReadOnly = 8,
        IoError = 10,
        Corrupt = 11,
        Full = 13,
        CantOpen = 14,
        Constraint = 19,
        NotADatabase = 26;

    /// <summary>Whether a failed write lost against another one that took its place: the same stamp or the same number.</summary>
    internal static bool IsRace(DbUpdateException problem) =>
        problem is DbUpdateConcurrencyException
        || problem.InnerException is SqliteException { SqliteErrorCode: Constraint } or DbException { SqlState: NotUnique };

    // What other engines say of the same.
    private const string NotUnique = "23505";

    /// <summary>What is wrong with the store, in words.</summary>
    /// <param name="problem">What the database says.</param>
    public static StoreException Of(Exception problem)
    {
        var code = (problem as SqliteException ?? problem.InnerException as SqliteException)?.SqliteErrorCode ?? 0;
        return new(
            code switch
            {
                Full => "The disk is full. Nothing was changed; make room and repeat the edit.",
                ReadOnly or CantOpen => "The data directory cannot be written to. Nothing was changed.",
                Busy or Locked => "Another program holds the database. Nothing was changed; repeat the edit.",
                IoError => "The disk did not take what was to be written. Nothing was changed; look at the disk.",
                Corrupt or NotADatabase => "The database is damaged, or the file is none of this program. It was left as it is.",
                _ => "The database did not take the change. Nothing was changed.",
            },
            problem
        );
    }
}
