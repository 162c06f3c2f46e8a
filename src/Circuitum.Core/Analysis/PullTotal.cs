using Circuitum.Core.Measure;

namespace Circuitum.Core.Analysis;

/// <summary>What one sort of cable comes to.</summary>
/// <param name="Cable">The cable.</param>
/// <param name="Planned">All home runs of it as planned.</param>
/// <param name="PulledPlanned">What was planned for those that are pulled and measured.</param>
/// <param name="Measured">What they took.</param>
/// <param name="Left">What is still to be pulled, as planned.</param>
public sealed record PullTotal(string Cable, Length Planned, Length PulledPlanned, Length Measured, Length Left);
