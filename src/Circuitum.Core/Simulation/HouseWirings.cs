using Circuitum.Core.Analysis;

namespace Circuitum.Core.Simulation;

/// <summary>The door to the simulation: the networks of a house.</summary>
public static class HouseWirings
{
    /// <summary>The network of a circuit, with the one that shares its home run.</summary>
    /// <param name="a">The house.</param>
    /// <param name="circuit">The circuit's number.</param>
    /// <exception cref="ArgumentException">There is no such circuit.</exception>
    public static Wiring Of(JobAnalysis a, int circuit) =>
        WiringBuilder.Of(a, a.CircuitByNumber(circuit) ?? throw new ArgumentException($"There is no circuit {circuit}.", nameof(circuit)));

    /// <summary>Every network of a house once: circuits that share a home run are in one.</summary>
    /// <param name="a">The house.</param>
    public static IEnumerable<Wiring> Of(JobAnalysis a) =>
        a.Circuits.Where(c => !c.Carried && c.Wire is not null && c.Run.First is not null).Select(c => WiringBuilder.Of(a, c));
}
