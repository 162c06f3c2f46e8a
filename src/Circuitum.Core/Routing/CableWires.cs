using System.Collections.Immutable;

namespace Circuitum.Core.Routing;

/// <summary>What the insulated wires of a cable are, beside its neutral.</summary>
/// <param name="Hot">One brings power on.</param>
/// <param name="Legs">Switched wires, each by the number of its group in <see cref="CableRun.Switching"/>.</param>
/// <param name="Pairs">Pairs of travelers, each by the number of its group.</param>
/// <param name="Joins">One joins alarms.</param>
public sealed record CableWires(bool Hot, ImmutableArray<int> Legs, ImmutableArray<int> Pairs, bool Joins)
{
    /// <summary>All of them with the neutral.</summary>
    public int Count => 1 + (Hot ? 1 : 0) + Legs.Length + (2 * Pairs.Length) + (Joins ? 1 : 0);
}
