using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;
using Circuitum.Core.Review;
using Circuitum.Storage;

namespace Circuitum.Web.Work;

// Issued sets, the company and pictures.
public sealed partial class JobDesk
{
    /// <summary>Issues the job as it stands as a set of papers. Gives a sentence when it was not done.</summary>
    public async Task<string> IssueAsync(string id, int stamp, string name, CancellationToken cancel)
    {
        var plain = name.Trim();
        if (plain.Length is 0 or > 80 || plain.Any(char.IsControl))
            return "Name: say in 1 to 80 characters what the set is issued for.";
        await using var store = Connect();
        return await TryAsync(() => store.IssueAsync(id, stamp, plain, cancel));
    }

    /// <summary>The sets of a job, last first.</summary>
    public async Task<IReadOnlyList<IssuedSet>> IssuedAsync(string id, CancellationToken cancel)
    {
        await using var store = Connect();
        return await store.IssuedAsync(id, cancel);
    }

    /// <summary>The issued set that a change is, or that it comes after; empty before the first.</summary>
    public async Task<string> SetAsync(string id, int stamp, CancellationToken cancel) =>
        await IssuedAsync(id, cancel) is not [var last, ..] ? ""
        : last.Stamp == stamp ? $"Set {last.Number}, {last.Name}"
        : $"Changed since set {last.Number}, {last.Name}";

    /// <summary>The job as it stood when a set was issued, worked out, or none.</summary>
    public async Task<JobAnalysis?> IssuedAsync(string id, int number, CancellationToken cancel)
    {
        await using var store = Connect();
        return await store.IssuedJobAsync(id, number, cancel) is { } job ? Analyzer.Analyze(job) : null;
    }

    /// <summary>What holds for the firm, and which change that is.</summary>
    public async Task<(Company Company, int Stamp)> CompanyAsync(CancellationToken cancel)
    {
        await using var store = Connect();
        return await store.CompanyAsync(cancel);
    }

    /// <summary>Saves what holds for the firm. Gives a sentence when it was not done.</summary>
    public async Task<string> SaveCompanyAsync(int stamp, Company company, CancellationToken cancel)
    {
        if (Core.Intake.JobRules.Check(company) is [var first, ..])
            return first.Sentence;
        await using var store = Connect();
        return await store.SaveCompanyAsync(stamp, company, cancel)
            ? ""
            : "This was changed meanwhile, in another window. Here is how it stands now; your last edit was not made.";
    }

    /// <summary>A stored picture of a job, or none.</summary>
    public async Task<PictureRow?> PictureAsync(string id, string hash, CancellationToken cancel)
    {
        await using var store = Connect();
        return await store.PictureAsync(id, hash, cancel);
    }
}
