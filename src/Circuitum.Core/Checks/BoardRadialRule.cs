using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;

namespace Circuitum.Core.Checks;

/// <summary>Points and floor of a radial of socket-outlets.</summary>
internal sealed class BoardRadialRule : CheckedRule
{
    internal override string Id => "board.radial";

    internal override IEnumerable<Finding> InCircuit(JobAnalysis a, CircuitAnalysis c)
    {
        if (c.Board is not { Use: BoardUse.Sockets, Ring: false })
            yield break;
        foreach (var passed in SocketLimits.Passed(a, c, "Radial"))
            yield return Breach(a, passed, Subject.Circuit(c.Number));
    }
}
