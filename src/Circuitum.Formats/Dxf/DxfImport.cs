using Circuitum.Core.Jobs;

namespace Circuitum.Formats.Dxf;

/// <summary>What an import made, and an honest account of it.</summary>
/// <param name="Job">The job with the new rooms, or none.</param>
/// <param name="Report">What was taken and what was not, line by line.</param>
/// <param name="Problem">Why there is no job.</param>
public sealed record DxfImport(Job? Job, IReadOnlyList<string> Report, string Problem);
