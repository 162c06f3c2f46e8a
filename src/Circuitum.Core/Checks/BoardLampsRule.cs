using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>Load of a lighting circuit, and nothing but lights on it.</summary>
internal sealed class BoardLampsRule : CheckedRule
{
    internal override string Id => "board.lamps";

    internal override IEnumerable<Finding> InCircuit(JobAnalysis a, CircuitAnalysis c)
    {
        var most = a.Edition.Number("lampMostW");
        if (c.Board is { Use: BoardUse.Lighting or BoardUse.GardenLighting } && c.Load.Connected.Value > most)
            yield return Breach(
                a,
                $"Lighting circuit {c.Number} has {c.Load.Connected.Value:#,0} W; over {most:#,0} W it is divided.",
                Subject.Circuit(c.Number)
            );
        if (c.Board is { Use: BoardUse.Sockets } && c.Boxes.Any(b => b.Kind == BoxKind.Light))
            yield return Breach(a, $"Circuit {c.Number} has lights and socket-outlets.", Subject.Circuit(c.Number));
    }
}
