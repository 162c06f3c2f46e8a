using Circuitum.Core.Analysis;

namespace Circuitum.Core.Checks;

/// <summary>One rule's check.</summary>
internal interface ICheck
{
    /// <summary>What it finds.</summary>
    IEnumerable<Finding> Find(JobAnalysis analysis);
}
