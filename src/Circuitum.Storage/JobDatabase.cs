using Microsoft.AspNetCore.Identity.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore;

namespace Circuitum.Storage;

/// <summary>The SQLite database of jobs and their revisions, of what is said in the field, and of who may come in.</summary>
public sealed class JobDatabase(DbContextOptions<JobDatabase> options) : IdentityUserContext<Account>(options)
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

    /// <summary>Entries from the field.</summary>
    public DbSet<FieldRow> Field => Set<FieldRow>();

    /// <summary>Photographs from the field.</summary>
    public DbSet<PhotoRow> Photos => Set<PhotoRow>();

    /// <summary>Their bytes.</summary>
    public DbSet<PhotoBytesRow> PhotoBytes => Set<PhotoBytesRow>();

    /// <inheritdoc/>
    protected override void OnModelCreating(ModelBuilder builder)
    {
        base.OnModelCreating(builder);
        builder.Entity<Account>(e =>
        {
            e.Property(a => a.Role).HasMaxLength(20);
            e.Property(a => a.Job).HasMaxLength(40);
            e.Property(a => a.Link).HasMaxLength(64);
        });
        builder.Entity<FieldRow>(e =>
        {
            e.HasKey(f => new { f.JobId, f.Number });
            e.HasOne<JobRow>().WithMany().HasForeignKey(f => f.JobId).OnDelete(DeleteBehavior.Cascade);
            e.Property(f => f.EntryId).HasMaxLength(40);
            e.HasIndex(f => new { f.JobId, f.EntryId }).IsUnique();
        });
        builder.Entity<PhotoRow>(e =>
        {
            e.HasKey(p => new { p.JobId, p.Number });
            e.HasOne<JobRow>().WithMany().HasForeignKey(p => p.JobId).OnDelete(DeleteBehavior.Cascade);
            e.Property(p => p.EntryId).HasMaxLength(40);
            e.HasIndex(p => new { p.JobId, p.EntryId }).IsUnique();
        });
        builder.Entity<PhotoBytesRow>(e =>
        {
            e.HasKey(p => new { p.JobId, p.Number });
            e.HasOne<PhotoRow>().WithOne().HasForeignKey<PhotoBytesRow>(p => new { p.JobId, p.Number }).OnDelete(DeleteBehavior.Cascade);
        });
        builder.Entity<JobRow>(e =>
        {
            e.HasKey(j => j.Id);
            e.Property(j => j.Id).HasMaxLength(40);
            e.Property(j => j.Name).HasMaxLength(120);
            e.Property(j => j.Stamp).IsConcurrencyToken();
        });
        builder.Entity<RevisionRow>(e =>
        {
            e.HasKey(r => new { r.JobId, r.Number });
            e.HasOne<JobRow>().WithMany().HasForeignKey(r => r.JobId).OnDelete(DeleteBehavior.Cascade);
            e.Property(r => r.Title).HasMaxLength(120);
            e.Property(r => r.About).HasMaxLength(120);
            e.Property(r => r.By).HasMaxLength(80);
            e.Property(r => r.Named).HasMaxLength(80);
            e.Property(r => r.Nudge).HasMaxLength(120);
        });
        builder.Entity<IssueRow>(e =>
        {
            e.HasKey(i => new { i.JobId, i.Number });
            e.HasOne<JobRow>().WithMany().HasForeignKey(i => i.JobId).OnDelete(DeleteBehavior.Cascade);
            e.Property(i => i.Name).HasMaxLength(80);
        });
        builder.Entity<CompanyRow>(e =>
        {
            e.HasKey(c => c.Id);
            e.Property(c => c.Id).ValueGeneratedNever();
            e.Property(c => c.Stamp).IsConcurrencyToken();
        });
        builder.Entity<PriceListRow>(e =>
        {
            e.HasKey(l => l.Id);
            e.Property(l => l.Name).HasMaxLength(80);
            e.Property(l => l.Supplier).HasMaxLength(80);
        });
        builder.Entity<OrderRow>(e =>
        {
            e.HasKey(o => new { o.JobId, o.Number });
            e.HasOne<JobRow>().WithMany().HasForeignKey(o => o.JobId).OnDelete(DeleteBehavior.Cascade);
            e.Property(o => o.Key).HasMaxLength(40);
            e.HasIndex(o => o.Key).IsUnique();
            e.Property(o => o.Change).IsConcurrencyToken();
        });
        builder.Entity<PictureRow>(e =>
        {
            e.HasKey(p => new { p.JobId, p.Hash });
            e.HasOne<JobRow>().WithMany().HasForeignKey(p => p.JobId).OnDelete(DeleteBehavior.Cascade);
            e.Property(p => p.Hash).HasMaxLength(64);
            e.Property(p => p.MediaType).HasMaxLength(20);
        });
    }
}
