using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Design;

namespace Circuitum.Storage;

/// <summary>The SQLite database of jobs and their revisions.</summary>
public sealed class JobDatabase(DbContextOptions<JobDatabase> options) : DbContext(options)
{
    /// <summary>Jobs.</summary>
    public DbSet<JobRow> Jobs => Set<JobRow>();

    /// <summary>Every state a job was in.</summary>
    public DbSet<RevisionRow> Revisions => Set<RevisionRow>();

    /// <summary>Pictures to trace.</summary>
    public DbSet<PictureRow> Pictures => Set<PictureRow>();

    /// <summary>The company's document; at most one row.</summary>
    public DbSet<CompanyRow> Companies => Set<CompanyRow>();

    /// <summary>Sets of papers that were issued.</summary>
    public DbSet<IssueRow> Issues => Set<IssueRow>();

    /// <inheritdoc/>
    protected override void OnModelCreating(ModelBuilder modelBuilder)
    {
        modelBuilder.Entity<JobRow>(e =>
        {
            e.HasKey(j => j.Id);
            e.Property(j => j.Id).HasMaxLength(40);
            e.Property(j => j.Name).HasMaxLength(120);
            e.Property(j => j.Stamp).IsConcurrencyToken();
        });
        modelBuilder.Entity<RevisionRow>(e =>
        {
            e.HasKey(r => new { r.JobId, r.Number });
            e.HasOne<JobRow>().WithMany().HasForeignKey(r => r.JobId).OnDelete(DeleteBehavior.Cascade);
            e.Property(r => r.Title).HasMaxLength(120);
            e.Property(r => r.Nudge).HasMaxLength(120);
        });
        modelBuilder.Entity<IssueRow>(e =>
        {
            e.HasKey(i => new { i.JobId, i.Number });
            e.HasOne<JobRow>().WithMany().HasForeignKey(i => i.JobId).OnDelete(DeleteBehavior.Cascade);
            e.Property(i => i.Name).HasMaxLength(80);
        });
        modelBuilder.Entity<CompanyRow>(e =>
        {
            e.HasKey(c => c.Id);
            e.Property(c => c.Id).ValueGeneratedNever();
            e.Property(c => c.Stamp).IsConcurrencyToken();
        });
        modelBuilder.Entity<PictureRow>(e =>
        {
            e.HasKey(p => new { p.JobId, p.Hash });
            e.HasOne<JobRow>().WithMany().HasForeignKey(p => p.JobId).OnDelete(DeleteBehavior.Cascade);
            e.Property(p => p.Hash).HasMaxLength(64);
            e.Property(p => p.MediaType).HasMaxLength(20);
        });
    }
}

/// <summary>A job: which revision is its present one.</summary>
public sealed class JobRow
{
    /// <summary>Its id in addresses.</summary>
    public required string Id { get; set; }

    /// <summary>Its name, for the list.</summary>
    public required string Name { get; set; }

    /// <summary>The present revision.</summary>
    public int Head { get; set; }

    /// <summary>Counts every change, undo and redo among them; an edit made against another one is stale.</summary>
    public int Stamp { get; set; }

    /// <summary>Last change, UTC.</summary>
    public DateTime Changed { get; set; }

    /// <summary>When it was put away, UTC, or none; it can be taken back.</summary>
    public DateTime? Deleted { get; set; }
}

/// <summary>One state of a job.</summary>
public sealed class RevisionRow
{
    /// <summary>The job.</summary>
    public required string JobId { get; set; }

    /// <summary>Rising from 1.</summary>
    public int Number { get; set; }

    /// <summary>The revision it was made from; 0 for the first.</summary>
    public int Parent { get; set; }

    /// <summary>The job file's text.</summary>
    public required string Document { get; set; }

    /// <summary>What was done.</summary>
    public required string Title { get; set; }

    /// <summary>When, UTC.</summary>
    public DateTime Made { get; set; }

    /// <summary>What it nudged, such as one box with the arrow keys: the next nudge of the same thing takes its place. None else.</summary>
    public string? Nudge { get; set; }
}

/// <summary>A set of papers that left the house: the state that the job was in then, by its revision.</summary>
public sealed class IssueRow
{
    /// <summary>The job.</summary>
    public required string JobId { get; set; }

    /// <summary>Rising from 1.</summary>
    public int Number { get; set; }

    /// <summary>What it was issued for.</summary>
    public required string Name { get; set; }

    /// <summary>The revision that it shows.</summary>
    public int Revision { get; set; }

    /// <summary>The change number that stands on its papers.</summary>
    public int Stamp { get; set; }

    /// <summary>When, UTC.</summary>
    public DateTime Issued { get; set; }
}

/// <summary>A picture of a paper plan, stored with its job. Kept for undo when the job no longer shows it.</summary>
public sealed class PictureRow
{
    /// <summary>The job.</summary>
    public required string JobId { get; set; }

    /// <summary>SHA-256 of the bytes, in small hexadecimal digits.</summary>
    public required string Hash { get; set; }

    /// <summary>What the bytes are: <c>image/png</c> or <c>image/jpeg</c>.</summary>
    public required string MediaType { get; set; }

    /// <summary>The file as it came.</summary>
    public required byte[] Bytes { get; set; }
}

/// <summary>What holds for all jobs of the firm.</summary>
public sealed class CompanyRow
{
    /// <summary>Always 1: a data directory belongs to one firm.</summary>
    public int Id { get; set; }

    /// <summary>Counts every change; an edit made against another one is stale.</summary>
    public int Stamp { get; set; }

    /// <summary>The document's text.</summary>
    public required string Document { get; set; }
}

/// <summary>Lets the migration tool make a context.</summary>
public sealed class DesignFactory : IDesignTimeDbContextFactory<JobDatabase>
{
    /// <inheritdoc/>
    public JobDatabase CreateDbContext(string[] args) =>
        new(new DbContextOptionsBuilder<JobDatabase>().UseSqlite("Data Source=design.db").Options);
}
