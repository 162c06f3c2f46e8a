using Circuitum.Core.Measure;

namespace Circuitum.Core.Analysis;

/// <summary>What would take load off the service.</summary>
/// <param name="What">What is done.</param>
/// <param name="Saved">How much less then flows, by the method that the job uses.</param>
public sealed record Relief(string What, Amperes Saved);
