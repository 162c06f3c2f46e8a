using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>A large socket-outlet is alone.</summary>
internal sealed class BoardOwnRule : CheckedRule
{
    internal override string Id => "board.own";

    internal override IEnumerable<Finding> InCircuit(JobAnalysis a, CircuitAnalysis c)
    {
        if (c.Boxes.Length > 1 && c.Boxes.FirstOrDefault(b => b.Kind == BoxKind.Receptacle && b.Rating is > Ordinary) is { } large)
            yield return Breach(
                a,
                $"{large.Id}, a socket-outlet of {large.Rating} A, shares circuit {c.Number}; it is alone on its radial.",
                Subject.Box(large.Id),
                Subject.Circuit(c.Number)
            );
    }

    // The rating of an ordinary one, in amperes.
    private const int Ordinary = 13;
}
