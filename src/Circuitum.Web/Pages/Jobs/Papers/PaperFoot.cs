using Circuitum.Core.Analysis;

namespace Circuitum.Web.Pages.Jobs.Papers;

/// <summary>What the foot of a paper needs to know.</summary>
/// <param name="Id">The job's id.</param>
/// <param name="A">Its analysis.</param>
/// <param name="Stamp">Its change number.</param>
public sealed record PaperFoot(string Id, JobAnalysis A, int Stamp);
