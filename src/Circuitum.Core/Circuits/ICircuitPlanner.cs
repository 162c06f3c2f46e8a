using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Circuits;

/// <summary>Divides boxes into branch circuits.</summary>
public interface ICircuitPlanner
{
    /// <summary>The job's circuits with every loose box assigned. What a person assigned or locked stays.</summary>
    ImmutableArray<Circuit> Plan(HouseShape house, CodeEdition edition);
}
