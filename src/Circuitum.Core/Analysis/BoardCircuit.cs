using Circuitum.Core.Codes;
using Circuitum.Core.Measure;
using Circuitum.Core.Routing;

namespace Circuitum.Core.Analysis;

/// <summary>What a circuit is on a split board.</summary>
/// <param name="Use">What it is for.</param>
/// <param name="Curve">The curve of its breaker: B or C.</param>
/// <param name="Milliamps">Rated residual current of the section that it belongs to.</param>
/// <param name="ThreeLines">On all three lines.</param>
/// <param name="Earth">Its protective conductor, or none when nothing could be sized.</param>
/// <param name="Needed">What a conductor must carry after its factors, in amperes.</param>
/// <param name="Points">Points of 13 A on it.</param>
public sealed record BoardCircuit(BoardUse Use, string Curve, int Milliamps, bool ThreeLines, WireSize? Earth, double Needed, int Points)
{
    /// <summary>The drop that it may have, in percent.</summary>
    public required double DropLimit { get; init; }

    /// <summary>Whether it feeds socket-outlets by a closed run.</summary>
    public bool Ring { get; init; }

    /// <summary>The leg of a ring from its last point back to the board, or none.</summary>
    public CableSegment? Closing { get; init; }

    /// <summary>The whole loop of a ring, or the way to the farthest point.</summary>
    public Length Longest { get; init; }

    /// <summary>Greatest loop impedance at which its breaker opens in time, in ohm.</summary>
    public double MostLoopOhm { get; init; }

    /// <summary>Poles of its breaker: one for a line, four for three lines and the neutral.</summary>
    public int BreakerPoles => ThreeLines ? 4 : 1;

    /// <summary>What a use is called where its circuits are counted up.</summary>
    public static string NameOf(BoardUse use) =>
        use switch
        {
            BoardUse.Lighting => "Lights",
            BoardUse.GardenLighting => "Lights outdoors",
            BoardUse.Sockets => "Socket-outlets",
            BoardUse.Cooking => "Cookers",
            BoardUse.WaterHeating => "Water heaters",
            BoardUse.Cooling => "Air conditioners",
            _ => "Fixed appliances",
        };
}
