using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;

namespace Circuitum.Core.Checks;

/// <summary>Points and floor of a ring, and that it is closed.</summary>
internal sealed class BoardRingRule : CheckedRule
{
    internal override string Id => "board.ring";

    internal override IEnumerable<Finding> InCircuit(JobAnalysis a, CircuitAnalysis c)
    {
        if (c.Board is not { Use: BoardUse.Sockets, Ring: true })
            yield break;
        foreach (var passed in SocketLimits.Passed(a, c, "Ring"))
            yield return Breach(a, passed, Subject.Circuit(c.Number));
        if (c.Board.Closing is null)
            yield return Breach(a, $"Ring {c.Number} has one point and no second leg: it is a radial.", Subject.Circuit(c.Number));
    }
}
