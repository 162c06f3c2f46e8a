using Circuitum.Core.Jobs;

namespace Circuitum.Core.Analysis;

/// <summary>One box for the person who sets it.</summary>
/// <param name="Box">The box.</param>
/// <param name="Spec">What it has to be.</param>
/// <param name="Place">Where a tape finds it: from the left corner of its wall, or from two walls for one in a ceiling.</param>
/// <param name="Height">How high.</param>
public sealed record BoxLine(Box Box, BoxSpec Spec, string Place, string Height);
