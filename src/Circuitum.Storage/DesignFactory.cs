using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Design;

namespace Circuitum.Storage;

/// <summary>Lets the migration tool make a context.</summary>
public sealed class DesignFactory : IDesignTimeDbContextFactory<JobDatabase>
{
    /// <inheritdoc/>
    public JobDatabase CreateDbContext(string[] args) =>
        new(new DbContextOptionsBuilder<JobDatabase>().UseSqlite("Data Source=design.db").Options);
}
