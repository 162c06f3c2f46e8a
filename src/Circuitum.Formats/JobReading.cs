using Circuitum.Core.Jobs;

namespace Circuitum.Formats;

/// <summary>A job read from a file, or what is wrong with the file.</summary>
/// <param name="Job">The job, when there are no problems.</param>
/// <param name="Problems">Otherwise the problems, each with its field.</param>
public sealed record JobReading(Job? Job, IReadOnlyList<Problem> Problems);
