using Circuitum.Core.Analysis;
using Circuitum.Core.Circuits;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>What the circuits that a dwelling must have are held to alike: that they are there, and what may hang on them.</summary>
internal static class RequiredCircuit
{
    /// <summary>Whether boxes want a circuit of a purpose and there is none that is large enough.</summary>
    internal static bool Missing(JobAnalysis a, RoomKind? kind, CircuitPurpose purpose) =>
        a.Circuits.Length > 0
        && a.Job.Decisions.Boxes.Any(b =>
            BoxPurpose.Of(a.Job, a.Edition, b) == purpose && (kind is null || a.House[b.Room].Room.Kind == kind)
        )
        && !a.Circuits.Any(c => c.Circuit.Purpose == purpose && c.Breaker >= Least(a));

    /// <summary>Its least breaker in amperes.</summary>
    internal static int Least(JobAnalysis a) => a.Edition.Number("requiredCircuitA").Whole;

    /// <summary>Boxes of a circuit that may not be on it by a rule, each with why.</summary>
    internal static IEnumerable<(Box Box, string Words)> Guests(JobAnalysis a, CircuitAnalysis c, string rule)
    {
        foreach (var box in c.Boxes)
        {
            if (BoxPurpose.WhyNot(a.Job, a.Edition, box, c.Circuit.Purpose, c.Boxes) is not { } why)
                continue;
            if (BoxPurpose.RuleOf(a.Edition, c.Circuit.Purpose, BoxPurpose.Of(a.Job, a.Edition, box)) == rule)
                yield return (box, $"{box.Id} may not be on circuit {c.Number} ({c.Label}). {why}");
        }
    }
}
