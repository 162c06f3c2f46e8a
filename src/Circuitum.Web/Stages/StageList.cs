using System.Collections.Immutable;

namespace Circuitum.Web.Stages;

/// <summary>The stages, found by being in this folder.</summary>
public static class StageList
{
    /// <summary>All of them: those with a tab in the order of the work, then the others.</summary>
    public static ImmutableArray<Stage> All { get; } =
    [
        .. typeof(Stage)
            .Assembly.GetTypes()
            .Where(t => t.IsSubclassOf(typeof(Stage)) && !t.IsAbstract)
            .Select(t => (Stage)Activator.CreateInstance(t)!)
            .OrderBy(s => s.Tab ?? int.MaxValue)
            .ThenBy(s => s.Id, StringComparer.Ordinal),
    ];

    /// <summary>Those of the row of tabs.</summary>
    public static IEnumerable<Stage> Tabs => All.Where(s => s.Tab is not null);

    /// <summary>The stage with a word, or none.</summary>
    public static Stage? Find(string? id) => All.FirstOrDefault(s => s.Id == id);
}
