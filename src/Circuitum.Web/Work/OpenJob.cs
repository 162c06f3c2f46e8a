using Circuitum.Core.Analysis;
using Circuitum.Storage;

namespace Circuitum.Web.Work;

/// <summary>A job with its analysis.</summary>
/// <param name="Stored">As stored.</param>
/// <param name="Analysis">What follows from it.</param>
/// <param name="Pictures">The pictures that are stored with it.</param>
/// <param name="Before">The analysis before the last edit, while the program remembers it.</param>
public sealed record OpenJob(StoredJob Stored, JobAnalysis Analysis, IReadOnlySet<string> Pictures, JobAnalysis? Before = null);
