using System.Collections.Immutable;
using Circuitum.Core.Analysis;

namespace Circuitum.Core.Checks;

/// <summary>The door to the checks: runs them all and sorts what they find.</summary>
public static class CheckList
{
    // A check is found by being there: a class of its own, in the order of its name.
    private static readonly ImmutableArray<ICheck> All =
    [
        .. typeof(ICheck)
            .Assembly.GetTypes()
            .Where(t => t is { IsClass: true, IsAbstract: false } && t.IsAssignableTo(typeof(ICheck)))
            .OrderBy(t => t.Name, StringComparer.Ordinal)
            .Select(t => (ICheck)Activator.CreateInstance(t)!),
    ];

    /// <summary>The rules whose breach gives a finding.</summary>
    public static ImmutableHashSet<string> Checked { get; } = [.. All.SelectMany(c => c.Rules)];

    /// <summary>The rules that each check finds, by the name of its class.</summary>
    internal static IEnumerable<(string Check, ImmutableArray<string> Rules)> ByCheck => All.Select(c => (c.GetType().Name, c.Rules));

    /// <summary>The rules of which each check finds a breach in a house; those that an authority added are declared by the job.</summary>
    internal static IEnumerable<(string Check, IEnumerable<string> Rules)> ByCheckIn(JobAnalysis analysis) =>
        All.Select(c => (c.GetType().Name, c.Find(analysis).Select(f => f.RuleId).Where(r => !analysis.Edition.Demands.ContainsKey(r))));

    /// <summary>The rules that the product only names: nobody but the inspector looks at them.</summary>
    public static ImmutableHashSet<string> LeftToTheInspector { get; } = ["service.surge", "service.emergency"];

    /// <summary>All findings, gravest first, then by rule and place.</summary>
    public static ImmutableArray<Finding> Run(JobAnalysis analysis) =>
        [
            .. All.SelectMany(c => c.Find(analysis))
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
            .. All.OfType<ICircuitCheck>()
                .SelectMany(c => c.Find(alone))
                .Where(f => analysis.Edition.InForce(f.RuleId))
                .OrderBy(f => f.Severity),
        ];
    }

    internal static Finding Make(JobAnalysis analysis, string rule, string sentence, params Subject[] subjects)
    {
        var r = analysis.Edition.Rule(rule);
        return new(rule, Enum.Parse<Severity>(r.Severity, ignoreCase: true), r.Cite, sentence, [.. subjects]);
    }
}
