using Circuitum.Core.Analysis;

namespace Circuitum.Core.Checks;

/// <summary>
/// One rule that is checked: finds its breaches and offers what would mend them. It is found by being in this room, and its class is
/// named after the rule: <c>box.wall</c> is <c>BoxWallRule</c>.
/// </summary>
internal abstract class CheckedRule
{
    /// <summary>The rule's id in the editions.</summary>
    internal abstract string Id { get; }

    /// <summary>Breaches in the house as a whole.</summary>
    internal virtual IEnumerable<Finding> InHouse(JobAnalysis a) => [];

    /// <summary>Breaches in one circuit by itself, so that it can be asked of one that is not made yet.</summary>
    internal virtual IEnumerable<Finding> InCircuit(JobAnalysis a, CircuitAnalysis c) => [];

    /// <summary>All breaches, in the house and in each of its circuits.</summary>
    internal IEnumerable<Finding> Find(JobAnalysis a) => InHouse(a).Concat(a.Circuits.SelectMany(c => InCircuit(a, c)));

    /// <summary>A breach in words, graded and cited as the edition has it.</summary>
    protected Finding Breach(JobAnalysis a, string sentence, params Subject[] subjects) => CheckList.Make(a, Id, sentence, subjects);
}
