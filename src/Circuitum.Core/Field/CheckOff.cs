using System.Collections.Immutable;
using Circuitum.Core.Analysis;

namespace Circuitum.Core.Field;

/// <summary>Which inspection.</summary>
public enum Inspection
{
    /// <summary>Before insulation and boards.</summary>
    RoughIn,

    /// <summary>When all is done.</summary>
    Final,
}

/// <summary>Something that is looked at.</summary>
/// <param name="Inspection">At which inspection.</param>
/// <param name="Part">Under which heading: a room's name, a panel's, or the house.</param>
/// <param name="Task">It, as a task: done is passed, wrong is failed, open is not looked at.</param>
public sealed record CheckItem(Inspection Inspection, string Part, FieldTask Task);

/// <summary>
/// What the two inspections look at, made from the very boxes, cables, walls and panels of the plan; and what is noted of an inspection.
/// </summary>
public static class CheckOff
{
    /// <summary>The permit's number.</summary>
    public static FieldTask Permit { get; } =
        new("permit", FieldWork.Inspect, "", default, "Permit", "number", ["The number of the permit, as it stands on it."]);

    /// <summary>The visits of an inspector: one entry a visit, the last one holds.</summary>
    public static FieldTask Visit(Inspection inspection) =>
        new(
            $"inspection/{Word(inspection)}",
            FieldWork.Inspect,
            "",
            default,
            Name(inspection),
            "outcome",
            ["The day, who came, and the inspector's own words."]
        );

    /// <summary>The word of an inspection in addresses.</summary>
    public static string Word(Inspection inspection) => inspection == Inspection.RoughIn ? "rough" : "final";

    /// <summary>Its name.</summary>
    public static string Name(Inspection inspection) => inspection == Inspection.RoughIn ? "Rough-in inspection" : "Final inspection";

    /// <summary>What is looked at in a house.</summary>
    public static ImmutableArray<CheckItem> Of(JobAnalysis a) => [.. RoughChecks.Of(a), .. FinalChecks.Of(a)];

    /// <summary>All that can be said of the inspections of a house.</summary>
    public static ImmutableArray<FieldTask> Tasks(JobAnalysis a) =>
        [
            Permit,
            Visit(Inspection.RoughIn),
            Visit(Inspection.Final),
            .. Of(a).Select(c => c.Task),
            .. a.Panels.SelectMany(p => TorqueSheet.Of(a, p).Select(t => t.Task)),
        ];

    /// <summary>An item of a list.</summary>
    internal static CheckItem Item(
        Inspection inspection,
        string part,
        string key,
        string room,
        Subject subject,
        string title,
        IEnumerable<string> lines
    )
    {
        ImmutableArray<string> all = [.. lines];
        var task = new FieldTask(
            $"check/{Word(inspection)}/{key}",
            FieldWork.Inspect,
            room,
            subject,
            title,
            all.Length == 0 ? "" : all[0],
            all
        );
        return new(inspection, part, task with { Mark = Shortened(string.Join("; ", all)) });
    }

    // What was looked at is known again by its beginning.
    private static string Shortened(string mark) => mark.Length > 300 ? mark[..300] : mark;

    /// <summary>Such as <c>1 box</c> or <c>3 boxes</c>.</summary>
    internal static string Count(int n, string one, string many) => n == 1 ? $"1 {one}" : $"{n} {many}";
}
