using System.Collections.Immutable;
using Circuitum.Core.Analysis;

namespace Circuitum.Core.Checks;

/// <summary>The door to the checks: runs them all and sorts what they find.</summary>
public static class CheckList
{
    /// <summary>The check of each rule: it is found by being there, a class of its own, in the order of its name.</summary>
    internal static ImmutableArray<CheckedRule> Rules { get; } =
    [
        .. typeof(CheckedRule)
            .Assembly.GetTypes()
            .Where(t => !t.IsAbstract && t.IsAssignableTo(typeof(CheckedRule)))
            .OrderBy(t => t.Name, StringComparer.Ordinal)
            .Select(t => (CheckedRule)Activator.CreateInstance(t)!),
    ];

    /// <summary>The rules whose breach gives a finding.</summary>
    public static ImmutableHashSet<string> Checked { get; } = [.. Rules.Select(c => c.Id)];

    /// <summary>The rules that the product only names: nobody but the inspector looks at them.</summary>
    public static ImmutableHashSet<string> LeftToTheInspector { get; } = ["service.surge", "service.emergency"];

    /// <summary>All findings, gravest first, then by rule and place.</summary>
    public static ImmutableArray<Finding> Run(JobAnalysis analysis) =>
        [
            .. InForce(analysis)
                .SelectMany(c => c.Find(analysis))
                .Concat(LocalRules.Find(analysis))
                .Where(f => analysis.Edition.InForce(f.RuleId))
                .OrderBy(f => f.Severity)
                .ThenBy(f => f.RuleId, StringComparer.Ordinal)
                .ThenBy(f => f.Sentence, StringComparer.Ordinal),
        ];

    /// <summary>What is found of one circuit by itself: its members, load, count, wire and protection.</summary>
    /// <param name="analysis">The house.</param>
    /// <param name="circuit">The circuit as it would be.</param>
    public static ImmutableArray<Finding> OfCircuit(JobAnalysis analysis, CircuitAnalysis circuit)
    {
        var alone = analysis with { Circuits = [circuit], ByBox = circuit.Run.Segments.ToImmutableDictionary(h => h.To, _ => circuit) };
        return
        [
            .. InForce(analysis)
                .SelectMany(c => c.InCircuit(alone, circuit))
                .Where(f => analysis.Edition.InForce(f.RuleId))
                .OrderBy(f => f.Severity)
                .ThenBy(f => f.RuleId, StringComparer.Ordinal),
        ];
    }

    // A rule that is not in force is not even looked at: its numbers may mean nothing in another family.
    private static IEnumerable<CheckedRule> InForce(JobAnalysis analysis) => Rules.Where(r => analysis.Edition.InForce(r.Id));

    internal static Finding Make(JobAnalysis analysis, string rule, string sentence, params Subject[] subjects)
    {
        var r = analysis.Edition.Rule(rule);
        return new(rule, Enum.Parse<Severity>(r.Severity, ignoreCase: true), r.Cite, sentence, [.. subjects]);
    }
}
