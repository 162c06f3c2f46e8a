using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>A circuit that a dwelling must have when boxes want it: that it is there, and what may be on it.</summary>
/// <param name="name">What it is called in a sentence.</param>
/// <param name="purpose">Its purpose.</param>
/// <param name="room">The kind of room whose boxes want it; none for boxes anywhere.</param>
internal abstract class RequiredCircuitRule(string name, CircuitPurpose purpose, RoomKind? room) : CheckedRule
{
    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        if (RequiredCircuit.Missing(a, room, purpose))
            yield return Breach(a, $"There is no {name} circuit of {RequiredCircuit.Least(a)} A.");
    }

    internal override IEnumerable<Finding> InCircuit(JobAnalysis a, CircuitAnalysis c) =>
        RequiredCircuit.Guests(a, c, Id).Select(g => Breach(a, g.Words, Subject.Box(g.Box.Id), Subject.Circuit(c.Number)));
}
