using Circuitum.Formats.Documents;
using Circuitum.Web.Work;

namespace Circuitum.Web.Pages.Jobs.Papers;

/// <summary>A paper on a page.</summary>
/// <param name="Id">The job's id.</param>
/// <param name="Open">The open job.</param>
/// <param name="Name">The paper's name, which is that of its PDF too.</param>
/// <param name="Back">The stage or page to go back to.</param>
/// <param name="BackTo">What that is called.</param>
public sealed record PaperSheet(string Id, OpenJob Open, string Name, string Back, string BackTo)
{
    /// <summary>The paper.</summary>
    public Paper Paper { get; } = Formats.Documents.Papers.Of(Open.Analysis, Name, Open.Stored.Stamp);
}
