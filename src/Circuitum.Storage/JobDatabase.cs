using Microsoft.EntityFrameworkCore;

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

    /// <summary>Price lists of suppliers.</summary>
    public DbSet<PriceListRow> PriceLists => Set<PriceListRow>();

    /// <summary>Orders of material.</summary>
    public DbSet<OrderRow> Orders => Set<OrderRow>();

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
        modelBuilder.Entity<PriceListRow>(e =>
        {
            e.HasKey(l => l.Id);
            e.Property(l => l.Name).HasMaxLength(80);
            e.Property(l => l.Supplier).HasMaxLength(80);
        });
        modelBuilder.Entity<OrderRow>(e =>
        {
            e.HasKey(o => new { o.JobId, o.Number });
            e.HasOne<JobRow>().WithMany().HasForeignKey(o => o.JobId).OnDelete(DeleteBehavior.Cascade);
            e.Property(o => o.Key).HasMaxLength(40);
            e.HasIndex(o => o.Key).IsUnique();
            e.Property(o => o.Change).IsConcurrencyToken();
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
